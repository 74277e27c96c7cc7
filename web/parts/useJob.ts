import { useCallback, useEffect, useState } from 'react'
import { setWork } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'
import { runJob } from '../workers/gateway.ts'
import type { JobInput, JobName, JobProgress, JobResult } from '../workers/jobs.ts'

/** What a job has found. */
export interface Worked<Result, Input = unknown> {
  /** of the input before while there is nothing of this one yet; null while there is nothing at all */
  readonly found: Result | null
  /** what it was found of: every word beside it is of that too, or old figures stand beside new ones */
  readonly of: Input | null
  /** whether that is what is asked now */
  readonly isOfThis: boolean
  /** whether the work on this input broke: what is found, if anything, is of before */
  readonly isBroken: boolean
  readonly again: () => void
}

interface JobOptions<Name extends JobName> {
  readonly key: string
  readonly label?: string
  readonly lane?: number
  readonly soFar?: (progress: JobProgress<Name>) => JobResult<Name> | null
}

interface Told<Name extends JobName> {
  readonly found: JobResult<Name> | null
  readonly of: JobInput<Name> | null
}

/**
 * What a job finds in a worker, worked out anew with each input. What was found of the input before stands until there
 * is something of this one, so that nothing jumps while something is dragged.
 *
 * @param input kept the same while nothing is changed; null while something is wanted yet
 * @param key   tells questions apart that stand beside each other: of one key, a newer one stops the older
 * @param label what the tray says meanwhile; nothing where it says nothing
 * @param lane  which of the workers, so that what is dragged does not wait for it
 * @param soFar what is known in the middle, where that is told already; the same function each time
 */
export function useJob<Name extends JobName>(
  name: Name,
  input: JobInput<Name> | null,
  { key, label, lane = 0, soFar }: JobOptions<Name>,
): Worked<JobResult<Name>, JobInput<Name>> {
  const dispatch = useAppDispatch()
  const [told, setTold] = useState<Told<Name>>({ found: null, of: null })
  const [isBroken, setIsBroken] = useState(false)
  const [tries, setTries] = useState(0)
  useEffect(() => {
    setIsBroken(false)
    if (!input) return undefined
    const controller = new AbortController()
    const tell = (work: { readonly label: string; readonly done: number } | null) =>
      label === undefined || controller.signal.aborted ? undefined : dispatch(setWork(work))
    const onProgress = (progress: JobProgress<Name>) => {
      if (label !== undefined) tell({ label, done: (progress as { readonly done: number }).done })
      const known = soFar?.(progress)
      if (known) setTold({ found: known, of: input })
    }
    void runJob(name, input, { key, lane, signal: controller.signal, onProgress }).then((answer) => {
      tell(null)
      if (controller.signal.aborted) return
      const kind = answer !== null && typeof answer === 'object' && 'kind' in answer ? answer.kind : null
      if (kind === 'failed') setIsBroken(true)
      else if (kind !== 'stopped') setTold({ found: answer as JobResult<Name>, of: input })
    })
    return () => {
      tell(null)
      controller.abort()
    }
  }, [name, input, key, label, lane, soFar, tries, dispatch])
  const again = useCallback(() => setTries((before) => before + 1), [])
  return { ...told, isOfThis: input !== null && told.of === input, isBroken, again }
}
