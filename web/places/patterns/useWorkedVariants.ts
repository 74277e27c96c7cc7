import { calibrationFor, listed, NOTHING_MEASURED, resolveDressing } from '../../../core/index.ts'
import type { Fly, Listed } from '../../../core/index.ts'
import type { VariantLine } from '../../../contract/index.ts'
import { useMeasurementsQuery } from '../../wire/answers.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'

/** A variant of the draft as core has it with its standard figure; without one while it lacks something or has no recipe. */
export interface WorkedVariant {
  readonly variant: DraftVariant
  readonly fly: Fly | null
  readonly figure: Listed | null
  readonly onHand: number
}

/** Works out every variant of a draft for the lists. */
export function useWorkedVariants(
  draft: Draft,
  book: MaterialBook,
  saved: readonly VariantLine[],
): readonly WorkedVariant[] {
  const { data } = useMeasurementsQuery()
  const measured = data?.measured ?? NOTHING_MEASURED
  return draft.variants.map((variant) => {
    const onHand = saved.find(({ id }) => id === variant.id)?.onHand ?? 0
    const fly = resolveDressing({ components: draft.components, steps: null }, variant, book.materials)
    // nobody knows what a fly without a recipe weighs
    if (fly.kind === 'fly' && draft.version !== null && draft.components.length === 0)
      return { variant, onHand, fly, figure: null }
    return fly.kind === 'fly'
      ? {
          variant,
          onHand,
          fly,
          figure: listed(fly, calibrationFor(fly, variant.id, measured)),
        }
      : { variant, onHand, fly: null, figure: null }
  })
}
