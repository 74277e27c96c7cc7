import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import type { Clock } from '../clock/clock.ts'
import { lastWriteTo, listening, noteReads, writesOf } from '../db/kept.ts'

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

interface Kept {
  readonly value: Promise<KeptAnswer>
  readonly read: ReadonlySet<string>
  /** writes that there had been when it was begun */
  readonly writes: number
  readonly atMs: number
  done: boolean
}

/** Stands among what an answer was read from for the clock. */
const TIME = 'the clock'

/** A clock that answers which ask it are known to grow old by. */
export const heard = (clock: Clock): Clock => ({
  ...clock,
  nowMs: () => {
    if (!clock.stands) noteReads([TIME])
    return clock.nowMs()
  },
})

/**
 * Keeps answers until one of the tables that they were read from is written to: one process owns the data, so nothing
 * else can make them stale but, where they asked the clock, the passing of time, which ends those after 15 s.
 *
 * @param db the database that answers are read from
 */
export function makeAnswerCache(db: object, nowMs: () => number = Date.now): AnswerCache {
  const kept = new Map<string, Kept>()
  // what is still under way may yet read any table
  const isFresh = ({ done, writes, read, atMs }: Kept) =>
    (!read.has(TIME) || nowMs() - atMs < LONGEST_MS) &&
    (done ? lastWriteTo(db, read) <= writes : writesOf(db) === writes)
  return {
    answer(key, make) {
      const known = kept.get(key)
      if (known && isFresh(known)) return known.value
      if (kept.size >= MOST_ANSWERS) kept.clear()
      const { value, read } = listening(() => make().then(keep))
      const now: Kept = { value, read, writes: writesOf(db), atMs: nowMs(), done: false }
      kept.set(key, now)
      value.then(
        () => (now.done = true),
        () => kept.delete(key),
      )
      return value
    },
  }
}
