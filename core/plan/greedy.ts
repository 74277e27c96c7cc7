import { comesThrough, flyCost, nightsIndex, planValue, suppliesOf } from './problem.ts'
import type { Counts, PlanProblem } from './problem.ts'

/** What a fly of a candidate is worth to a need, by the period that it is tied in: nought where that is too late. */
interface Served {
  readonly need: number
  readonly adds: readonly number[]
  readonly qualities: readonly number[]
}

/** By candidate, what it serves. Reckoned once: the search below asks for it at each step. */
const servedBy = ({ candidates, needs, periods }: PlanProblem): readonly (readonly Served[])[] =>
  candidates.map((candidate) =>
    candidate.serves.flatMap(({ need, quality }): Served[] => {
      const wants = needs[need]
      if (!wants) return []
      const qualities = periods.map((_, k) =>
        k <= wants.period ? quality * comesThrough(candidate, k, wants.period) : 0,
      )
      return [{ need, adds: wants.adds, qualities }]
    }),
  )

/** A plan in the making: counts, and what is left of each limit. */
class Draft {
  readonly counts: number[][]
  private readonly supplies: number[]
  private readonly minutes: number[][]
  private readonly most: number[]
  private readonly left: number[][]

  private readonly problem: PlanProblem
  private readonly served: ReturnType<typeof servedBy>

  constructor(problem: PlanProblem, served: ReturnType<typeof servedBy>) {
    this.problem = problem
    this.served = served
    const { candidates, periods, limits } = problem
    this.counts = candidates.map(() => periods.map(() => 0))
    this.supplies = suppliesOf(problem, this.counts)
    this.minutes = periods.map(({ minutesByNights }) => [...minutesByNights])
    this.most = candidates.map(({ most, fixed }) => fixed ?? most)
    this.left = limits.map(({ available }) => [...available])
  }

  can(c: number, k: number): boolean {
    const candidate = this.problem.candidates[c]
    const minutes = this.minutes[k]
    if (!candidate || !minutes || (this.most[c] ?? 0) < 1) return false
    for (let nights = nightsIndex(candidate); nights >= 0; nights -= 1) {
      if ((minutes[nights] ?? 0) < candidate.minutesEach) return false
    }
    return candidate.uses.every(({ limit, perFly }) =>
      (this.left[limit] ?? []).every((amount, period) => period < k || amount >= perFly - 1e-9),
    )
  }

  /** Adds a fly, or with −1 takes one away. */
  add(c: number, k: number, by: 1 | -1): void {
    const candidate = this.problem.candidates[c]
    const row = this.counts[c]
    const minutes = this.minutes[k]
    if (!candidate || !row || !minutes) return
    row[k] = (row[k] ?? 0) + by
    this.most[c] = (this.most[c] ?? 0) - by
    for (let nights = nightsIndex(candidate); nights >= 0; nights -= 1) {
      minutes[nights] = (minutes[nights] ?? 0) - by * candidate.minutesEach
    }
    for (const { need, qualities } of this.served[c] ?? []) {
      this.supplies[need] = (this.supplies[need] ?? 0) + by * (qualities[k] ?? 0)
    }
    for (const { limit, perFly } of candidate.uses) {
      const left = this.left[limit]
      if (left)
        for (let period = k; period < left.length; period += 1) left[period] = (left[period] ?? 0) - by * perFly
    }
  }

  /** What one more fly would add, less its effort. */
  gain(c: number, k: number): number {
    const candidate = this.problem.candidates[c]
    if (!candidate) return 0
    let sum = -flyCost(candidate)
    for (const { need, adds, qualities } of this.served[c] ?? []) {
      let rest = qualities[k] ?? 0
      for (let at = this.supplies[need] ?? 0; rest > 1e-9 && at < adds.length;) {
        const step = Math.min(rest, Math.floor(at + 1e-9) + 1 - at)
        sum += (adds[Math.floor(at + 1e-9)] ?? 0) * Math.min(step, adds.length - at)
        at += step
        rest -= step
      }
    }
    return sum
  }
}

/** Adds flies one by one, each time the one that adds most, by the minute or in all, until none adds anything. */
function fill(draft: Draft, problem: PlanProblem, byMinute: boolean): void {
  const { candidates, periods } = problem
  for (;;) {
    let best: readonly [c: number, k: number] | null = null
    let most = 1e-9
    for (const [c, candidate] of candidates.entries()) {
      for (let k = 0; k < periods.length; k += 1) {
        if (!draft.can(c, k)) continue
        const gain = draft.gain(c, k)
        const merit = byMinute ? gain / candidate.minutesEach : gain
        if (merit > most) {
          most = merit
          best = [c, k]
        }
      }
    }
    if (!best) return
    draft.add(best[0], best[1], 1)
  }
}

const MOST_ROUNDS = 4

/**
 * A good plan at once: the better of two greedy ones, then by local search: one fly is taken out and what fits best put
 * in its place, as long as that makes it better. Yields the share that is done.
 */
export function* greedyPlan(problem: PlanProblem): Generator<{ readonly done: number }, Counts> {
  const served = servedBy(problem)
  const drafts = [true, false].map((byMinute) => {
    const draft = new Draft(problem, served)
    fill(draft, problem, byMinute)
    return { draft, byMinute, value: planValue(problem, draft.counts) }
  })
  let best = drafts.reduce((a, b) => (b.value > a.value ? b : a))
  yield { done: 0.3 }
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const before = best.value
    const placed = best.draft.counts.flatMap((row, c) =>
      row.flatMap((count, k) => (count > 0 ? [[c, k] as const] : [])),
    )
    for (const [nth, [c, k]] of placed.entries()) {
      if ((best.draft.counts[c]?.[k] ?? 0) === 0) continue
      const other = new Draft(problem, served)
      for (const [i, row] of best.draft.counts.entries()) {
        for (const [j, count] of row.entries()) for (let n = 0; n < count; n += 1) other.add(i, j, 1)
      }
      other.add(c, k, -1)
      fill(other, problem, !best.byMinute)
      const value = planValue(problem, other.counts)
      if (value > best.value + 1e-9) best = { draft: other, byMinute: best.byMinute, value }
      yield { done: 0.3 + (0.7 * (round + nth / placed.length)) / MOST_ROUNDS }
    }
    if (best.value <= before + 1e-9) break
  }
  return best.draft.counts
}
