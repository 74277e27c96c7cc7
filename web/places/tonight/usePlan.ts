import { useEffect, useMemo, useState } from 'react'
import { withoutIdleNewcomers } from '../../../core/index.ts'
import type { Counts, PlanInputs, Progress } from '../../../core/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/answers.ts'
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
  /** told where no plan can be made, since the work broke */
  readonly onBreak: () => void
  readonly onProgress: (label: string, done: number) => void
}

const gapOf = ({ value, bound }: { readonly value: number; readonly bound: number | null }) =>
  bound === null || value <= 0 ? null : Math.max((bound - value) / value, 0)

/** A good plan at once, then better ones until none is left to find, time is up or the user has seen enough. */
async function makePlan({ inputs, newKeys, signal, onStep, onBreak, onProgress }: Making): Promise<void> {
  const run = { signal, lane: PLAN_LANE }
  const asked = await runJob('problemOf', inputs, { ...run, key: 'planProblem' })
  if ('kind' in asked) return asked.kind === 'failed' ? onBreak() : undefined
  const { needs } = asked
  const problem = withoutIdleNewcomers(asked.problem, (key) => newKeys?.has(key) ?? false)
  const start = await runJob('greedyPlan', problem, {
    ...run,
    key: 'greedyPlan',
    onProgress: ({ done }: Progress) => onProgress('Planning', done),
  })
  if ('kind' in start) return start.kind === 'failed' ? onBreak() : undefined
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

interface Plan {
  readonly ahead: Ahead | null
  /** whether it could not be made anew: what is there, if anything, is of before */
  readonly isBroken: boolean
  readonly stop: () => void
  readonly again: () => void
}

/** The plan of what to tie, made anew whenever what it hangs on changes. */
export function usePlan(): Plan {
  const planned = usePlanned()
  const newcomers = useNewcomers(planned, PLAN_LANE)
  const { data: frame } = useFrameQuery()
  const { data: larder } = useLarderQuery()
  const dispatch = useAppDispatch()
  const [made, setMade] = useState<MadePlan | null>(null)
  const [isBroken, setIsBroken] = useState(false)
  const [tries, setTries] = useState(0)
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
    setIsBroken(false)
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
        onBreak: unlessStopped(() => setIsBroken(true)),
        onProgress: unlessStopped((label, done) => dispatch(setWork({ label, done }))),
      })
      dispatch(setWork(null))
    }
    void work()
    return () => {
      own.abort()
      dispatch(setWork(null))
    }
  }, [inputs, newcomers, dispatch, tries])
  const ahead = useMemo(
    () => (made && planned ? aheadOf(made, planned, newcomers ?? []) : null),
    [made, planned, newcomers],
  )
  const stop = () => {
    controller?.abort()
    setMade((before) => before && { ...before, isDone: true })
    dispatch(setWork(null))
  }
  return { ahead, isBroken, stop, again: () => setTries((before) => before + 1) }
}
