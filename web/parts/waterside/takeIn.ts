import { waterside } from '../../../core/index.ts'
import type { AlongView, CommandInput, TapId, VariantId } from '../../../contract/index.ts'

/** What is made of notes from the water: spells, and flies lost out of the compartment they were packed in. */
export interface TakenIn extends Required<Pick<CommandInput<'outingTakeIn'>, 'spells' | 'losses'>> {
  /** flies that were lost and lie nowhere any more, by their ids: a box that changed meanwhile */
  readonly gone: readonly string[]
}

/** Spells and losses that nothing was made of yet; a spell that still goes on is none. */
export function takenIn(along: AlongView, standing: waterside.Standing): TakenIn {
  const booked = new Set<string>(along.booked)
  const placeOf = new Map(along.flies.map((fly) => [fly.variantId as string, fly.compartmentId]))
  const lost = standing.lost.filter(({ id }) => !booked.has(id))
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
    losses: lost.flatMap(({ id, variantKeys, leftIn }) => {
      const flies = variantKeys.flatMap((key) => {
        const compartmentId = placeOf.get(key)
        return compartmentId ? [{ compartmentId, variantId: key as VariantId, cause: leftIn }] : []
      })
      return flies.length === 0 ? [] : [{ tapId: id as TapId, losses: flies }]
    }),
    gone: lost.flatMap(({ variantKeys }) => variantKeys.filter((key) => !placeOf.get(key))),
  }
}
