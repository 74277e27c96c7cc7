import { describe, expect, it } from 'vitest'
import { ONLY, sift } from './sieve.ts'
import type { Sieve } from './sieve.ts'

const ALL: Sieve = { words: '', foodStageId: '', size: '', boxId: '', only: '' }

const variant = (id: string, hookSize: number, onHand: number, home: string | null) => ({
  ...{ id, label: `#${hookSize} olive`, onHand, homeCompartmentId: home, parCount: null },
  figure: { hookSize },
})

const view = {
  patterns: [
    {
      ...{ id: 'a', name: 'Barley Sugar', serves: [{ foodStageId: 'pupa', name: 'Sedge, pupa' }] },
      variants: [variant('a14', 14, 3, 'leaf'), variant('a16', 16, 1, 'leaf'), variant('a18', 18, 0, null)],
    },
    {
      ...{ id: 'b', name: 'Bell Rope', serves: [{ foodStageId: 'midge', name: 'Midge, pupa' }] },
      variants: [variant('b14', 14, 0, 'lid')],
    },
  ],
  boxes: [
    { id: 'river', name: 'River box', compartmentIds: ['leaf'] },
    { id: 'lake', name: 'Lake box', compartmentIds: ['lid'] },
  ],
} as unknown as Parameters<typeof sift>[0]

const passes = (change: Partial<Sieve>) =>
  sift(view, { ...ALL, ...change }, 3).flatMap(({ variants }) => variants.map(({ id }) => id as string))

describe('sift', () => {
  it('lets everything pass unasked, as the same patterns', () => {
    expect(sift(view, ALL, 3)[0]).toBe(view.patterns[0])
    expect(passes({})).toHaveLength(4)
  })

  it('finds each word in the name, a food or the label', () => {
    expect(passes({ words: 'bar 16' })).toEqual(['a16'])
    expect(passes({ words: 'PUPA bell' })).toEqual(['b14'])
    expect(passes({ words: 'moth' })).toEqual([])
  })

  it.each([
    [{ foodStageId: 'midge' }, ['b14']],
    [{ size: '14' }, ['a14', 'b14']],
    [{ boxId: 'river' }, ['a14', 'a16']],
    [{ only: ONLY.short }, ['a16', 'b14']],
    [{ only: ONLY.homeless }, ['a18']],
    [{ size: '14', only: ONLY.short }, ['b14']],
    [{ boxId: 'sold' }, []],
  ])('narrows to %o', (change, ids) => expect(passes(change)).toEqual(ids))
})
