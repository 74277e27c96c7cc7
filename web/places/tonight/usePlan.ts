import { useEffect, useMemo, useState } from 'react'
import { withoutIdleNewcomers } from '../../../core/index.ts'
import type { Counts, PlanInputs, Progress } from '../../../core/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/api.ts'
import { usePlanned } from '../../wire/planned.ts'
import { setWork } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { runJob } from '../../workers/gateway.ts'
import { planInputs } from '../../../contract/planned.ts'
import { aheadOf } from './ahead.ts'
import type { Ahead, MadePlan } from './ahead.ts'
import { useNewcomers } from './useNewcomers.ts'

/** The solver shares the finder's second worker, so that the first stays free for sheets. */
const PLAN_LANE = 1
/** With the greedy plan before it a plan is there within five seconds. */
const SECONDS = 4

interface Making {
  readonly inputs: PlanInputs
  /** keys of variants that are still to be made; null while they are being thought of: then nothing is improved yet */
  readonly newKeys: ReadonlySet<string> | null
  readonly signal: AbortSignal
  readonly onStep: (made: MadePlan) => void
  readonly onProgress: (label: string, done: number) => void
}

const gapOf = ({ value, bound }: { readonly value: number; readonly bound: number | null }) =>
  bound === null || value <= 0 ? null : Math.max((bound - value) / value, 0)

/** A good plan at once, then better ones until none is left to find, time is up or the user has seen enough. */
async function makePlan({ inputs, newKeys, signal, onStep, onProgress }: Making): Promise<void> {
  const run = { signal, lane: PLAN_LANE }
  const asked = await runJob('problemOf', inputs, { ...run, key: 'planProblem' })
  if ('kind' in asked) return
  const { needs } = asked
  const problem = withoutIdleNewcomers(asked.problem, (key) => newKeys?.has(key) ?? false)
  const start = await runJob('greedyPlan', problem, {
    ...run,
    key: 'greedyPlan',
    onProgress: ({ done }: Progress) => onProgress('Planning', done),
  })
  if ('kind' in start) return
  const made = { inputs, problem, needs, counts: start as Counts, gap: null, isDone: false }
  onStep(made)
  if (newKeys === null) return
  const best = await runJob(
    'solvePlan',
    { problem, start: made.counts, seconds: SECONDS },
    {
      ...run,
      key: 'solvePlan',
      byForce: true,
      onProgress: (step) => {
        onProgress('Improving the plan', step.done)
        onStep({ ...made, counts: step.counts, gap: gapOf(step) })
      },
    },
  )
  if (!('kind' in best)) onStep({ ...made, counts: best.counts, gap: gapOf(best), isDone: true })
  // a solver that breaks leaves the plan that was there before it
  else if (best.kind === 'failed') onStep({ ...made, isDone: true })
}

/** The plan of what to tie, made anew whenever what it hangs on changes. */
export function usePlan(): { readonly ahead: Ahead | null; readonly stop: () => void } {
  const planned = usePlanned()
  const newcomers = useNewcomers(planned, PLAN_LANE)
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const dispatch = useAppDispatch()
  const [made, setMade] = useState<MadePlan | null>(null)
  const [controller, setController] = useState<AbortController | null>(null)
  const inputs = useMemo(
    () =>
      planned && frame && larder
        ? planInputs(
            planned,
            (newcomers ?? []).map(({ tieable }) => tieable),
            { ...frame, stages: larder.stages },
          )
        : null,
    [planned, newcomers, frame, larder],
  )
  useEffect(() => {
    if (!inputs) return
    const own = new AbortController()
    setController(own)
    const unlessStopped =
      <Args extends readonly unknown[]>(act: (...args: Args) => void) =>
      (...args: Args) => {
        if (!own.signal.aborted) act(...args)
      }
    const work = async () => {
      await makePlan({
        inputs,
        newKeys: newcomers && new Set(newcomers.map(({ variantId }) => variantId)),
        signal: own.signal,
        onStep: unlessStopped(setMade),
        onProgress: unlessStopped((label, done) => dispatch(setWork({ label, done }))),
      })
      dispatch(setWork(null))
    }
    void work()
    return () => {
      own.abort()
      dispatch(setWork(null))
    }
  }, [inputs, newcomers, dispatch])
  const ahead = useMemo(
    () => (made && planned ? aheadOf(made, planned, newcomers ?? []) : null),
    [made, planned, newcomers],
  )
  const stop = () => {
    controller?.abort()
    setMade((before) => before && { ...before, isDone: true })
    dispatch(setWork(null))
  }
  return { ahead, stop }
}
