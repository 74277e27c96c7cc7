import { describe, expect, it } from 'vitest'
import { waitingOf } from './index.ts'
import type { Event, Tap } from './index.ts'

const taps = (...said: readonly Tap[]): readonly Event[] =>
  said.map((tap, i) => ({ ...tap, id: `e${i}`, atMs: i * 600_000 }))
const events = taps(
  { kind: 'tiedOn', variantKey: 'dun', way: 'dry', stageKey: null, step: null },
  { kind: 'lost', variantKeys: ['dun'], leftIn: 'tree' },
  { kind: 'tiedOn', variantKey: 'nymph', way: null, stageKey: null, step: null },
  { kind: 'counted', stageKey: 'scud', from: 'stones', count: 4 },
  { kind: 'waterTemp', tempC: 9 },
)
const log = { events, booked: new Set<string>(), hasReach: true, isOnDay: () => true }
const sizes = (of: Parameters<typeof waitingOf>[0]) =>
  Object.entries(waitingOf(of)).map(([name, all]) => [name, (all as readonly unknown[]).length])

describe('what of a log waits', () => {
  it('is each spell that has ended, each loss, sample and reading', () => {
    // the nymph is still fished
    expect(sizes(log)).toEqual([['spells', 1], ['losses', 1], ['samples', 1], ['readings', 1]]) // prettier-ignore
  })

  it('is nothing more once something was made of it', () => {
    const booked = new Set(['e0', 'e1', 'e3', 'e4'])
    expect(sizes({ ...log, booked }).every(([, size]) => size === 0)).toBe(true)
  })

  it('says nothing of the season where nobody knows the reach, or of a reading of another day', () => {
    expect(sizes({ ...log, hasReach: false })).toEqual([['spells', 1], ['losses', 1], ['samples', 0], ['readings', 0]]) // prettier-ignore
    expect(waitingOf({ ...log, isOnDay: () => false }).readings).toEqual([])
  })
})
