import {
  batchesOf,
  benchTime,
  buyingList,
  drawerUses,
  fliesAt,
  inOrder,
  outingCover,
  overEvenings,
  periodsOf,
  readyDays,
  withoutIdleFlies,
} from '../../../core/index.ts'
import type {
  Counts,
  EveningShare,
  FliesOf,
  OutingCover,
  PlanInputs,
  PlannedBatch,
  PlannedNeed,
  PlanProblem,
} from '../../../core/index.ts'
import type { Planned, PlannedVariant } from '../../../contract/planned.ts'
import type { NamedBuyLine } from '../../parts/buying/BuyingList.tsx'
import type { Newcomer } from './useNewcomers.ts'

/** A batch with its fly, and what it needs at hand. */
export interface AheadBatch extends PlannedBatch {
  readonly variant: PlannedVariant
  /** the variant where it is still to be made */
  readonly newcomer: Newcomer | null
  readonly setup: PlannedVariant['setup']
  readonly bill: PlannedVariant['bill']
  /** day before which a delivery that it needs is not there; null where the stores suffice */
  readonly notBefore: string | null
}

/** What is tied before an outing, and on which evenings. */
export interface AheadPeriod {
  readonly outingId: string
  /** in the order of the bench */
  readonly batches: readonly AheadBatch[]
  readonly evenings: readonly { readonly on: string; readonly minutes: number }[]
  readonly shares: readonly EveningShare<AheadBatch>[]
  /** minutes of its evenings that are free, and those that go to what waits at the bench */
  readonly minutes: number
  readonly queuedMinutes: number
  /** hours of the outing with something to show: as the boxes and the bench are, and with what is tied */
  readonly needs: readonly PlannedNeed[]
  readonly before: OutingCover
  readonly after: OutingCover
  /** flies there with what is tied, less what the outings before it cost */
  readonly held: FliesOf
}

/** A plan as the page shows it. */
export interface Ahead {
  readonly planned: Planned
  /** variants that it could choose though they are not made yet */
  readonly newcomers: readonly Newcomer[]
  readonly needs: ReadonlyMap<string, PlannedNeed>
  readonly periods: readonly AheadPeriod[]
  readonly buying: readonly NamedBuyLine[]
  /** how far the plan may be from the best there is, as share; null where nothing is proven */
  readonly gap: number | null
  readonly isDone: boolean
}

/** A plan that was made, with what it was made from. */
export interface MadePlan {
  readonly inputs: PlanInputs
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
  readonly counts: Counts
  readonly gap: number | null
  readonly isDone: boolean
}

/** The batches of a plan with their flies, those of earlier outings first. */
function chosenBatches(
  { inputs, problem, needs, counts }: MadePlan,
  planned: Planned,
  newcomers: readonly Newcomer[],
): readonly AheadBatch[] {
  const variants = new Map(planned.variants.map((variant) => [variant.variantId as string, variant]))
  const toMake = new Map(newcomers.map((newcomer) => [newcomer.variantId as string, newcomer]))
  const chosen = batchesOf(problem, needs, counts)
    .flatMap((batch) => {
      const newcomer = toMake.get(batch.candidate) ?? null
      const variant = variants.get(batch.candidate) ?? newcomer
      return variant
        ? [
            {
              ...batch,
              variant,
              newcomer: variant === newcomer ? newcomer : null,
              setup: variant.setup,
              bill: variant.bill,
            },
          ]
        : []
    })
    .sort((a, b) => a.period - b.period)
  const ready = readyDays(chosen, supplyOf(planned), inputs.today)
  return chosen.map((batch, i) => ({ ...batch, notBefore: ready[i] ?? null }))
}

const supplyOf = ({ drawers }: Planned) =>
  drawers.map(({ materialId, ...drawer }) => ({ ...drawer, key: materialId as string }))

function buyingOf(planned: Planned, shares: readonly EveningShare<AheadBatch>[]): readonly NamedBuyLine[] {
  const supply = supplyOf(planned)
  const drawers = new Map(supply.map((drawer) => [drawer.key, drawer]))
  const lines = buyingList(
    supply.map(({ minimumAmount, packAmount, ...drawer }) => ({
      ...drawer,
      minimum: minimumAmount,
      pack: packAmount,
    })),
    drawerUses(shares, supply),
  )
  return lines.flatMap((line) => {
    const drawer = drawers.get(line.key)
    return drawer
      ? [{ ...line, name: drawer.name, stockUnit: drawer.stockUnit, packAmount: drawer.packAmount }]
      : []
  })
}

/** A plan as the page shows it: its batches in the order of the bench, over the evenings, with what that takes. */
export function aheadOf(made: MadePlan, planned: Planned, newcomers: readonly Newcomer[]): Ahead {
  const { inputs, problem, needs } = made
  const counts = withoutIdleFlies(problem, needs, made.counts)
  const batches = chosenBatches({ ...made, counts }, planned, newcomers)
  const nothing = counts.map((row) => row.map(() => 0))
  const time = benchTime(inputs)
  const periods = periodsOf(inputs).map(({ outing, evenings }, k): AheadPeriod => {
    const free = time[k] ?? []
    const held = fliesAt(problem, counts, k)
    const own = needs.filter(({ outingKey }) => outingKey === outing.key)
    const ordered = inOrder(batches.filter(({ period }) => period === k))
    return {
      outingId: outing.key,
      batches: ordered,
      evenings,
      shares: overEvenings(ordered, free),
      minutes: free.reduce((sum, { minutes }) => sum + minutes, 0),
      queuedMinutes: evenings.reduce((sum, { minutes }, i) => sum + minutes - (free[i]?.minutes ?? 0), 0),
      needs: own,
      before: outingCover(own, fliesAt(problem, nothing, k)),
      after: outingCover(own, held),
      held,
    }
  })
  return {
    planned,
    newcomers,
    needs: new Map(needs.map((need) => [need.key, need])),
    periods,
    gap: made.gap,
    isDone: made.isDone,
    buying: buyingOf(
      planned,
      periods.flatMap(({ shares }) => shares),
    ),
  }
}
