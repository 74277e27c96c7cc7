import { jobs, preparations } from './jobs.ts'
import type { JobInput, JobName, JobProgress, JobResult } from './jobs.ts'

/** How long a slice may run before the worker looks whether it was told to stop. */
const SLICE_MS = 20
const stopped = new Set<string>()

const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

/** What a worker does for the gateway. */
export const workerApi = {
  /** Runs a job in slices; answers null where it was stopped. */
  async run<Name extends JobName>(
    key: string,
    name: Name,
    input: JobInput<Name>,
    onProgress: (progress: JobProgress<Name>) => void,
  ): Promise<JobResult<Name> | null> {
    stopped.delete(key)
    await preparations[name]?.()
    const work = (jobs[name] as (input: JobInput<Name>) => Generator<JobProgress<Name>, JobResult<Name>>)(input)
    let since = performance.now()
    for (let step = work.next(); ; step = work.next()) {
      if (step.done) return step.value
      if (performance.now() - since < SLICE_MS) continue
      onProgress(step.value)
      await breathe()
      if (stopped.delete(key)) return null
      since = performance.now()
    }
  },
  stop(key: string): void {
    stopped.add(key)
  },
}
export type WorkerApi = typeof workerApi
