/** For so long others may have to wait for a slice. */
const SLICE_MS = 10

/** Lets everything that waits have its turn. */
export const breath = () => new Promise<void>((resolve) => setImmediate(resolve))

/** A breath that is taken whenever a slice of time is over. */
export function makeBreath(take: () => Promise<void> = breath): () => Promise<void> | undefined {
  let since = performance.now()
  return () => {
    if (performance.now() - since < SLICE_MS) return undefined
    return take().then(() => void (since = performance.now()))
  }
}
