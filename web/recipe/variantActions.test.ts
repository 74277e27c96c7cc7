import { describe, expect, it } from 'vitest'
import { shippedFamilies } from '../../core/material/shipped/catalogue.ts'
import { jigNymph, shippedMaterial } from '../../core/testing/shippedMaterial.ts'
import type { FamilyFull } from '../../contract/index.ts'
import { emptyDraft } from './draft.ts'
import type { Draft, DraftVariant } from './draft.ts'
import type { MaterialBook } from './useMaterialBook.ts'
import {
  copyToSize, copyUnweighted, copyWithDrawer, materialIn, nearestSize, twinOf,
} from './variantActions.ts' // prettier-ignore

const made = jigNymph()
const shipped = shippedFamilies.map((family) => ({ ...family, id: family.key }) as unknown as FamilyFull)

/** The shipped goods as a book: each drawer is minted when it is asked for, but for those of the recipe. */
const book: MaterialBook = {
  materials: made.materials,
  families: shipped,
  familyOf: (id) => shipped.find(({ id: key }) => key === id.split('|')[0]) ?? null,
  drawer: async (familyId, sizeKey, colourName) => {
    const material = shippedMaterial(familyId, sizeKey, colourName)
    const minted = made.materials.has(material.id) ? null : { id: material.id, familyId, sizeKey, colourName }
    return Promise.resolve({ id: material.id, material, minted })
  },
  onHandOf: () => null,
  costOf: () => null,
}
const first: DraftVariant = {
  id: 'first',
  label: '#16 W 2.8',
  hookMaterialId: made.variant.hookMaterialId,
  swaps: [],
  parCount: 4,
  homeCompartmentId: 'here',
}
const draft: Draft = { ...emptyDraft(), components: made.dressing.components, variants: [first] }

describe('materialIn', () => {
  it('is the variant’s own, else the dressing’s, and none where it is left out', () => {
    expect(materialIn(draft, first, 'bead')).toBe('bead-tungsten-slotted|2.8|copper')
    expect(materialIn(draft, { ...first, swaps: [{ componentKey: 'bead', materialId: 'b' }] }, 'bead')).toBe(
      'b',
    )
    expect(materialIn(draft, { ...first, swaps: [{ componentKey: 'bead', omit: true }] }, 'bead')).toBeNull()
    expect(materialIn(draft, first, 'wing')).toBeNull()
  })
})

describe('a copy', () => {
  it('one size larger has its bead in proportion, and neither place nor number', async () => {
    const larger = await copyToSize(draft, first, -2, book)
    expect(larger?.variant).toMatchObject({
      hookMaterialId: 'hook-jig-60|14|bronze',
      parCount: null,
      homeCompartmentId: null,
    })
    expect(larger?.variant.id).not.toBe('first')
    const bead = Number(
      larger?.variant.swaps.find(({ componentKey }) => componentKey === 'bead')?.materialId?.split('|')[1],
    )
    expect(bead).toBeGreaterThan(2.8)
    expect(larger?.minted.map(({ familyId }) => familyId).sort()).toEqual([
      'bead-tungsten-slotted',
      'hook-jig-60',
    ])
  })

  it('has no size beyond the last that the hook comes in', async () => {
    const sizes = shipped.find(({ id }) => id === 'hook-jig-60')?.sizes.map(Number) ?? []
    const smallest = shippedMaterial('hook-jig-60', String(Math.max(...sizes)), 'bronze')
    const end = { ...first, hookMaterialId: smallest.id }
    const withEnd = { ...book, materials: new Map([...book.materials, [smallest.id, smallest]]) }
    expect(await copyToSize(draft, end, 2, withEnd)).toBeNull()
  })

  it('with another drawer mints it only where the stores lack it', async () => {
    const other = await copyWithDrawer(
      first,
      'bead',
      { familyId: 'bead-brass-slotted', sizeKey: '2.8', colourName: 'copper' },
      book,
    )
    expect(other.variant.swaps).toEqual([{ componentKey: 'bead', materialId: 'bead-brass-slotted|2.8|copper' }])
    expect(other.minted).toHaveLength(1)
    const same = await copyWithDrawer(
      first,
      'bead',
      { familyId: 'bead-tungsten-slotted', sizeKey: '2.8', colourName: 'copper' },
      book,
    )
    expect(same.minted).toEqual([])
  })

  it('unweighted leaves off all that only weighs, and keeps the rest', () => {
    const swaps = [
      { componentKey: 'bead', materialId: 'b' },
      { componentKey: 'tail', materialId: 't' },
    ]
    expect(copyUnweighted(draft, { ...first, swaps }).variant.swaps).toEqual([
      { componentKey: 'tail', materialId: 't' },
      { componentKey: 'bead', omit: true },
    ])
  })
})

describe('twinOf', () => {
  it('finds the variant that is tied the same, however that is written', () => {
    const written = {
      ...first,
      id: 'other',
      swaps: [{ componentKey: 'bead', materialId: 'bead-tungsten-slotted|2.8|copper' }],
    }
    expect(twinOf(draft, written)?.id).toBe('first')
  })

  it('tells apart by hook, by material, and by an amount of its own', () => {
    expect(twinOf(draft, { ...first, hookMaterialId: 'h' })).toBeUndefined()
    expect(twinOf(draft, { ...first, swaps: [{ componentKey: 'bead', omit: true }] })).toBeUndefined()
    expect(twinOf(draft, { ...first, swaps: [{ componentKey: 'rib', turns: 6 }] })).toBeUndefined()
  })
})

describe('nearestSize', () => {
  it('is the nearest, the first of two as near, and none of none', () => {
    expect(nearestSize(['2', '2.4', '2.8'], 2.5)).toBe('2.4')
    expect(nearestSize(['2', '3'], 2.5)).toBe('2')
    expect(nearestSize([], 2.5)).toBeNull()
  })
})
