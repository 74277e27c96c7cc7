import { proxy, wrap } from 'comlink'
import type { Remote } from 'comlink'
import type { JobInput, JobName, JobProgress, JobResult } from './jobs.ts'
import type { WorkerApi } from './worker.ts'

/** The answer of a job that was stopped, by its user or by a newer one of the same key. */
export type Stopped = { readonly kind: 'stopped' }

interface RunOptions<Name extends JobName> {
  /** a newer job of the same key stops the older */
  readonly key: string
  readonly onProgress?: (progress: JobProgress<Name>) => void
  /** which of the workers, so that halves of one piece of work run side by side */
  readonly lane?: number
  readonly signal?: AbortSignal
  /** a stop ends the worker itself: for work that does not look up in the middle, as a solver's slice */
  readonly byForce?: boolean
}

interface Lane {
  readonly worker: Worker
  readonly remote: Remote<WorkerApi>
}

const warm = new Map<number, Lane>()

function laneOf(lane: number): Lane {
  const known = warm.get(lane)
  if (known) return known
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
  const made = { worker, remote: wrap<WorkerApi>(worker) }
  warm.set(lane, made)
  return made
}

const running = new Map<string, number>()
let started = 0

/** The one way to heavy work: runs a job in the worker, with progress, until it is done or stopped. */
export async function runJob<Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  { key, onProgress, signal, lane = 0, byForce = false }: RunOptions<Name>,
): Promise<JobResult<Name> | Stopped> {
  const { worker, remote } = laneOf(lane)
  const before = running.get(key)
  if (before !== undefined) await remote.stop(`${key}:${before}`)
  const mine = (started += 1)
  running.set(key, mine)
  const id = `${key}:${mine}`
  let end: (nothing: null) => void = () => undefined
  const ended = new Promise<null>((resolve) => (end = resolve))
  const stop = () => {
    if (!byForce) return void remote.stop(id)
    worker.terminate()
    if (warm.get(lane)?.worker === worker) warm.delete(lane)
    end(null)
  }
  signal?.addEventListener('abort', stop)
  try {
    const run = remote.run as unknown as (...args: unknown[]) => Promise<JobResult<Name> | null>
    const work = run(
      id,
      name,
      input,
      proxy((progress: JobProgress<Name>) => onProgress?.(progress)),
    )
    return (await Promise.race([work, ended])) ?? { kind: 'stopped' }
  } finally {
    signal?.removeEventListener('abort', stop)
    if (running.get(key) === mine) running.delete(key)
  }
}
