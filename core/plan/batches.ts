import { comesThrough, coverOf, suppliesOf, worthOf } from './problem.ts'
import type { Counts, PlanProblem } from './problem.ts'

/** A batch that the plan chose, and why. */
export interface PlannedBatch {
  readonly candidate: string
  readonly period: number
  readonly count: number
  readonly minutes: number
  readonly nightsToDry: number
  /** needs that it helps, most first, with the worth that it adds to each */
  readonly covers: readonly { readonly need: string; readonly adds: number }[]
  /** what the cover of all needs would lose without it, as share */
  readonly costOfLeaving: number
}

/** The batches of a plan, each with what it covers and what leaving it out would cost. */
export function batchesOf(problem: PlanProblem, counts: Counts): readonly PlannedBatch[] {
  const supplies = suppliesOf(problem, counts)
  const cover = coverOf(problem, counts)
  return problem.candidates.flatMap((candidate, c) =>
    problem.periods.flatMap((_, period): PlannedBatch[] => {
      const count = counts[c]?.[period] ?? 0
      if (count === 0) return []
      const without = counts.map((row, i) => (i === c ? row.map((old, k) => (k === period ? 0 : old)) : row))
      const covers = candidate.serves
        .filter(({ need }) => (problem.needs[need]?.period ?? -1) >= period)
        .flatMap(({ need: n, quality }) => {
          const need = problem.needs[n]
          if (!need) return []
          const supply = supplies[n] ?? 0
          const brought = quality * count * comesThrough(candidate, period, need.period)
          const adds = worthOf(need, supply) - worthOf(need, supply - brought)
          return adds > 1e-9 ? [{ need: need.key, adds }] : []
        })
        .sort((a, b) => b.adds - a.adds)
      return [
        {
          candidate: candidate.key,
          period,
          count,
          minutes: count * candidate.minutesEach,
          nightsToDry: candidate.nightsToDry,
          covers,
          costOfLeaving: cover > 0 ? Math.max(cover - coverOf(problem, without), 0) / cover : 0,
        },
      ]
    }),
  )
}

/** What a batch needs at hand: changing any of it costs time. */
export interface Setup {
  readonly thread: string
  readonly hook: string
  readonly bead: string
}

const changesBetween = (a: Setup, b: Setup) =>
  Number(a.thread !== b.thread) + Number(a.hook !== b.hook) + Number(a.bead !== b.bead)

/**
 * Batches of one period in an order with few changes of thread, hook and bead: from each start to the nearest next, the
 * best of all starts, then turned round in stretches as long as that saves changes.
 */
export function inOrder<Batch extends { readonly setup: Setup }>(batches: readonly Batch[]): readonly Batch[] {
  const cost = (order: readonly Batch[]) =>
    order.slice(1).reduce((sum, batch, i) => {
      const before = order[i]
      return before ? sum + changesBetween(before.setup, batch.setup) : sum
    }, 0)
  const from = (start: number) => {
    const left = [...batches]
    const order = left.splice(start, 1)
    while (left.length > 0) {
      const last = order[order.length - 1]
      const next = left.reduce(
        (best, batch, i) => {
          const changes = last ? changesBetween(last.setup, batch.setup) : 0
          return changes < best.changes ? { i, changes } : best
        },
        { i: 0, changes: Infinity },
      )
      order.push(...left.splice(next.i, 1))
    }
    return order
  }
  let best = batches
  for (const [start] of batches.entries()) {
    const order = from(start)
    if (cost(order) < cost(best)) best = order
  }
  for (let better = true; better;) {
    better = false
    for (let i = 0; i < best.length - 1; i += 1) {
      for (let j = i + 1; j < best.length; j += 1) {
        const turned = [...best.slice(0, i), ...best.slice(i, j + 1).reverse(), ...best.slice(j + 1)]
        if (cost(turned) < cost(best)) {
          best = turned
          better = true
        }
      }
    }
  }
  return best
}

/** Some flies of a batch on one evening. */
export interface EveningShare<Batch> {
  readonly on: string
  readonly batch: Batch
  readonly count: number
}

/** A batch as far as it bears on which evening it is tied. */
interface Scheduled {
  readonly count: number
  readonly minutes: number
  readonly nightsToDry?: number
  readonly notBefore?: string | null
}

/**
 * Batches in their order over the evenings there are; a batch that does not fit goes on the next evening. One that waits
 * for a delivery is not begun before it: what waits comes last, the first to be delivered first. What has to dry longest
 * comes before what is dry sooner.
 */
export function overEvenings<Batch extends Scheduled>(
  batches: readonly Batch[],
  evenings: readonly { readonly on: string; readonly minutes: number }[],
): readonly EveningShare<Batch>[] {
  const shares: EveningShare<Batch>[] = []
  let at = 0
  let left = evenings[0]?.minutes ?? 0
  const waiting = (batch: Batch) => batch.notBefore ?? ''
  const inTurn = [...batches].sort(
    (a, b) => waiting(a).localeCompare(waiting(b)) || (b.nightsToDry ?? 0) - (a.nightsToDry ?? 0),
  )
  for (const batch of inTurn) {
    while (at < evenings.length && (evenings[at]?.on ?? '') < waiting(batch)) {
      at += 1
      left = evenings[at]?.minutes ?? 0
    }
    const each = batch.minutes / Math.max(batch.count, 1)
    let rest = batch.count
    while (rest > 0 && at < evenings.length) {
      const evening = evenings[at]
      const fit = Math.min(rest, Math.floor(left / each + 1e-9))
      if (evening && fit > 0) {
        shares.push({ on: evening.on, batch, count: fit })
        rest -= fit
        left -= fit * each
      }
      if (rest > 0) {
        at += 1
        left = evenings[at]?.minutes ?? 0
      }
    }
  }
  return shares
}
