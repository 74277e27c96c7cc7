import { promisify } from 'node:util'
import { gzip } from 'node:zlib'

const compress = promisify(gzip)

/** An answer as it goes over the wire. */
export interface KeptAnswer {
  readonly text: string
  /** made when first asked for */
  readonly gzipped: () => Promise<Buffer>
}

/** Answers of read routes. */
export interface AnswerCache {
  readonly answer: (key: string, make: () => Promise<unknown>) => Promise<KeptAnswer>
}

const MOST_ANSWERS = 200
const LONGEST_MS = 15_000

/** Over loopback the time to pack counts for more than a few bytes. */
const LEVEL = 1

function keep(view: unknown): KeptAnswer {
  const text = JSON.stringify(view)
  let gzipped: Promise<Buffer> | null = null
  return { text, gzipped: () => (gzipped ??= compress(text, { level: LEVEL })) }
}

/**
 * Keeps answers until the next write: one process owns the data, so nothing else can make them stale but the passing
 * of time, which ends them after 15 s.
 *
 * @param writeCount how many writes there have been
 */
export function makeAnswerCache(writeCount: () => number, nowMs: () => number = Date.now): AnswerCache {
  const kept = new Map<
    string,
    { readonly writes: number; readonly atMs: number; readonly value: Promise<KeptAnswer> }
  >()
  return {
    answer(key, make) {
      const writes = writeCount()
      const known = kept.get(key)
      if (known?.writes === writes && nowMs() - known.atMs < LONGEST_MS) return known.value
      if (kept.size >= MOST_ANSWERS) kept.clear()
      const value = make().then(keep)
      kept.set(key, { writes, atMs: nowMs(), value })
      value.catch(() => kept.delete(key))
      return value
    },
  }
}
