import type { waterside } from '../../../core/index.ts'
import type { AlongView, CommandInput, TapId, VariantId } from '../../../contract/index.ts'

/** What is made of notes from the water: spells, and flies lost out of the compartment they were packed in. */
export type TakenIn = Pick<CommandInput<'outingTakeIn'>, 'spells' | 'losses'>

const MINUTE_MS = 60_000

/** A take or a refusal of an outing is a fish that answered; one that came off after it took is a take. */
const refusalsOf = ({ refusals }: waterside.Fished) => refusals.filter((one) => one !== 'cameOff' && one !== 'dragged').length // prettier-ignore

/** Spells and losses that nothing was made of yet. A spell that still goes on, and what is not aboard any more, is left. */
export function takenIn(along: AlongView, { fished, lost }: waterside.Standing): TakenIn {
  const booked = new Set<string>(along.booked)
  const placeOf = new Map(along.flies.map((fly) => [fly.variantId as string, fly.compartmentId]))
  return {
    spells: fished.flatMap((one) => {
      if (one.toMs === null || booked.has(one.id)) return []
      return [
        {
          tapId: one.id as TapId,
          variantId: one.variantKey as VariantId,
          minutes: Math.max(Math.round((one.toMs - one.fromMs) / MINUTE_MS), 1),
          takes: one.ends.length,
          refusals: refusalsOf(one),
        },
      ]
    }),
    losses: lost.flatMap(({ id, variantKeys, leftIn }) => {
      const flies = variantKeys.flatMap((key) => {
        const compartmentId = placeOf.get(key)
        return compartmentId ? [{ compartmentId, variantId: key as VariantId, cause: leftIn }] : []
      })
      return booked.has(id) || flies.length === 0 ? [] : [{ tapId: id as TapId, losses: flies }]
    }),
  }
}
