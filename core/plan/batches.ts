import { sum } from '../number/index.ts'
import { needCover } from './cover.ts'
import type { FliesOf, NeedCover } from './cover.ts'
import type { PlannedNeed } from './needs.ts'
import { comesThrough, flyCost } from './problem.ts'
import type { Counts, PlanProblem } from './problem.ts'

/** What a batch does for one need: from when to when there would be less to show without it. */
export interface BatchFor {
  readonly need: string
  /** hours with something to show that it adds */
  readonly hours: number
  readonly fromLocalMin: number
  readonly toLocalMin: number
  /** whether without it there would be next to nothing to show */
  readonly elseNothing: boolean
}

/** A batch that the plan chose, and why. */
export interface PlannedBatch {
  readonly candidate: string
  readonly period: number
  readonly count: number
  readonly minutes: number
  readonly nightsToDry: number
  /** what it is for, most hours first */
  readonly covers: readonly BatchFor[]
  /** hours with something to show that all outings would lose without it */
  readonly costOfLeaving: number
}

/** How many flies of each candidate are there at a period's outing, by a plan. */
export function fliesAt(problem: PlanProblem, counts: Counts, period: number): FliesOf {
  const held = new Map(
    problem.candidates.map((candidate, c) => {
      let flies = candidate.onHand * comesThrough(candidate, 0, period)
      for (let k = 0; k <= period; k += 1) flies += (counts[c]?.[k] ?? 0) * comesThrough(candidate, k, period)
      return [candidate.key, flies]
    }),
  )
  return (key) => held.get(key) ?? 0
}

/** Of the half hour that gains most, one that gains so much still belongs to the span that is told. */
const WORTH_TELLING = 0.25
/** A need is next to uncovered where less than this share of its hours is shown. */
const NOTHING = 0.25
const HALF_HOUR_MIN = 30
/** What adds less than some seconds is not told. */
const LEAST_HOURS = 0.004

function batchFor(need: PlannedNeed, whole: NeedCover, without: NeedCover): BatchFor[] {
  const gained = whole.shown.map((hours, half) => hours - (without.shown[half] ?? 0))
  const hours = sum(gained)
  if (hours < LEAST_HOURS) return []
  const most = Math.max(...gained)
  const told = gained.flatMap((gain, half) => (gain >= WORTH_TELLING * most ? [half] : []))
  const could = sum(need.onIt) / 2
  return [
    {
      need: need.key,
      hours,
      fromLocalMin: need.fromLocalMin + HALF_HOUR_MIN * (told[0] ?? 0),
      toLocalMin: need.fromLocalMin + HALF_HOUR_MIN * ((told.at(-1) ?? 0) + 1),
      elseNothing: sum(without.shown) < NOTHING * could,
    },
  ]
}

/** What is asked of a plan by its exact cover. */
interface Reckoned {
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
  readonly counts: Counts
}

/** What so many flies of a candidate, tied in a period, are for: what there would be less to show without them. */
function flyFor(
  { problem, needs, counts }: Reckoned,
  c: number,
  period: number,
  count: number,
): readonly BatchFor[] {
  const candidate = problem.candidates[c]
  if (!candidate) return []
  const periodOf = new Map(problem.periods.map(({ key }, k) => [key, k]))
  const there = problem.periods.map((_, k) => fliesAt(problem, counts, k))
  return needs
    .filter(({ serves }) => serves.some(({ variant }) => variant.key === candidate.key))
    .flatMap((need) => {
      const at = periodOf.get(need.outingKey) ?? 0
      const all = there[at]
      if (at < period || !all) return []
      const brought = count * comesThrough(candidate, period, at)
      const less: FliesOf = (key) => (key === candidate.key ? Math.max(all(key) - brought, 0) : all(key))
      return batchFor(need, needCover(need, all), needCover(need, less))
    })
    .sort((a, b) => b.hours - a.hours)
}

const hoursOf = (covers: readonly BatchFor[]) => sum(covers.map(({ hours }) => hours))

/** The batches of a plan, each with what it is for and what leaving it out would cost, by the exact cover. */
export function batchesOf(
  problem: PlanProblem,
  needs: readonly PlannedNeed[],
  counts: Counts,
): readonly PlannedBatch[] {
  return problem.candidates.flatMap((candidate, c) =>
    problem.periods.flatMap((_, period): PlannedBatch[] => {
      const count = counts[c]?.[period] ?? 0
      if (count === 0) return []
      const covers = flyFor({ problem, needs, counts }, c, period, count)
      return [
        {
          candidate: candidate.key,
          period,
          count,
          minutes: count * candidate.minutesEach,
          nightsToDry: candidate.nightsToDry,
          covers,
          costOfLeaving: hoursOf(covers),
        },
      ]
    }),
  )
}

/**
 * A plan without the flies that do not pay by the exact cover, one taken out after the other: a linear program only comes
 * near it. What the user fixed stays.
 */
export function withoutIdleFlies(problem: PlanProblem, needs: readonly PlannedNeed[], counts: Counts): Counts {
  const kept = counts.map((row) => [...row])
  for (let taken = true; taken;) {
    taken = false
    for (const [c, candidate] of problem.candidates.entries()) {
      if (candidate.fixed !== null) continue
      for (const [k, count] of (kept[c] ?? []).entries()) {
        if (count === 0) continue
        if (hoursOf(flyFor({ problem, needs, counts: kept }, c, k, 1)) >= flyCost(candidate)) continue
        const row = kept[c]
        if (row) row[k] = count - 1
        taken = true
      }
    }
  }
  return kept
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
