/** For so long others may have to wait for a slice. */
const SLICE_MS = 10

/** Lets everything that waits have its turn. */
export const breath = () => new Promise<void>((resolve) => setImmediate(resolve))

/** A breath that is taken whenever a slice of time is over. */
export function makeBreath(nowMs: () => number = () => performance.now()): () => Promise<void> | undefined {
  let since = nowMs()
  return () => {
    if (nowMs() - since < SLICE_MS) return undefined
    return breath().then(() => void (since = nowMs()))
  }
}
