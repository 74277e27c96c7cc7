import { useCallback, useEffect, useState } from 'react'
import { setWork } from '../wire/state.ts'
import { useAppDispatch } from '../wire/store.ts'
import { runJob } from '../workers/gateway.ts'
import type { JobInput, JobName, JobProgress, JobResult } from '../workers/jobs.ts'

/** What a job has found. */
export interface Worked<Result> {
  /** of the input before while there is nothing of this one yet; null while there is nothing at all */
  readonly found: Result | null
  /** whether the work on this input broke: what is found, if anything, is of before */
  readonly isBroken: boolean
  readonly again: () => void
}

/**
 * What a job finds in a worker, worked out anew with each input.
 *
 * @param input kept the same while nothing is changed; null while something is wanted yet
 * @param key   tells questions apart that stand beside each other: of one key, a newer one stops the older
 * @param label what the tray says meanwhile; nothing where it says nothing
 */
export function useJob<Name extends JobName>(
  name: Name,
  input: JobInput<Name> | null,
  { key, label }: { readonly key: string; readonly label?: string },
): Worked<Exclude<JobResult<Name>, { readonly kind: 'stopped' | 'failed' }>> {
  type Result = Exclude<JobResult<Name>, { readonly kind: 'stopped' | 'failed' }>
  const dispatch = useAppDispatch()
  const [found, setFound] = useState<Result | null>(null)
  const [isBroken, setIsBroken] = useState(false)
  const [tries, setTries] = useState(0)
  useEffect(() => {
    setIsBroken(false)
    if (!input) return undefined
    const controller = new AbortController()
    const tell = (work: { readonly label: string; readonly done: number } | null) =>
      label === undefined || controller.signal.aborted ? undefined : dispatch(setWork(work))
    const onProgress = (progress: JobProgress<Name>) =>
      label === undefined ? undefined : tell({ label, done: (progress as { readonly done: number }).done })
    void runJob(name, input, { key, signal: controller.signal, onProgress }).then((answer) => {
      tell(null)
      if (controller.signal.aborted) return
      const kind = answer !== null && typeof answer === 'object' && 'kind' in answer ? answer.kind : null
      if (kind === 'failed') setIsBroken(true)
      else if (kind !== 'stopped') setFound(answer as Result)
    })
    return () => {
      tell(null)
      controller.abort()
    }
  }, [name, input, key, label, tries, dispatch])
  return { found, isBroken, again: useCallback(() => setTries((before) => before + 1), []) }
}
