import { comesThrough, flyCost, nightsIndex } from './problem.ts'
import type { Counts, PlanProblem } from './problem.ts'
import { clamp } from '../number/index.ts'

/** A mixed-integer program to be made as large as possible, row-wise sparse, for any solver. */
export interface Program {
  readonly cost: readonly number[]
  readonly lower: readonly number[]
  readonly upper: readonly number[]
  readonly isInteger: readonly boolean[]
  /** each row: Σ value × column ≤ most */
  readonly rows: readonly {
    readonly columns: readonly number[]
    readonly values: readonly number[]
    readonly most: number
  }[]
}

/**
 * The plan as a program. Integer columns x(candidate, period) count flies; continuous ones y(need, nth) from 0 to 1 say
 * how far the nth fly of a need is there. Worth falls from fly to fly, so the y fill up in their order by themselves,
 * and the relaxation is nearly whole: of 120 needs, 300 candidates and 6 outings the gap closes in seconds.
 */
export function programOf(problem: PlanProblem): Program {
  const { periods, needs, candidates, limits } = problem
  const cost: number[] = []
  const lower: number[] = []
  const upper: number[] = []
  const isInteger: boolean[] = []
  for (const candidate of candidates) {
    const most = candidate.fixed ?? candidate.most
    for (const { minutesByNights } of periods) {
      const minutes = minutesByNights[nightsIndex(candidate)] ?? 0
      cost.push(-flyCost(candidate))
      lower.push(0)
      upper.push(Math.max(Math.min(most, Math.floor(minutes / candidate.minutesEach)), 0))
      isInteger.push(true)
    }
  }
  const x = (c: number, k: number) => c * periods.length + k
  const rows: { columns: number[]; values: number[]; most: number }[] = []
  const needRows = needs.map((need) => {
    const columns: number[] = []
    for (const add of need.adds) {
      columns.push(cost.length)
      cost.push(add)
      lower.push(0)
      upper.push(1)
      isInteger.push(false)
    }
    const row = { columns, values: columns.map(() => 1), most: 0 }
    rows.push(row)
    return row
  })
  for (const [c, candidate] of candidates.entries()) {
    for (const { need, quality } of candidate.serves) {
      const row = needRows[need]
      const until = needs[need]?.period ?? -1
      if (!row) continue
      row.most += quality * candidate.onHand * comesThrough(candidate, 0, until)
      for (let k = 0; k <= until; k += 1) {
        row.columns.push(x(c, k))
        row.values.push(-quality * comesThrough(candidate, k, until))
      }
    }
  }
  for (const [k, { minutesByNights }] of periods.entries()) {
    for (const [nights, most] of minutesByNights.entries()) {
      const tied = candidates.flatMap((candidate, c) =>
        nightsIndex(candidate) >= nights ? [{ column: x(c, k), value: candidate.minutesEach }] : [],
      )
      if (tied.length === 0) continue
      rows.push({ columns: tied.map(({ column }) => column), values: tied.map(({ value }) => value), most })
    }
  }
  for (const [c, { most, fixed }] of candidates.entries()) {
    rows.push({ columns: periods.map((_, k) => x(c, k)), values: periods.map(() => 1), most: fixed ?? most })
  }
  for (const [m, { available }] of limits.entries()) {
    for (const [k, most] of available.entries()) {
      const columns: number[] = []
      const values: number[] = []
      for (const [c, { uses }] of candidates.entries()) {
        const use = uses.find(({ limit }) => limit === m)
        if (!use) continue
        for (let until = 0; until <= k; until += 1) {
          columns.push(x(c, until))
          values.push(use.perFly)
        }
      }
      if (columns.length > 0) rows.push({ columns, values, most: Math.max(most, 0) })
    }
  }
  return { cost, lower, upper, isInteger, rows }
}

/** Counts of a solution's columns. */
export const countsOf = ({ candidates, periods }: PlanProblem, columns: ArrayLike<number>): Counts =>
  candidates.map((_, c) => periods.map((__, k) => Math.round(columns[c * periods.length + k] ?? 0)))

/** Columns of counts, to start a solver from: as much of each need as they supply. */
export function columnsOf(problem: PlanProblem, counts: Counts, supplies: readonly number[]): number[] {
  const columns = counts.flatMap((row) => [...row])
  for (const [n, { adds }] of problem.needs.entries()) {
    for (let nth = 0; nth < adds.length; nth += 1) columns.push(clamp((supplies[n] ?? 0) - nth, 0, 1))
  }
  return columns
}
