import { describe, expect, it } from 'vitest'
import { jigNymph, shippedMaterial } from '../../../core/testing/shippedMaterial.ts'
import { emptyDraft } from '../../recipe/draft.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { variantSheets } from './variantSheets.ts'

const made = jigNymph()
const goods = [
  shippedMaterial('hook-jig-60', '14', 'bronze'),
  shippedMaterial('bead-tungsten-slotted', '3.3', 'copper'),
  shippedMaterial('bead-brass-slotted', '2.8', 'copper'),
  shippedMaterial('thread-nylon', '50', 'black'),
]
const [large, heavy, brass, black] = goods.map(({ id }) => id)
const materials = new Map([...made.materials, ...goods.map((material) => [material.id, material] as const)])

const variant = (label: string, change: Partial<DraftVariant> = {}): DraftVariant => ({
  id: label,
  label,
  hookMaterialId: made.variant.hookMaterialId,
  swaps: [],
  parCount: null,
  homeCompartmentId: null,
  ...change,
})
const draftWith = (variants: readonly DraftVariant[]): Draft => ({
  ...emptyDraft(),
  components: made.dressing.components,
  variants,
})
const bead = (materialId: string | undefined) => ({ componentKey: 'bead', materialId })

describe('variantSheets', () => {
  const [sheet, ...more] = variantSheets(
    draftWith([
      variant('usual'),
      variant('brass', { swaps: [bead(brass)] }),
      variant('bare', { swaps: [{ componentKey: 'bead', omit: true }] }),
      variant('large', { hookMaterialId: large ?? '', swaps: [bead(heavy)] }),
    ]),
    materials,
  )

  it('puts sizes across, the smallest hook first, and weights down, the lightest first', () => {
    expect(more).toEqual([])
    expect(sheet?.name).toBe('')
    expect(sheet?.sizes).toEqual(['16', '14'])
    expect(sheet?.weights.map(({ label }) => label)).toEqual(['none', 'B 2.8', 'W 2.8', 'W 3.3'])
  })

  it('finds each variant in one cell and leaves the others empty', () => {
    const cells = (sheet?.weights ?? []).map(({ key }) =>
      ['16', '14'].map((size) => sheet?.at(size, key).map(({ id }) => id)),
    )
    expect(cells).toEqual([
      [['bare'], []],
      [['brass'], []],
      [['usual'], []],
      [[], ['large']],
    ])
  })

  it('makes a sheet of each colour, named by its body', () => {
    const sheets = variantSheets(
      draftWith([
        variant('usual'),
        variant('dark', { swaps: [{ componentKey: 'body', materialId: black }] }),
        variant('dark brass', { swaps: [{ componentKey: 'body', materialId: black }, bead(brass)] }),
      ]),
      materials,
    )
    expect(sheets.map(({ name }) => name)).toEqual(['olive-brown', 'black'])
    expect(sheets[1]?.weights.map(({ label }) => label)).toEqual(['B 2.8', 'W 2.8'])
  })

  it('tells turns of wire apart', () => {
    const tin = shippedMaterial('wire-tin', '0.38')
    const wire = { key: 'wire', kind: 'wire' as const, materialId: tin.id, place: { from: 0.3, to: 0.8, side: 'around' as const }, turns: 6 } // prettier-ignore
    const draft = draftWith([variant('six'), variant('ten', { swaps: [{ componentKey: 'wire', turns: 10 }] })])
    const [only] = variantSheets(
      { ...draft, components: [wire, ...draft.components] },
      new Map(materials).set(tin.id, tin),
    )
    expect(only?.weights.map(({ label }) => label)).toEqual(['6 t 0.38, W 2.8', '10 t 0.38, W 2.8'])
  })
})
