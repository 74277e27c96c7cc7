import { proxy, wrap } from 'comlink'
import type { Remote } from 'comlink'
import type { JobInput, JobName, JobProgress, JobResult } from './jobs.ts'
import type { WorkerApi } from './workerApi.ts'

/** No answer: the job was stopped, by its user or by a newer one of the same key, or it broke. */
export type NoAnswer = { readonly kind: 'stopped' } | { readonly kind: 'failed' }

interface RunOptions<Name extends JobName> {
  /** a newer job of the same key stops the older */
  readonly key: string
  readonly onProgress?: (progress: JobProgress<Name>) => void
  /** which of the workers, so that halves of one piece of work run side by side */
  readonly lane?: number
  readonly signal?: AbortSignal
  /** a stop ends the worker itself, which is then this job's own: for work that does not look up in the middle, as a solver's slice */
  readonly byForce?: boolean
}

interface Lane {
  readonly worker: Worker
  readonly remote: Remote<WorkerApi>
  /** what its jobs that run are told when the worker itself breaks, as one that does not load: none answers any more */
  readonly onBreak: Set<(error: Error) => void>
}

const warm = new Map<string, Lane>()
let tellFailure: (name: JobName, error: unknown) => void = () => undefined

/** Says who is told of work that broke. */
export function whenWorkFails(tell: typeof tellFailure): void {
  tellFailure = tell
}

function laneOf(name: string): Lane {
  const known = warm.get(name)
  if (known) return known
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
  const made: Lane = { worker, remote: wrap<WorkerApi>(worker), onBreak: new Set() }
  worker.addEventListener('error', (event) => {
    event.preventDefault()
    if (warm.get(name) === made) warm.delete(name)
    worker.terminate()
    for (const tell of made.onBreak) tell(new Error(event.message || 'The worker did not load.'))
  })
  warm.set(name, made)
  return made
}

/** How the job of each key is stopped, as long as it runs. */
const running = new Map<string, () => void>()
let started = 0

/** The one way to heavy work: runs a job in a worker, with progress, until it is done, stopped or broken. */
export async function runJob<Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  { key, onProgress, signal, lane = 0, byForce = false }: RunOptions<Name>,
): Promise<JobResult<Name> | NoAnswer> {
  running.get(key)?.()
  if (signal?.aborted) return { kind: 'stopped' }
  // what is ended by force has a worker of its own, so that its neighbours go on
  const laneName = byForce ? `own:${key}` : String(lane)
  const { worker, remote, onBreak } = laneOf(laneName)
  const id = `${key}:${(started += 1)}`
  let end: (nothing: null) => void = () => undefined
  let breaks: (error: Error) => void = () => undefined
  // one of this job alone: what all jobs of a lane waited for would keep all their answers
  const ended = new Promise<null>((resolve, reject) => ([end, breaks] = [resolve, reject]))
  onBreak.add(breaks)
  let over = false
  const stop = () => {
    over = true
    if (byForce) {
      worker.terminate()
      if (warm.get(laneName)?.worker === worker) warm.delete(laneName)
    } else void remote.stop(id)
    end(null)
  }
  running.set(key, stop)
  signal?.addEventListener('abort', stop)
  try {
    const run = remote.run as unknown as (...args: unknown[]) => Promise<JobResult<Name> | null>
    const work = run(
      id,
      name,
      input,
      proxy((progress: JobProgress<Name>) => (over ? undefined : onProgress?.(progress))),
    )
    return (await Promise.race([work, ended])) ?? { kind: 'stopped' }
  } catch (error) {
    if (over) return { kind: 'stopped' }
    tellFailure(name, error)
    return { kind: 'failed' }
  } finally {
    // progress comes by a port of its own: some of it may be here only after the answer
    over = true
    onBreak.delete(breaks)
    signal?.removeEventListener('abort', stop)
    if (running.get(key) === stop) running.delete(key)
  }
}
