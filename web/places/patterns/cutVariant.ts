import type { Component, Cut } from '../../../core/index.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'
import { copyOf, withSwap } from '../../recipe/variantActions.ts'
import { labelFor } from '../../recipe/variantLabel.ts'

/** What a cut leaves of a line, said again in the way in which its length was said. */
export function leftBy(
  { clipped, length }: Pick<Component, 'clipped' | 'length'>,
  { how, left }: Cut,
  lengthMm: number | null,
): Pick<Component, 'clipped' | 'length'> {
  if (how === 'clipBelow') return { clipped: (clipped ?? 1) * left }
  if (length && 'factor' in length) return { length: { ...length, factor: length.factor * left } }
  return { length: { mm: (lengthMm ?? 0) * left } }
}

/** The cut fly as a variant beside the one that was cut. */
export function asVariant(
  draft: Draft,
  of: DraftVariant,
  cut: Cut,
  lengthMm: number | null,
  materials: MaterialBook['materials'],
): DraftVariant {
  const line = draft.components.find(({ key }) => key === cut.componentKey)
  const swap = of.swaps.find(({ componentKey }) => componentKey === cut.componentKey)
  const before = { clipped: swap?.clipped ?? line?.clipped, length: swap?.length ?? line?.length }
  const made = copyOf(of, {
    swaps: withSwap(of.swaps, { componentKey: cut.componentKey, ...swap, ...leftBy(before, cut, lengthMm) }),
  })
  return { ...made, label: labelFor(draft, made, materials) }
}
