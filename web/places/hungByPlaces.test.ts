import { describe, expect, it } from 'vitest'
import type { MomentView } from '../../contract/index.ts'
import { takesByDepth } from './outings/takesByDepth.ts'
import { stillToMake } from './stores/stillToMake.ts'

const fly = (variantId: string, depthMm: number, storesAllow: number | null) => ({ variantId, patternId: 'p', patternName: 'Bell Rope', label: '#12', depthMm, onHand: 1, par: 3, packed: 0, storesAllow, drawingKey: null }) // prettier-ignore
const view = { flies: [fly('a', 900, 4), fly('b', 100, 0), fly('c', 0, null)] } as unknown as MomentView

describe('what a place hangs of flies', () => {
  it('is on Stores what can still be tied, the least first, and nothing of what nobody counted', () => {
    const marks = stillToMake(view)
    expect(marks.map(({ id, words, look }) => [id, words, look])).toEqual([
      ['a', '4 can be tied', 'fly'],
      ['b', 'none can be tied', 'out'],
    ])
    expect([...marks].sort((x, y) => y.rank - x.rank).map(({ id }) => id)).toEqual(['b', 'a'])
  })

  it('is of an outing that was what fish took, summed over its spells, at the depth of each fly', () => {
    const spell = (variantId: string, takes: number, minutes: number) => ({ variantId, takes, minutes })
    const spells = [spell('a', 2, 40), spell('b', 0, 60), spell('a', 1, 20), spell('gone', 5, 10)]
    expect(
      takesByDepth({ spells } as never, view).map(({ id, words, depthMm }) => [id, words, depthMm]),
    ).toEqual([['a', '3 takes in 60 min', 900]])
  })
})
