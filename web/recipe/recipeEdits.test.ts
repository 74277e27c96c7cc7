import { describe, expect, it } from 'vitest'
import type { Component } from '../../core/index.ts'
import { emptyDraft } from './draft.ts'
import type { Draft } from './draft.ts'
import { asNewVariant, changesRecipe, differences } from './recipeEdits.ts'

const part = (key: string, more: Partial<Component> = {}): Component =>
  ({
    key,
    kind: 'tail',
    materialId: `${key}-goods`,
    place: { from: 0, to: 1, side: 'around' },
    ...more,
  }) as Component
const saved: Draft = {
  ...emptyDraft(),
  version: 3,
  components: [part('tail', { fibreCount: 6 }), part('rib', { turns: 5 })],
  variants: [
    { id: 'a', label: '#16', hookMaterialId: 'h16', swaps: [], parCount: 6, homeCompartmentId: 'box' },
    { id: 'b', label: '#14', hookMaterialId: 'h14', swaps: [{ componentKey: 'rib', turns: 6 }], parCount: null, homeCompartmentId: null },
  ],
} // prettier-ignore

describe('a recipe of flies that lie in a box', () => {
  it('is another by its dressing, a hook or a swap; not by a note, a place or a new variant', () => {
    expect(changesRecipe(saved, { ...saved, note: 'x' })).toBe(false)
    const [a, b] = saved.variants
    expect(changesRecipe(saved, { ...saved, variants: [{ ...a!, parCount: 9 }, b!, { ...a!, id: 'c' }] })).toBe(
      false,
    )
    expect(changesRecipe(saved, { ...saved, variants: [{ ...a!, hookMaterialId: 'h18' }, b!] })).toBe(true)
    expect(changesRecipe(saved, { ...saved, components: [part('tail', { fibreCount: 7 })] })).toBe(true)
    // a part that joined the dressing for another and that these leave out
    const wired = {
      components: [part('wire'), ...saved.components],
      variants: saved.variants.map((one) => ({
        ...one,
        swaps: [...one.swaps, { componentKey: 'wire', omit: true }],
      })),
    }
    expect(changesRecipe(saved, { ...saved, ...wired })).toBe(false)
    expect(changesRecipe(saved, { ...saved, components: wired.components })).toBe(true)
  })

  it('becomes a new variant: what was changed as swaps, all else as it was saved', () => {
    const edited: Draft = {
      ...saved,
      note: 'stiffer',
      components: [part('tail', { fibreCount: 8 }), saved.components[1]!],
    }
    const made = asNewVariant(saved, edited, 'b')
    expect(made?.draft.components).toEqual(saved.components)
    expect(made?.draft.note).toBe('stiffer')
    expect(made?.draft.variants.slice(0, 2)).toEqual(saved.variants)
    const variant = made?.draft.variants[2]
    expect(variant).toMatchObject({ id: made?.variantId, hookMaterialId: 'h14', label: '', parCount: null, homeCompartmentId: null }) // prettier-ignore
    expect(variant?.swaps).toEqual([
      { componentKey: 'rib', turns: 6 },
      { componentKey: 'tail', fibreCount: 8 },
    ])
  })

  it('leaves out what was taken away, and keeps a hook that was changed to itself', () => {
    const [a, b] = saved.variants
    const edited: Draft = {
      ...saved,
      components: [saved.components[0]!],
      variants: [{ ...a!, hookMaterialId: 'h18' }, b!],
    }
    const made = asNewVariant(saved, edited, 'a')
    expect(made?.draft.variants[0]).toEqual(a)
    expect(made?.draft.variants[2]).toMatchObject({
      hookMaterialId: 'h18',
      swaps: [{ componentKey: 'rib', omit: true }],
    })
  })

  it('differs from another draft of it in what is named', () => {
    expect(differences(saved, saved)).toEqual([])
    const other: Draft = {
      ...saved,
      note: 'x',
      components: [part('tail', { fibreCount: 7 })],
      variants: [saved.variants[0]!],
    }
    expect(differences(saved, other)).toEqual([
      { what: 'component', key: 'tail', there: saved.components[0], here: other.components[0] },
      { what: 'component', key: 'rib', there: saved.components[1], here: null },
      { what: 'variants' },
      { what: 'note' },
    ])
  })

  it('cannot be one where a part was added, or stands elsewhere', () => {
    expect(asNewVariant(saved, { ...saved, components: [...saved.components, part('collar')] }, 'a')).toBeNull()
    const moved = part('tail', {
      fibreCount: 6,
      place: { from: 0.2, to: 1, side: 'around' } as Component['place'],
    })
    expect(asNewVariant(saved, { ...saved, components: [moved, saved.components[1]!] }, 'a')).toBeNull()
  })
})
