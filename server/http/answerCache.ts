/** Answers of read routes, as text. */
export interface AnswerCache {
  readonly answer: (key: string, make: () => Promise<unknown>) => Promise<string>
}

const MOST_ANSWERS = 300
const LONGEST_MS = 15_000

/**
 * Keeps answers until the next write: one process owns the data, so nothing else can make them stale but the passing
 * of time, which ends them after 15 s.
 *
 * @param writeCount how many writes there have been
 */
export function makeAnswerCache(writeCount: () => number, nowMs: () => number = Date.now): AnswerCache {
  const kept = new Map<
    string,
    { readonly writes: number; readonly atMs: number; readonly text: Promise<string> }
  >()
  return {
    answer(key, make) {
      const writes = writeCount()
      const known = kept.get(key)
      if (known && known.writes === writes && nowMs() - known.atMs < LONGEST_MS) return known.text
      if (kept.size >= MOST_ANSWERS) kept.clear()
      const text = make().then((view) => JSON.stringify(view))
      kept.set(key, { writes, atMs: nowMs(), text })
      text.catch(() => kept.delete(key))
      return text
    },
  }
}
