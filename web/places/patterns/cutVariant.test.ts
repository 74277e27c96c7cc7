import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../../../core/index.ts'
import type { Component, Cut, Fly } from '../../../core/index.ts'
import { emerger, hackledDry, jigNymph, shippedMaterial } from '../../../core/testing/shippedMaterial.ts'
import { emptyDraft } from '../../recipe/draft.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import { asVariant, leftBy } from './cutVariant.ts'

type Made = ReturnType<typeof hackledDry>

const variantOf = ({ variant }: Made, change: Partial<DraftVariant> = {}): DraftVariant => ({
  id: 'whole',
  label: '#16',
  hookMaterialId: variant.hookMaterialId,
  swaps: [],
  parCount: 6,
  homeCompartmentId: 'here',
  ...change,
})
const draftOf = ({ dressing }: Made, components: readonly Component[] = dressing.components): Draft => ({
  ...emptyDraft(),
  components,
  variants: [],
})

function flyOf(draft: Draft, variant: DraftVariant, { materials }: Pick<Made, 'materials'>): Fly {
  const resolved = resolveDressing({ components: draft.components, steps: [] }, variant, materials)
  if (resolved.kind !== 'fly') throw new Error(resolved.kind)
  return resolved
}

/** A fly, and the variant that is kept of it once it is cut: what of the component is there in each. */
function cutOf(made: Made, whole: DraftVariant, cut: Cut, draft = draftOf(made)) {
  const fly = flyOf(draft, whole, made)
  const part = ({ components }: Fly) => components.find(({ key }) => key === cut.componentKey)
  const kept = asVariant(draft, whole, cut, part(fly)?.lengthMm ?? null, made.materials)
  return { kept, whole: part(fly), asKept: part(flyOf(draft, kept, made)) }
}

describe('a cut kept as a variant', () => {
  it('has the tuft as long as the shears left it, and so for each hook in its proportion', () => {
    const made = emerger(2)
    const { kept, whole, asKept } = cutOf(made, variantOf(made), {
      componentKey: 'tuft',
      how: 'shorten',
      left: 0.75,
    })
    expect(asKept?.lengthMm).toBeCloseTo(0.75 * (whole?.lengthMm ?? NaN), 9)
    expect(kept.swaps).toEqual([{ componentKey: 'tuft', length: { factor: 1.5, of: 'gape' } }])
  })

  it('says in millimetres what was said so, or not at all', () => {
    const tail = (length: Component['length']) =>
      leftBy({ length, clipped: undefined }, { componentKey: 'tail', how: 'shorten', left: 0.5 }, 8)
    expect(tail({ mm: 8 })).toEqual({ length: { mm: 4 } })
    expect(tail(undefined)).toEqual({ length: { mm: 4 } })
  })

  it('has a hackle clipped below to what was left, also of one that was clipped before', () => {
    const made = hackledDry()
    const half = { componentKey: 'hackle', how: 'clipBelow', left: 0.5 } as const
    const once = cutOf(made, variantOf(made), half)
    expect(once.asKept?.clipped).toBe(0.5)
    const twice = cutOf(made, once.kept, half)
    expect(twice.asKept?.clipped).toBe(0.25)
    expect(twice.asKept?.lengthMm).toBe(once.whole?.lengthMm)
  })

  it('cuts what the variant ties there, and leaves all else of it as it was', () => {
    const made = hackledDry()
    const other = shippedMaterial('fibre-cock-stiff', '', 'olive')
    const goods = new Map([...made.materials, [other.id, other]])
    const own = variantOf(made, {
      swaps: [
        { componentKey: 'tail', materialId: other.id, length: { factor: 2, of: 'shank' } },
        { componentKey: 'body', omit: true },
      ],
    })
    const cut: Cut = { componentKey: 'tail', how: 'shorten', left: 0.5 }
    const { kept, asKept, whole } = cutOf({ ...made, materials: goods }, own, cut)
    expect(asKept?.material.id).toBe(other.id)
    expect(asKept?.lengthMm).toBeCloseTo(0.5 * (whole?.lengthMm ?? NaN), 9)
    expect(kept.swaps).toHaveLength(2)
    expect(kept.swaps).toContainEqual({ componentKey: 'body', omit: true })
  })

  it('is another fly: without the place and the number of the whole one, on its hook', () => {
    const made = jigNymph()
    const whole = variantOf(made)
    const { kept } = cutOf(made, whole, { componentKey: 'tail', how: 'shorten', left: 0.5 })
    expect(kept.id).not.toBe(whole.id)
    expect(kept).toMatchObject({
      hookMaterialId: whole.hookMaterialId,
      parCount: null,
      homeCompartmentId: null,
    })
    expect(whole.swaps).toEqual([])
  })
})
