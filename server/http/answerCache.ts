import type { Clock } from '../clock/clock.ts'
import { whileAnswering } from '../clock/underWay.ts'
import { lastWriteTo, listening, noteReads, writesOf } from '../db/kept.ts'

/** Answers of read routes, as they go over the wire. */
export interface AnswerCache {
  readonly answer: (key: string, make: () => Promise<unknown>) => Promise<Buffer>
}

const MOST_ANSWERS = 200
const LONGEST_MS = 15_000

interface Kept {
  readonly value: Promise<Buffer>
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
      const { value, read } = listening(() =>
        whileAnswering(db, async () => Buffer.from(JSON.stringify(await make()))),
      )
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
