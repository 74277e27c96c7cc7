import { describe, expect, it } from 'vitest'
import type { Material, Swap } from '../../core/index.ts'
import { jigNymph, shippedMaterial } from '../../core/testing/shippedMaterial.ts'
import { emptyDraft } from './draft.ts'
import type { Draft, DraftVariant } from './draft.ts'
import { beadLabel, labelFor, named } from './variantLabel.ts'

const made = jigNymph()
const own = [
  shippedMaterial('thread-nylon', '50', 'red'),
  shippedMaterial('thread-nylon', '50', 'black'),
  shippedMaterial('fibre-speckled-cock', '', 'black'),
  shippedMaterial('fibre-game-tail', '', 'olive'),
  shippedMaterial('bead-brass-slotted', '2.8', 'copper'),
]
const materials = new Map<string, Material>([...made.materials, ...own.map((one) => [one.id, one] as const)])
const first: DraftVariant = {
  id: 'first',
  label: '#16 W 2.8',
  hookMaterialId: made.variant.hookMaterialId,
  swaps: [],
  parCount: 4,
  homeCompartmentId: 'here',
}
const draft: Draft = { ...emptyDraft(), components: made.dressing.components, variants: [first] }
const labelOf = (swaps: readonly Swap[]) => labelFor(draft, { ...first, id: 'new', swaps }, materials)
const swap = (componentKey: string, nth: number): Swap => ({ componentKey, materialId: own[nth]?.id })

describe('labelFor', () => {
  it('says hook and bead, and counts where that name is taken', () => {
    expect(labelFor(draft, first, materials)).toBe('#16 W 2.8')
    expect(labelOf([])).toBe('#16 W 2.8 (2)')
    expect(labelFor(draft, { ...first, id: 'new' }, materials, 'olive')).toBe('#16 W 2.8 olive')
    expect(labelFor(draft, { ...first, hookMaterialId: '?' }, materials)).toBe('#? W 2.8')
  })

  it('follows from what differs: of any part its colour, what is left out, what is tied otherwise', () => {
    expect(labelOf([swap('body', 1)])).toBe('#16 W 2.8 black')
    expect(labelOf([swap('tail', 2)])).toBe('#16 W 2.8 tail black')
    expect(labelOf([swap('tail', 3)])).toBe('#16 W 2.8 tail game-bird tail fibres olive')
    expect(labelOf([swap('bead', 4)])).toBe('#16 B 2.8')
    expect(labelOf([{ componentKey: 'tail', omit: true }])).toBe('#16 W 2.8 no tail')
    expect(labelOf([{ componentKey: 'rib', turns: 7 }])).toBe('#16 W 2.8 rib 7 turns')
    expect(labelOf([{ componentKey: 'collar', clipped: 0 }])).toBe('#16 W 2.8 collar clipped below')
  })

  it('says one colour of several parts once', () => {
    expect(labelOf([swap('body', 1), swap('tail', 2)])).toBe('#16 W 2.8 black')
    expect(labelOf([swap('thread', 1), swap('tail', 2)])).toBe('#16 W 2.8 thread and tail black')
  })

  it('leaves out what a label has no room for', () => {
    const label = labelOf([
      swap('body', 3),
      swap('tail', 3),
      swap('thread', 0),
      { componentKey: 'rib', turns: 7 },
    ])
    expect(label.length).toBeLessThanOrEqual(64)
    expect(label).toMatch(/^#16 W 2\.8 olive/)
  })

  it('calls a bead by the first letter of its metal', () => {
    expect(beadLabel(shippedMaterial('bead-brass-slotted', '2.4'))).toBe('B 2.4')
    expect(beadLabel(undefined)).toBe('no bead')
  })
})

describe('named', () => {
  it('calls what nobody named by what it is, and leaves the others alone', () => {
    const two = { ...draft, variants: [first, { ...first, id: 'b', label: '', swaps: [swap('tail', 2)] }] }
    expect(named(two, materials).variants.map(({ label }) => label)).toEqual([
      '#16 W 2.8',
      '#16 W 2.8 tail black',
    ])
    const again = {
      ...draft,
      variants: [
        { ...first, label: '' },
        { ...first, id: 'b', label: '' },
      ],
    }
    expect(named(again, materials).variants.map(({ label }) => label)).toEqual(['#16 W 2.8', '#16 W 2.8 (2)'])
    expect(named(draft, materials)).toBe(draft)
  })
})
