import { sum } from '../number/index.ts'
import type { FliesOf } from './cover.ts'
import { chanceWithin } from './hours.ts'
import type { NeedHours } from './hours.ts'
import type { ServingVariant } from './inputs.ts'
import type { OutingNeed } from './outingNeeds.ts'
import type { ServedBy } from './serving.ts'

/** How a stage stands: nothing allowed serves it, something does but may run out, or it is covered. */
export const STANDINGS = ['hole', 'thin', 'covered'] as const
export type Standing = (typeof STANDINGS)[number]

/** Share of the fish from which on a stage is asked for at all: one in twenty. */
const ASKED_FROM = 1 / 20
/** Chance that one is still there from which on a stage does not count as thin. */
const LASTS = 0.8

/** What a stage asks through some half hours; a single one where it is asked of a moment, before anything is lost. */
export type Asked = Pick<ServedBy, 'serves'> & Pick<NeedHours, 'onIt'> & Partial<Pick<NeedHours, 'lost'>>

/** A stage that an outing asks for, and how it stands. */
export interface StageStanding {
  readonly standing: Standing
  /** half hours, counted from the first, in which at least one fish in twenty is on it: the first and the last */
  readonly fromHalf: number
  readonly toHalf: number
  /** the most of the fish that are on it in any half hour, 0 to 1 */
  readonly onIt: number
  /** chance, 0 to 1, that a fly that serves is still there in the last of them */
  readonly lasts: number
}

/**
 * How a stage stands: a hole where at least one fish in twenty is on it in some half hour and nothing that may be fished
 * serves; thin where something serves, but with a chance of more than one in five is lost before the last such half hour.
 * Null where fewer fish are ever on it. Roll, Tonight, boxes, cover and plan all ask here.
 */
export function standingOf({ onIt, lost, serves }: Asked, fliesOf: FliesOf): StageStanding | null {
  const asked = onIt.flatMap((share, half) => (share >= ASKED_FROM ? [half] : []))
  const [fromHalf, toHalf] = [asked[0], asked.at(-1)]
  if (fromHalf === undefined || toHalf === undefined) return null
  const flies = sum(serves.map(({ variant }) => Math.max(fliesOf(variant.key), 0)))
  const lasts = chanceWithin(lost?.[toHalf] ?? [1], flies)
  return {
    standing: flies <= 0 ? 'hole' : lasts < LASTS ? 'thin' : 'covered',
    fromHalf,
    toHalf,
    onIt: Math.max(...onIt),
    lasts,
  }
}

/** How each food of an outing stands that can be shown anything there at all: by stage, what most fish are on first. */
export const standingsOf = <Variant extends ServingVariant>(
  needs: readonly OutingNeed<Variant>[],
  fliesOf: FliesOf,
): readonly (StageStanding & { readonly stageKey: string; readonly need: OutingNeed<Variant> })[] =>
  needs
    .flatMap((need) => {
      const found = need.stageKey !== null && need.reachable ? standingOf(need, fliesOf) : null
      return found && need.stageKey !== null ? [{ ...found, stageKey: need.stageKey, need }] : []
    })
    .sort((a, b) => b.onIt - a.onIt)
