import { waterside } from '../../../core/index.ts'
import type { AlongView, CommandInput, TapId, VariantId } from '../../../contract/index.ts'

/** What is made of notes from the water: spells, and flies lost out of the compartment they were packed in. */
export type TakenIn = Pick<CommandInput<'outingTakeIn'>, 'spells' | 'losses'>

/** Spells and losses that nothing was made of yet. A spell that still goes on, and what was never aboard, is left. */
export function takenIn(along: AlongView, standing: waterside.Standing): TakenIn {
  const booked = new Set<string>(along.booked)
  const placeOf = new Map(along.flies.map((fly) => [fly.variantId as string, fly.compartmentId]))
  return {
    spells: waterside
      .spellsOf(standing)
      .filter(({ id }) => !booked.has(id))
      .map(({ id, variantKey, ...spell }) => ({
        ...spell,
        tapId: id as TapId,
        variantId: variantKey as VariantId,
        rigId: null,
      })),
    losses: standing.lost.flatMap(({ id, variantKeys, leftIn }) => {
      const flies = variantKeys.flatMap((key) => {
        const compartmentId = placeOf.get(key)
        return compartmentId ? [{ compartmentId, variantId: key as VariantId, cause: leftIn }] : []
      })
      return booked.has(id) || flies.length === 0 ? [] : [{ tapId: id as TapId, losses: flies }]
    }),
  }
}
