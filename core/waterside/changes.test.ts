import { describe, expect, it } from 'vitest'
import { changesOf, standingAfter } from './index.ts'
import type { Event, Tap } from './index.ts'

const MIN = 60_000
const log = (...taps: readonly (readonly [min: number, tap: Tap])[]) =>
  standingAfter(taps.map(([min, tap], i): Event => ({ ...tap, id: `e${i}`, atMs: min * MIN })))
const on = (variantKey: string, step: 'smaller' | null = null): Tap => ({ kind: 'tiedOn', variantKey, way: 'dry', stageKey: null, step }) // prettier-ignore
const take: Tap = { kind: 'take', end: 'landed', lengthMm: null }

describe('what a change was worth', () => {
  it('is what was taken just before it and just after, over all outings', () => {
    const first = log(
      [0, on('16')],
      [20, on('18', 'smaller')],
      [25, take],
      [30, take],
      [50, { kind: 'reeledIn' }],
    )
    const second = log([0, on('14')], [5, take], [10, on('16', 'smaller')], [15, { kind: 'step', step: 'finerTippet' }], [40, { kind: 'reeledIn' }]) // prettier-ignore
    expect(changesOf([first, second])).toEqual([
      { step: 'smaller', times: 2, before: { minutes: 30, takes: 1 }, after: { minutes: 35, takes: 2 } },
      { step: 'finerTippet', times: 1, before: { minutes: 5, takes: 0 }, after: { minutes: 25, takes: 0 } },
    ])
  })

  it('is not counted while the spell still goes on, and the first fly of a day is no change', () => {
    expect(changesOf([log([0, on('16')], [20, on('18', 'smaller')])])).toEqual([])
    expect(changesOf([log([0, on('16')], [20, { kind: 'reeledIn' }])])).toEqual([])
  })
})
