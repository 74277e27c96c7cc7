import type { Component, Swap } from '../../core/index.ts'
import type { Draft, DraftVariant } from './draft.ts'
import { copyOf, withSwap } from './variantActions.ts'

/** What of a component a variant may have otherwise than its dressing. */
const SWAPPABLE = [
  'materialId',
  'turns',
  'fibreCount',
  'strands',
  'layers',
  'bulk',
  'widthMm',
  'length',
  'clipped',
] as const satisfies readonly (keyof Component & keyof Swap)[]

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** All of a component that no variant can have otherwise. */
function fixedPart(component: Component): unknown {
  return Object.fromEntries(
    Object.entries(component)
      .filter(([field, value]) => value !== undefined && !SWAPPABLE.some((one) => one === field))
      .sort(([a], [b]) => a.localeCompare(b)),
  )
}

const sorted = (fields: object) =>
  Object.entries(fields)
    .filter(([, value]) => value !== undefined)
    .sort(([a], [b]) => a.localeCompare(b))

/** What a variant is tied of: its hook, and each component as its swaps leave it. */
function tiedOf({ components }: Draft, { hookMaterialId, swaps }: DraftVariant): unknown {
  const parts = components.flatMap((component) => {
    const {
      componentKey: _key,
      omit,
      ...swap
    } = swaps.find(({ componentKey }) => componentKey === component.key) ?? {}
    return omit ? [] : [sorted({ ...component, ...swap })]
  })
  return [hookMaterialId, parts]
}

/** Whether a variant that was saved would be tied otherwise by the draft; what only others take, it does not. */
export function changesRecipe(saved: Draft, draft: Draft): boolean {
  return saved.variants.some((variant) => {
    const now = draft.variants.find(({ id }) => id === variant.id)
    return now !== undefined && !same(tiedOf(saved, variant), tiedOf(draft, now))
  })
}

/** A difference of two drafts: of a component, null where one has none; else of the name, the variants or the note. */
export type Difference =
  | {
      readonly what: 'component'
      readonly key: string
      readonly there: Component | null
      readonly here: Component | null
    }
  | { readonly what: 'name' | 'variants' | 'note' }

/** What two drafts of one pattern differ in. */
export function differences(there: Draft, here: Draft): readonly Difference[] {
  const byKey = (draft: Draft) => new Map(draft.components.map((component) => [component.key, component]))
  const [theirs, ours] = [byKey(there), byKey(here)]
  const components = [...new Set([...theirs.keys(), ...ours.keys()])]
    .map((key) => ({ key, there: theirs.get(key) ?? null, here: ours.get(key) ?? null }))
    .filter((pair) => !same(pair.there, pair.here))
  const recipes = ({ variants }: Draft) =>
    variants.map(({ id, hookMaterialId, swaps }) => [id, hookMaterialId, swaps])
  return [
    ...(there.name === here.name ? [] : [{ what: 'name' } as const]),
    ...components.map((pair) => ({ what: 'component', ...pair }) as const),
    ...(same(recipes(there), recipes(here)) ? [] : [{ what: 'variants' } as const]),
    ...(there.note === here.note ? [] : [{ what: 'note' } as const]),
  ]
}

/** How a component was changed, as a variant's swap; null where no swap says it. */
function swapFor(before: Component, after: Component): Swap | null {
  if (!same(fixedPart(before), fixedPart(after))) return null
  const changed = SWAPPABLE.filter((field) => !same(before[field], after[field]))
  if (changed.some((field) => after[field] === undefined)) return null
  return { componentKey: before.key, ...Object.fromEntries(changed.map((field) => [field, after[field]])) }
}

/**
 * The draft with what was changed of the recipe as a new variant, like the chosen one, and all others as they were saved;
 * null where a variant cannot be so: parts that were added, or stand elsewhere.
 */
export function asNewVariant(
  saved: Draft,
  draft: Draft,
  chosenId: string,
): { draft: Draft; variantId: string } | null {
  const chosen = draft.variants.find(({ id }) => id === chosenId)
  const after = new Map(draft.components.map((component) => [component.key, component]))
  if (!chosen || draft.components.some(({ key }) => !saved.components.some((one) => one.key === key)))
    return null
  let { swaps } = chosen
  for (const before of saved.components) {
    const now = after.get(before.key)
    const swap = now ? swapFor(before, now) : { componentKey: before.key, omit: true }
    if (!swap) return null
    if (Object.keys(swap).length === 1) continue
    const own = swaps.find(({ componentKey }) => componentKey === before.key)
    swaps = withSwap(swaps, { ...own, ...swap })
  }
  const variant = copyOf(chosen, { label: '', swaps })
  const asSaved = (one: DraftVariant) => {
    const { hookMaterialId, swaps: own } = saved.variants.find(({ id }) => id === one.id) ?? one
    return { ...one, hookMaterialId, swaps: own }
  }
  return {
    draft: {
      ...draft,
      components: saved.components,
      steps: saved.steps,
      variants: [...draft.variants.map(asSaved), variant],
    },
    variantId: variant.id,
  }
}
