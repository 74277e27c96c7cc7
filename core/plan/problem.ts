/** The time at the bench before an outing, after the one before it. */
export interface PlanPeriod {
  readonly key: string
  readonly minutes: number
}

/** Something that the box should have for an outing. */
export interface PlanNeed {
  readonly key: string
  /** period whose outing it is for */
  readonly period: number
  /** worth of the first fly for it; further ones are worth less */
  readonly worth: number
  /** how many flies of it are worth anything */
  readonly wanted: number
}

/** A fly that could be tied. */
export interface PlanCandidate {
  readonly key: string
  readonly minutesEach: number
  /** 0 gladly to 1 never again */
  readonly dislike: number
  readonly onHand: number
  /** how many more find a place in the box */
  readonly room: number
  readonly uses: readonly { readonly material: number; readonly perFly: number }[]
  /** needs by index, with how well it serves them, 0 to 1 */
  readonly serves: readonly { readonly need: number; readonly quality: number }[]
  /** a number that the user fixed; null leaves it to the plan */
  readonly fixed: number | null
}

/** A material that limits: in the stores, and what can be had by the period's start. */
export interface PlanMaterial {
  readonly key: string
  /** in smallest steps, by period: what may have been used up to its end */
  readonly available: readonly number[]
}

/** What to tie before which outing. */
export interface PlanProblem {
  readonly periods: readonly PlanPeriod[]
  readonly needs: readonly PlanNeed[]
  readonly candidates: readonly PlanCandidate[]
  readonly materials: readonly PlanMaterial[]
}

/** Flies to tie: by candidate, by period. */
export type Counts = readonly (readonly number[])[]

/** Of its worth, what the first, second, third fly of a need adds; from there on each adds the last. */
const GAINS = [1, 0.55, 0.35, 0.2, 0.12, 0.08] as const

/** What the nth fly of a need adds, from 0. */
export const gainOf = (nth: number): number => GAINS[Math.min(nth, GAINS.length - 1)] ?? 0

/** A fly that the user asked for is tied before all that the plan would choose. */
const FIXED_WORTH = 1000

/**
 * What a fly costs in the same coin as worth: time at the bench is not free, and some patterns are hateful to tie. One
 * that the user asked for costs nothing, and is worth more than any other.
 */
export const flyCost = ({ minutesEach, dislike, fixed }: PlanCandidate): number =>
  fixed === null ? 0.002 * minutesEach * (1 + 6 * dislike) : -FIXED_WORTH

/** Worth of a supply of a need: whole flies in full, a part of one in part. */
export function worthOf({ worth, wanted }: PlanNeed, supply: number): number {
  let sum = 0
  for (let nth = 0; nth < wanted && nth < supply; nth += 1) sum += gainOf(nth) * Math.min(supply - nth, 1)
  return worth * sum
}

/** Supply of each need: flies that serve it, by how well, on hand or tied up to its outing. */
export function suppliesOf(problem: PlanProblem, counts: Counts): number[] {
  const supplies = problem.needs.map(() => 0)
  for (const [c, candidate] of problem.candidates.entries()) {
    for (const { need, quality } of candidate.serves) {
      const until = problem.needs[need]?.period ?? 0
      const tied = (counts[c] ?? []).slice(0, until + 1).reduce((sum, count) => sum + count, 0)
      supplies[need] = (supplies[need] ?? 0) + quality * (candidate.onHand + tied)
    }
  }
  return supplies
}

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

/** What a plan would break; nothing where it can be done. */
export function faultsOf(
  problem: PlanProblem,
  counts: Counts,
): readonly ('minutes' | 'room' | 'materials' | 'fixed')[] {
  const faults = new Set<'minutes' | 'room' | 'materials' | 'fixed'>()
  const totals = counts.map((row) => row.reduce((sum, count) => sum + count, 0))
  for (const [k, { minutes }] of problem.periods.entries()) {
    const used = problem.candidates.reduce(
      (sum, { minutesEach }, c) => sum + minutesEach * (counts[c]?.[k] ?? 0),
      0,
    )
    if (used > minutes + SLACK) faults.add('minutes')
  }
  const used = problem.materials.map(() => problem.periods.map(() => 0))
  for (const [c, { room, fixed, uses }] of problem.candidates.entries()) {
    const total = totals[c] ?? 0
    if (fixed === null && total > room) faults.add('room')
    if (fixed !== null && total > fixed) faults.add('fixed')
    for (const { material, perFly } of uses) {
      const row = used[material]
      let sum = 0
      for (const [k] of problem.periods.entries()) {
        sum += counts[c]?.[k] ?? 0
        if (row) row[k] = (row[k] ?? 0) + perFly * sum
      }
    }
  }
  for (const [m, { available }] of problem.materials.entries()) {
    if (available.some((limit, k) => (used[m]?.[k] ?? 0) > limit + SLACK)) faults.add('materials')
  }
  return [...faults]
}
