/** Longest that work holds other requests up, ms. */
const TURN_MS = 8

/** Runs a generator of core to its end, letting other requests in between. */
export async function inTurns<Result>(work: Generator<unknown, Result>): Promise<Result> {
  let from = performance.now()
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - from < TURN_MS) continue
    await new Promise<void>((resolve) => setImmediate(resolve))
    from = performance.now()
  }
}
