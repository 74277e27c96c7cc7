import { describe, expect, it } from 'vitest'
import { minutesTaken, paceOf } from './index.ts'
import type { ViseEvent } from './index.ts'

/** Events of a batch at minutes of the evening. */
const at = (batchId: string, ...events: readonly (readonly [number, ViseEvent['kind']])[]): ViseEvent[] =>
  events.map(([minute, kind]) => ({ batchId, atMs: minute * 60_000, kind }))

describe('minutesTaken', () => {
  it('counts a fly from its first step, or from the end of the one before', () => {
    expect(minutesTaken(at('a', [0, 'step'], [3, 'step'], [7, 'done'], [13, 'done'], [18, 'done']))).toEqual([
      7, 6, 5,
    ])
  })

  it('leaves out a rest, a night, what was counted late and the way from one batch to another', () => {
    expect(minutesTaken(at('a', [0, 'step'], [4, 'pause'], [30, 'resume'], [36, 'done']))).toEqual([6])
    expect(minutesTaken(at('a', [0, 'step'], [61, 'done'], [70, 'done']))).toEqual([9])
    expect(minutesTaken(at('a', [0, 'step'], [8, 'done'], [8.4, 'done'], [15.4, 'done']))).toEqual([8, 7])
    expect(minutesTaken([...at('a', [0, 'step'], [5, 'done']), ...at('b', [9, 'done'], [20, 'done'])])).toEqual(
      [5, 11],
    )
    expect(minutesTaken(at('a', [5, 'done']))).toEqual([])
  })

  it('takes work by stations as begun with the first station', () => {
    expect(minutesTaken(at('a', [0, 'station'], [10, 'station'], [24, 'done']))).toEqual([24])
  })
})

describe('paceOf', () => {
  it('is the median of what was timed, and eight minutes before', () => {
    expect(paceOf([12, 6, 7])).toEqual({ minutesEach: 7, timedFlies: 3, soFar: [12, 6, 7] })
    expect(paceOf([])).toEqual({ minutesEach: 8, timedFlies: 0, soFar: [] })
  })
})
