import { describe, expect, it } from 'vitest'
import { randomFrom } from '../uncertainty/index.ts'
import { samplesOf, standingAfter } from './index.ts'
import type { Event, Tap } from './index.ts'

const MIN = 60_000
/** Taps a minute apart. */
const taps = (...said: readonly Tap[]): readonly Event[] =>
  said.map((tap, i) => ({ ...tap, id: `e${String(i).padStart(3, '0')}`, atMs: i * MIN }))
const on = (variantKey: string, step: (Tap & { kind: 'tiedOn' })['step'] = null): Tap => ({
  kind: 'tiedOn', variantKey, way: 'dry', stageKey: 'dark-olive-dun', step,
}) // prettier-ignore

describe('a log kept at the water', () => {
  it('says what each fly was fished for, and what came of it', () => {
    const { fished } = standingAfter(
      taps(
        on('dun'), { kind: 'drift' }, { kind: 'drift' }, { kind: 'refused', refusal: 'turned' },
        on('dun low', 'cutLower'), { kind: 'drift' }, { kind: 'take', end: 'landed', lengthMm: 310 }, { kind: 'reeledIn' },
      ),
    ) // prettier-ignore
    expect(fished.map(({ variantKey, step, drifts, ends, refusals }) => [variantKey, step, drifts, ends, refusals])).toEqual([
      ['dun', null, 2, [], ['turned']],
      ['dun low', 'cutLower', 1, ['landed'], []],
    ]) // prettier-ignore
    expect(fished.map(({ fromMs, toMs }) => ((toMs ?? 0) - fromMs) / MIN)).toEqual([4, 3])
    expect(fished.map(({ lengthsMm }) => lengthsMm)).toEqual([[], [310]])
  })

  it('begins a new spell where something else was changed, and not for a tick', () => {
    const { fished, tried } = standingAfter(
      taps(on('dun'), { kind: 'drift' }, { kind: 'step', step: 'finerTippet' }, { kind: 'sign', signKey: 'tiny-rings', seen: true }, { kind: 'drift' }),
    ) // prettier-ignore
    expect(fished.map(({ variantKey, step, drifts }) => [variantKey, step, drifts])).toEqual([
      ['dun', null, 1],
      ['dun', 'finerTippet', 1],
    ])
    expect([...tried]).toEqual(['finerTippet'])
  })

  it('forgets what was tried for another fish, and what was ticked when one looks anew', () => {
    const before = [on('dun'), { kind: 'sign', signKey: 'tiny-rings', seen: true }, { kind: 'step', step: 'mend' }, { kind: 'rise' }] as const // prettier-ignore
    expect(standingAfter(taps(...before, { kind: 'newFish' }))).toMatchObject({ tried: new Set(), rises: [] })
    expect(standingAfter(taps(...before)).looked.get('tiny-rings')).toBe(true)
    expect(standingAfter(taps(...before, { kind: 'watch' })).looked.size).toBe(0)
  })

  it('loses two flies at one snag in one event, and undoes it in one', () => {
    const lost: Tap = { kind: 'lost', variantKeys: ['dun', 'nymph'], leftIn: 'bottom' }
    const events = taps(on('dun'), lost)
    expect(standingAfter(events).lost).toEqual([
      { id: 'e001', variantKeys: ['dun', 'nymph'], leftIn: 'bottom' },
    ])
    expect(standingAfter(events).fished[0]?.toMs).toBe(MIN)
    const taken = standingAfter([...events, { kind: 'undo', of: 'e001', id: 'e002', atMs: 2 * MIN }])
    expect(taken.lost).toEqual([])
    expect(taken.fished[0]?.toMs).toBeNull()
  })

  it('adds samples up, and takes readings as they come', () => {
    const now = standingAfter(
      taps({ kind: 'counted', stageKey: 'scud', from: 'stones', count: 3 }, { kind: 'counted', stageKey: 'scud', from: 'stones', count: 2 }, { kind: 'counted', stageKey: 'scud', from: 'net', count: 1 }, { kind: 'counted', stageKey: 'scud', from: 'net', count: -1 },
        { kind: 'waterTemp', tempC: 9 }, { kind: 'waterTemp', tempC: 11.5 }),
    ) // prettier-ignore
    expect(now.counted).toEqual([{ stageId: 'scud', from: 'stones', count: 5 }])
    expect(now.waterTempC).toBe(11.5)
  })

  it('comes to the same in whatever order, and however often, its events come', () => {
    const random = randomFrom(5)
    const kinds: readonly Tap[] = [
      on('dun'), on('nymph', 'stage'), { kind: 'drift' }, { kind: 'refused', refusal: 'ignored' },
      { kind: 'take', end: 'missed', lengthMm: null }, { kind: 'step', step: 'deeper' }, { kind: 'rise' },
      { kind: 'sign', signKey: 'tiny-rings', seen: true }, { kind: 'sign', signKey: 'tiny-rings', seen: null },
      { kind: 'newFish' }, { kind: 'watch' }, { kind: 'lost', variantKeys: ['dun'], leftIn: 'tree' },
    ] // prettier-ignore
    for (let n = 0; n < 200; n += 1) {
      const said = Array.from({ length: 30 }, () => kinds[Math.floor(random() * kinds.length)] as Tap)
      const events = [...taps(...said), { kind: 'undo', of: 'e004', id: 'u', atMs: 31 * MIN } as const]
      const often = [...events, ...events.slice(0, 9)].toSorted(() => random() - 0.5)
      expect(standingAfter(often)).toEqual(standingAfter(events))
    }
  })
})

describe('samples of a log', () => {
  const count = (stageKey: string, from: 'stones' | 'net', n: number): Tap => ({ kind: 'counted', stageKey, from, count: n }) // prettier-ignore

  it('are added up by stage and place; what was taken back, or made use of, is none', () => {
    const events = taps(count('scud', 'stones', 2), count('scud', 'stones', 3), count('scud', 'net', 1), count('dun', 'net', 1), count('dun', 'net', -1)) // prettier-ignore
    expect(samplesOf(events, new Set()).map(({ ids, stageKey, from, count: n }) => [ids, stageKey, from, n])).toEqual([
      [['e000', 'e001'], 'scud', 'stones', 5],
      [['e002'], 'scud', 'net', 1],
    ]) // prettier-ignore
    // three more after the first two were made use of: they alone are new
    expect(samplesOf(events, new Set(['e000', 'e002']))).toMatchObject([{ ids: ['e001'], count: 3 }])
    const undone = [...events, { kind: 'undo', of: 'e001', id: 'e9', atMs: 9 * MIN } as const]
    expect(samplesOf(undone, new Set())[0]).toMatchObject({ ids: ['e000'], count: 2 })
  })
})
