import { describe, expect, it } from 'vitest'
import { NOTHING_MEASURED } from '../../core/index.ts'
import { recipe, shippedMaterial } from '../../core/testing/shippedMaterial.ts'
import type { VariantId } from '../../contract/index.ts'
import type { RevisionBody } from '../db/schema.ts'
import { readDropOnce } from './dropsRead.ts'
import type { DropInput } from './dropsRead.ts'

const hook = shippedMaterial('hook-straight', '14')
const bead = shippedMaterial('bead-brass-drilled', '2.8')
const fur = shippedMaterial('dubbing-hare')
const { dressing, variant, materials } = recipe(hook, [
  { key: 'bead', kind: 'bead', material: bead, at: [0, 0.2] },
  { key: 'body', kind: 'body', material: fur, at: [0.2, 1], bulk: 0.4 },
])
const body = { dressing, hookMaterialId: variant.hookMaterialId } as unknown as RevisionBody

/** A drop of a beaded nymph of 1.2 m in 5 s, made anew each time as a reader of rows makes it. */
const input = (): DropInput =>
  structuredClone({
    test: {
      id: 'drop', variantId: 'nymph' as VariantId, depthMm: 1200, timesS: [5, 5.05, 4.95], timing: 'film' as const,
      waterTempC: 10, vesselMm: null, tippet: null, wet: 'soaked' as const,
    }, // prettier-ignore
    body,
    materials,
    weighed: { goods: NOTHING_MEASURED.goods, flies: NOTHING_MEASURED.flies },
  })
const heavier = (change: object) => {
  const asked = input()
  return { ...asked, materials: new Map([...asked.materials].map(([id, one]) => [id, { ...one, ...change }])) }
}

describe('what a drop test says', () => {
  it('is remembered of the same test, recipe, materials and weighings', () => {
    const first = readDropOnce(input())
    expect(first.kind).toBe('read')
    expect(readDropOnce(input())).toBe(first)
  })

  it.each<readonly [string, () => DropInput]>([
    ['depth', () => ({ ...input(), test: { ...input().test, depthMm: 1300 } })],
    ['water', () => ({ ...input(), test: { ...input().test, waterTempC: 16 } })],
    ['a time that was set aside', () => ({ ...input(), test: { ...input().test, timesS: [5, 5.05] } })],
    ['what is known of a drawer', () => heavier({ overrides: { densityMgPerMm3: { value: 5, sd: 0.1, source: 'weighed' } } })],
    ['a fly on the scale', () => ({ ...input(), weighed: { goods: [], flies: [{ id: 'w', variantId: 'nymph', count: 6, totalMg: 900, scaleSdMg: 1 }] } })],
  ])('is read anew where it has another %s', (_what, asked) => {
    const first = readDropOnce(input())
    const other = readDropOnce(asked())
    expect(other).not.toEqual(first)
    expect(readDropOnce(input())).toBe(first)
  }) // prettier-ignore

  it('is nothing where the recipe names what is not there', () => {
    expect(readDropOnce({ ...input(), materials: new Map() })).toEqual({ kind: 'incomplete' })
  })
})
