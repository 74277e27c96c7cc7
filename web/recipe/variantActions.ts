import { AMOUNTS, beadInProportionMm, is, sizeNumber } from '../../core/index.ts'
import type { Swap } from '../../core/index.ts'
import { newId } from '../wire/useCommand.ts'
import type { Draft, DraftVariant, NewDrawer } from './draft.ts'
import type { MaterialBook } from './useMaterialBook.ts'

/** What an action on a variant leaves: the new variant and the drawers to mint for it. */
export interface Copied {
  readonly variant: DraftVariant
  readonly minted: readonly NewDrawer[]
}

/** Material of a component in a variant: its own swap, else the dressing's; null where it is left out. */
export function materialIn(draft: Draft, variant: DraftVariant, componentKey: string): string | null {
  const swap = variant.swaps.find((candidate) => candidate.componentKey === componentKey)
  if (swap?.omit) return null
  return swap?.materialId ?? draft.components.find(({ key }) => key === componentKey)?.materialId ?? null
}

/** Swaps with one of them replaced. */
export function withSwap(swaps: readonly Swap[], swap: Swap): readonly Swap[] {
  return [...swaps.filter(({ componentKey }) => componentKey !== swap.componentKey), swap]
}

/** The variant of a draft that is tied like this one, where there is one. */
export function twinOf(draft: Draft, { hookMaterialId, swaps }: DraftVariant): DraftVariant | undefined {
  const amounts = (own: readonly Swap[], componentKey: string) => {
    const swap = own.find((candidate) => candidate.componentKey === componentKey)
    return JSON.stringify([swap?.length, swap?.clipped, ...AMOUNTS.map((amount) => swap?.[amount])])
  }
  return draft.variants.find(
    (other) =>
      other.hookMaterialId === hookMaterialId &&
      draft.components.every(
        ({ key }) =>
          materialIn(draft, other, key) === materialIn(draft, { ...other, swaps }, key) &&
          amounts(other.swaps, key) === amounts(swaps, key),
      ),
  )
}

/** A variant like another, without its place and number. */
export const copyOf = (variant: DraftVariant, change: Partial<DraftVariant>): DraftVariant => ({
  ...variant,
  parCount: null,
  homeCompartmentId: null,
  ...change,
  id: newId(),
})

/** The size of a list nearest to a wanted one. */
export function nearestSize(sizes: readonly string[], wanted: number): string | null {
  return sizes.reduce<string | null>(
    (best, size) =>
      best === null || Math.abs(Number(size) - wanted) < Math.abs(Number(best) - wanted) ? size : best,
    null,
  )
}

/** A copy on the hook one size larger (−2) or smaller (+2), its bead in proportion; null where the hook ends there. */
export async function copyToSize(
  draft: Draft,
  variant: DraftVariant,
  step: 2 | -2,
  book: MaterialBook,
): Promise<Copied | null> {
  const hook = book.materials.get(variant.hookMaterialId)
  const family = book.familyOf(variant.hookMaterialId)
  const size = hook && sizeNumber(hook)
  if (!hook || !family || !size || !family.sizes.includes(String(size + step))) return null
  const next = await book.drawer(family.id, String(size + step), hook.colourName)
  const minted = next.minted ? [next.minted] : []
  let { swaps } = variant
  const beadKey = draft.components.find(({ kind }) => kind === 'bead')?.key
  const beadId = beadKey ? materialIn(draft, variant, beadKey) : null
  const bead = beadId ? book.materials.get(beadId) : undefined
  const beadFamily = beadId ? book.familyOf(beadId) : null
  if (beadKey && bead && beadFamily) {
    const wanted = nearestSize(beadFamily.sizes, beadInProportionMm(sizeNumber(bead) ?? 2.8, step))
    const drawer = await book.drawer(beadFamily.id, wanted ?? bead.sizeKey, bead.colourName)
    if (drawer.minted) minted.push(drawer.minted)
    swaps = withSwap(swaps, { componentKey: beadKey, materialId: drawer.id })
  }
  return { variant: copyOf(variant, { hookMaterialId: next.id, swaps }), minted }
}

/** A copy with another drawer for a component; the drawer is minted where it is not there. */
export async function copyWithDrawer(
  variant: DraftVariant,
  componentKey: string,
  choice: {
    readonly familyId: string
    readonly sizeKey: string
    readonly colourName: string
    /** of a colour that the family does not list */
    readonly colourHex?: string
  },
  book: MaterialBook,
): Promise<Copied> {
  const drawer = await book.drawer(choice.familyId, choice.sizeKey, choice.colourName, choice.colourHex)
  return {
    variant: copyOf(variant, { swaps: withSwap(variant.swaps, { componentKey, materialId: drawer.id }) }),
    minted: drawer.minted ? [drawer.minted] : [],
  }
}

/** A copy without bead and wire. */
export function copyUnweighted(draft: Draft, variant: DraftVariant): Copied {
  const heavy = draft.components.filter(({ kind }) => is(kind, 'weighs'))
  const swaps = heavy.reduce<readonly Swap[]>(
    (all, { key }) => withSwap(all, { componentKey: key, omit: true }),
    variant.swaps,
  )
  return { variant: copyOf(variant, { swaps }), minted: [] }
}
