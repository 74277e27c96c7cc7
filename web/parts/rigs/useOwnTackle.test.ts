import { describe, expect, it } from 'vitest'
import { lineOfGoods, partOfGoods } from '../../../core/index.ts'
import type { RigPart } from '../../../core/index.ts'
import { shippedMaterial } from '../../../core/testing/shippedMaterial.ts'
import { ownTackleOf, withTackle } from './useOwnTackle.ts'
import type { OwnTackle } from './useOwnTackle.ts'

const lineOf = (key: string): OwnTackle => ({
  ...{ id: key, name: key, kind: 'line' },
  parts: (lengthMm) => lineOfGoods(shippedMaterial(key), lengthMm),
})
const tippet: OwnTackle = {
  ...{ id: '5X', name: 'Fluorocarbon 5X', kind: 'tippet' },
  parts: () => [partOfGoods(shippedMaterial('tippet-fluorocarbon', '5X'))!],
}
const tackle = [lineOf('line-sink-3'), lineOf('line-sink-3-compensated'), tippet]
const rig: readonly RigPart[] = [
  { kind: 'line', sort: 'floating', lengthMm: 12_000, diameterMm: 1.1, rateMmPerS: null },
  { kind: 'tippet', lengthMm: 900, diameterMm: 0.14, stuff: 'nylon' },
  { kind: 'point', fly: null },
]

describe('tackle of the stores in a rig', () => {
  it('is put in for a line, belly and tip, as long as the line was, and is known again by both', () => {
    expect(ownTackleOf(rig[0]!, rig, tackle)).toBeUndefined()
    const [uniform, compensated] = tackle
    const first = withTackle(0, rig, uniform!)
    expect(first.map(({ kind }) => kind)).toEqual(['line', 'line', 'tippet', 'point'])
    expect(first.slice(0, 2)).toEqual(uniform!.parts(12_000))
    expect(ownTackleOf(first[0]!, first, tackle)?.id).toBe('line-sink-3')
    // another one takes the place of both pieces
    const other = withTackle(0, first, compensated!)
    expect(other).toHaveLength(4)
    expect(ownTackleOf(other[0]!, other, tackle)?.id).toBe('line-sink-3-compensated')
  })
  it('is put in for tippet, which keeps its length', () => {
    const put = withTackle(1, rig, tippet)
    expect(put[1]).toMatchObject({ lengthMm: 900, diameterMm: 0.152, stuff: 'fluorocarbon' })
    expect(ownTackleOf(put[1]!, put, tackle)?.id).toBe('5X')
    expect(ownTackleOf(rig[1]!, rig, tackle)).toBeUndefined()
  })
})
