import type { Trust } from './takes.ts'

/** The time at the bench before an outing, after the one before it. */
export interface PlanPeriod {
  readonly key: string
  /**
   * Minutes of the evenings that lie at least one night before its outing, at least two, and so on: the first are all of
   * them, and what has to dry for two nights has only the second.
   */
  readonly minutesByNights: readonly number[]
}

/** Something that the box should have for an outing. */
export interface PlanNeed {
  readonly key: string
  /** period whose outing it is for */
  readonly period: number
  /** hours with something to show that its first, second … fly adds, never more than the one before it */
  readonly adds: readonly number[]
}

/** A fly that could be tied. */
export interface PlanCandidate {
  readonly key: string
  readonly minutesEach: number
  /** nights that have to pass between the bench and the water */
  readonly nightsToDry: number
  /** 0 gladly to 1 never again */
  readonly dislike: number
  /** by what it took so far */
  readonly trust: Trust
  readonly onHand: number
  /** how many more at most */
  readonly most: number
  readonly uses: readonly { readonly limit: number; readonly perFly: number }[]
  /** needs by index, with how well it serves them, 0 to 1 */
  readonly serves: readonly { readonly need: number; readonly quality: number }[]
  /** share of its flies, 0 to 1, that come back from each period's outing */
  readonly survives: readonly number[]
  /** a number that the user fixed; null leaves it to the plan */
  readonly fixed: number | null
}

/** What runs out: a drawer in its smallest steps, the room of a compartment in flies. */
export interface PlanLimit {
  readonly key: string
  /** by period: how much may have been used up to its end */
  readonly available: readonly number[]
}

/** What to tie before which outing. */
export interface PlanProblem {
  readonly periods: readonly PlanPeriod[]
  readonly needs: readonly PlanNeed[]
  readonly candidates: readonly PlanCandidate[]
  readonly limits: readonly PlanLimit[]
}

/** Flies to tie: by candidate, by period. */
export type Counts = readonly (readonly number[])[]

/** A fly that the user asked for is tied before all that the plan would choose. */
const FIXED_WORTH = 1000

/** An hour at the bench is worth tying for less than three minutes of fishing; what is hated, seven times as many. Judgement. */
const HOURS_A_MINUTE = 0.0008
const MORE_IF_DISLIKED = 6
/**
 * Of two flies that do alike what one trusts goes first, and what was fished and took little goes last: as many times the
 * cost. It decides between minutes of cover, not between hours. Judgement.
 */
const COST_BY_TRUST: Readonly<Record<Trust, number>> = { trusted: 0.5, promising: 0.9, notFished: 1, poor: 2 }

/**
 * What a fly costs in covered hours: time at the bench is not free, some patterns are hateful to tie, and some are trusted. One that the
 * user asked for costs nothing, and is worth more than any other.
 */
export const flyCost = ({ minutesEach, dislike, trust, fixed }: PlanCandidate): number =>
  fixed === null
    ? HOURS_A_MINUTE * minutesEach * (1 + MORE_IF_DISLIKED * dislike) * COST_BY_TRUST[trust]
    : -FIXED_WORTH

/** Hours that a supply of a need covers: whole flies in full, a part of one in part. */
export function worthOf({ adds }: PlanNeed, supply: number): number {
  let hours = 0
  for (let nth = 0; nth < adds.length && nth < supply; nth += 1) {
    hours += (adds[nth] ?? 0) * Math.min(supply - nth, 1)
  }
  return hours
}

/** Share of flies, 0 to 1, that are there from one period on and still there at the outing of another. */
export function comesThrough({ survives }: PlanCandidate, from: number, to: number): number {
  let share = 1
  for (let period = from; period < to; period += 1) share *= survives[period] ?? 1
  return share
}

/** Supply of each need: flies that serve it, by how well, on hand or tied up to its outing, and not lost before it. */
export function suppliesOf(problem: PlanProblem, counts: Counts): number[] {
  const supplies = problem.needs.map(() => 0)
  for (const [c, candidate] of problem.candidates.entries()) {
    for (const { need, quality } of candidate.serves) {
      const until = problem.needs[need]?.period ?? 0
      let flies = candidate.onHand * comesThrough(candidate, 0, until)
      for (let k = 0; k <= until; k += 1) flies += (counts[c]?.[k] ?? 0) * comesThrough(candidate, k, until)
      supplies[need] = (supplies[need] ?? 0) + quality * flies
    }
  }
  return supplies
}

/** Which entry of a period's minutes a fly is tied in. */
export const nightsIndex = ({ nightsToDry }: PlanCandidate): number => Math.max(nightsToDry - 1, 0)

/** How well the needs are covered, whatever that takes. */
export function coverOf(problem: PlanProblem, counts: Counts): number {
  const supplies = suppliesOf(problem, counts)
  return problem.needs.reduce((sum, need, n) => sum + worthOf(need, supplies[n] ?? 0), 0)
}

/** What a plan is worth: its cover, less what its flies cost. */
export function planValue(problem: PlanProblem, counts: Counts): number {
  const cost = problem.candidates.reduce(
    (sum, candidate, c) => sum + flyCost(candidate) * (counts[c] ?? []).reduce((all, count) => all + count, 0),
    0,
  )
  return coverOf(problem, counts) - cost
}

const SLACK = 1e-6

type Fault = 'minutes' | 'most' | 'limits' | 'fixed'

/** What a plan would break; nothing where it can be done. */
export function faultsOf(problem: PlanProblem, counts: Counts): readonly Fault[] {
  const faults = new Set<Fault>()
  const totals = counts.map((row) => row.reduce((sum, count) => sum + count, 0))
  for (const [k, { minutesByNights }] of problem.periods.entries()) {
    for (const [nights, minutes] of minutesByNights.entries()) {
      const used = problem.candidates.reduce(
        (sum, candidate, c) =>
          nightsIndex(candidate) >= nights ? sum + candidate.minutesEach * (counts[c]?.[k] ?? 0) : sum,
        0,
      )
      if (used > minutes + SLACK) faults.add('minutes')
    }
  }
  const used = problem.limits.map(() => problem.periods.map(() => 0))
  for (const [c, { most, fixed, uses }] of problem.candidates.entries()) {
    const total = totals[c] ?? 0
    if (fixed === null && total > most) faults.add('most')
    if (fixed !== null && total > fixed) faults.add('fixed')
    for (const { limit, perFly } of uses) {
      const row = used[limit]
      let sum = 0
      for (const [k] of problem.periods.entries()) {
        sum += counts[c]?.[k] ?? 0
        if (row) row[k] = (row[k] ?? 0) + perFly * sum
      }
    }
  }
  for (const [m, { available }] of problem.limits.entries()) {
    if (available.some((most, k) => (used[m]?.[k] ?? 0) > most + SLACK)) faults.add('limits')
  }
  return [...faults]
}
