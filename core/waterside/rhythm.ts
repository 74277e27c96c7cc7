import { Beat } from './beat.ts'
import type { Keeps } from './beat.ts'
import { everyNth } from './everyNth.ts'

/** What is made of the rises of one fish, and of the naturals that passed it. */
export type Rhythm =
  /** fewer than four rises */
  | { readonly kind: 'tooFew' }
  /** no beat is claimed; after fifteen rises none is looked for any more */
  | { readonly kind: 'noBeat'; readonly isGivenUp: boolean }
  | Keeps
  /** it takes each n-th natural: so many more are to pass before that one */
  | { readonly kind: 'naturals'; readonly nth: number; readonly before: number }

/**
 * A beat is claimed once it is twenty times as likely as chance: then at most one in twenty fishes without one is wronged,
 * however long they are looked at.
 */
export const CLAIM = 20
const LEAST_RISES = 4
const GIVEN_UP_RISES = 15
/** Where naturals are tapped too, so much is staked on them. */
const ON_NATURALS = 0.4

/** How many naturals passed between rises, one count a rise but the first. */
const between = (rises: readonly number[], naturals: readonly number[]): readonly number[] =>
  rises.slice(1).map((riseS, i) => naturals.filter((s) => s > (rises[i] ?? 0) && s <= riseS).length)

/** The rhythm of a fish from when it rose and when naturals passed it, s from any beginning, in order. */
export function rhythmOf(rises: readonly number[], naturals: readonly number[] = []): Rhythm {
  if (rises.length < LEAST_RISES) return { kind: 'tooFew' }
  const beat = new Beat()
  for (let i = 1; i < rises.length; i += 1) beat.hear((rises[i] ?? 0) - (rises[i - 1] ?? 0))
  const counted = naturals.length > 0 ? everyNth(between(rises, naturals)) : null
  const staked = counted ? ON_NATURALS : 0
  const [ofTime, ofNaturals] = [(1 - staked) * beat.odds, staked * (counted?.odds ?? 0)]
  if (ofTime + ofNaturals < CLAIM) return { kind: 'noBeat', isGivenUp: rises.length >= GIVEN_UP_RISES }
  if (!counted || ofTime >= ofNaturals) return beat.keeps
  const since = naturals.filter((s) => s > (rises.at(-1) ?? 0)).length
  return { kind: 'naturals', nth: counted.nth, before: Math.max(counted.nth - since - 1, 0) }
}
