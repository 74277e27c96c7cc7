import { useEffect, useMemo, useState } from 'react'
import {
  batchesOf,
  buyingList,
  drawerUses,
  inOrder,
  overEvenings,
  periodsOf,
  readyDays,
} from '../../../core/index.ts'
import type {
  Counts,
  EveningShare,
  PlanInputs,
  PlannedBatch,
  PlannedNeed,
  PlanProblem,
  WaterKind,
} from '../../../core/index.ts'
import type { FrameView, LarderView, PlanVariant, PlanView } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery, usePlanQuery } from '../../app/api.ts'
import { toTieable } from '../../app/planVariant.ts'
import { setWork } from '../../app/state.ts'
import { useAppDispatch } from '../../app/store.ts'
import type { NamedBuyLine } from '../buying/BuyingList.tsx'
import { runJob } from '../../workers/gateway.ts'

/** The solver shares the finder's second worker, so that the first stays free for sheets. */
const PLAN_LANE = 1
const SECONDS = 5

/** A batch with its fly, and what it needs at hand. */
export interface AheadBatch extends PlannedBatch {
  readonly variant: PlanVariant
  readonly setup: PlanVariant['setup']
  readonly bill: PlanVariant['bill']
  /** day before which a delivery that it needs is not there; null where the stores suffice */
  readonly notBefore: string | null
}

/** A plan as the page shows it. */
export interface Ahead {
  readonly view: PlanView
  readonly needs: ReadonlyMap<string, PlannedNeed>
  /** by outing, in the order of the bench */
  readonly periods: readonly {
    readonly outingId: string
    readonly batches: readonly AheadBatch[]
    readonly evenings: readonly EveningShare<AheadBatch>[]
    readonly minutes: number
  }[]
  readonly buying: readonly NamedBuyLine[]
  /** how far the plan may be from the best there is, as share; null where nothing is proven */
  readonly gap: number | null
  readonly isDone: boolean
}

function inputsOf(view: PlanView, frame: FrameView, larder: LarderView): PlanInputs {
  const { serviceLevel, school, evenings } = frame.settings
  return {
    today: frame.today,
    serviceLevel,
    school,
    evenings,
    stages: larder.stages,
    choices: view.choices,
    outings: view.outings.map(({ outingId, waterKind, foods, ...outing }) => ({
      ...outing,
      key: outingId,
      waterKind: waterKind as WaterKind,
      foods: foods.map(({ foodStageId, ...food }) => ({ ...food, stageKey: foodStageId })),
    })),
    variants: view.variants.map(toTieable),
    drawers: view.drawers.map(({ materialId, onHand, leadTimeDays }) => ({
      key: materialId,
      onHand,
      leadTimeDays,
    })),
  }
}

interface Made {
  readonly inputs: PlanInputs
  readonly problem: PlanProblem
  readonly needs: readonly PlannedNeed[]
  readonly counts: Counts
  readonly gap: number | null
  readonly isDone: boolean
}

function aheadOf({ inputs, problem, needs, counts, gap, isDone }: Made, view: PlanView): Ahead {
  const variants = new Map(view.variants.map((variant) => [variant.variantId as string, variant]))
  const supply = view.drawers.map(({ materialId, ...drawer }) => ({ ...drawer, key: materialId as string }))
  const chosen = batchesOf(problem, counts)
    .flatMap((batch) => {
      const variant = variants.get(batch.candidate)
      return variant ? [{ ...batch, variant, setup: variant.setup, bill: variant.bill }] : []
    })
    .sort((a, b) => a.period - b.period)
  const ready = readyDays(chosen, supply, inputs.today)
  const batches = chosen.map((batch, i): AheadBatch => ({ ...batch, notBefore: ready[i] ?? null }))
  const periods = periodsOf(inputs).map(({ outing, evenings }, k) => {
    const ordered = inOrder(batches.filter(({ period }) => period === k))
    return {
      outingId: outing.key,
      batches: ordered,
      evenings: overEvenings(ordered, evenings),
      minutes: evenings.reduce((sum, { minutes }) => sum + minutes, 0),
    }
  })
  const drawers = new Map(view.drawers.map((drawer) => [drawer.materialId as string, drawer]))
  return {
    view,
    needs: new Map(needs.map((need) => [need.key, need])),
    periods,
    gap,
    isDone,
    buying: buyingList(
      view.drawers.map(({ materialId, minimumAmount, packAmount, ...drawer }) => ({
        ...drawer,
        key: materialId,
        minimum: minimumAmount,
        pack: packAmount,
      })),
      drawerUses(
        periods.flatMap(({ evenings }) => evenings),
        supply,
      ),
    ).flatMap((line) => {
      const drawer = drawers.get(line.key)
      return drawer
        ? [{ ...line, name: drawer.name, stockUnit: drawer.stockUnit, packAmount: drawer.packAmount }]
        : []
    }),
  }
}

/** The plan of what to tie, made anew whenever what it hangs on changes: a good one at once, then better ones. */
export function usePlan(): { readonly ahead: Ahead | null; readonly stop: () => void } {
  const { data: view } = usePlanQuery()
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const dispatch = useAppDispatch()
  const [made, setMade] = useState<Made | null>(null)
  const [controller, setController] = useState<AbortController | null>(null)
  const inputs = useMemo(
    () => (view && frame && larder ? inputsOf(view, frame, larder) : null),
    [view, frame, larder],
  )
  useEffect(() => {
    if (!inputs) return
    const own = new AbortController()
    setController(own)
    const show = (label: string) => (done: number) => {
      if (!own.signal.aborted) dispatch(setWork({ label, done }))
    }
    const run = { signal: own.signal, lane: PLAN_LANE }
    const work = async () => {
      const asked = await runJob('problemOf', inputs, { ...run, key: 'planProblem' })
      if ('kind' in asked) return
      const { problem, needs } = asked
      const start = await runJob('greedyPlan', problem, {
        ...run,
        key: 'greedyPlan',
        onProgress: ({ done }) => show('Planning')(done),
      })
      if ('kind' in start) return
      const shown = (counts: Counts, gap: number | null, isDone: boolean) =>
        setMade({ inputs, problem, needs, counts, gap, isDone })
      shown(start as Counts, null, false)
      const gapOf = ({ value, bound }: { value: number; bound: number | null }) =>
        bound === null || value <= 0 ? null : Math.max((bound - value) / value, 0)
      const best = await runJob(
        'solvePlan',
        { problem, start: start as Counts, seconds: SECONDS },
        {
          ...run,
          key: 'solvePlan',
          byForce: true,
          onProgress: (step) => {
            show('Improving the plan')(step.done)
            shown(step.counts, gapOf(step), false)
          },
        },
      )
      dispatch(setWork(null))
      if ('kind' in best) setMade((before) => before && { ...before, isDone: true })
      else shown(best.counts, gapOf(best), true)
    }
    void work()
    return () => {
      own.abort()
      dispatch(setWork(null))
    }
  }, [inputs, dispatch])
  const ahead = useMemo(() => (made && view ? aheadOf(made, view) : null), [made, view])
  const stop = () => {
    controller?.abort()
    dispatch(setWork(null))
  }
  return { ahead, stop }
}
