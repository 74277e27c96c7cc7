/** Runs work that comes in steps to its end. */
export function toEnd<Result>(work: Generator<unknown, Result>): Result {
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}
