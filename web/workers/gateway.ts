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
}

const warm = new Map<number, Remote<WorkerApi>>()

function workerOf(lane: number): Remote<WorkerApi> {
  const known = warm.get(lane)
  if (known) return known
  const made = wrap<WorkerApi>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }))
  warm.set(lane, made)
  return made
}

const running = new Map<string, number>()
let started = 0

/** The one way to heavy work: runs a job in the worker, with progress, until it is done or stopped. */
export async function runJob<Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  { key, onProgress, signal, lane = 0 }: RunOptions<Name>,
): Promise<JobResult<Name> | Stopped> {
  const worker = workerOf(lane)
  const before = running.get(key)
  if (before !== undefined) await worker.stop(`${key}:${before}`)
  const mine = (started += 1)
  running.set(key, mine)
  const id = `${key}:${mine}`
  const stop = () => void worker.stop(id)
  signal?.addEventListener('abort', stop)
  try {
    const run = worker.run as unknown as (...args: unknown[]) => Promise<JobResult<Name> | null>
    const result = await run(
      id,
      name,
      input,
      proxy((progress: JobProgress<Name>) => onProgress?.(progress)),
    )
    return result ?? { kind: 'stopped' }
  } finally {
    signal?.removeEventListener('abort', stop)
    if (running.get(key) === mine) running.delete(key)
  }
}
