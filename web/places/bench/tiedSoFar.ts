import type { BenchStep } from '../../../contract/index.ts'

/** Parts that are whole before a step, and those that were tied in by then and wait to be wound or pulled over. */
export function tiedSoFar(
  steps: readonly Pick<BenchStep, 'componentKey'>[],
  now: number,
): { readonly tied: ReadonlySet<string>; readonly begun: ReadonlySet<string> } {
  const keysOf = (from: number, to: number) =>
    new Set(steps.slice(from, to).flatMap(({ componentKey }) => componentKey ?? []))
  const [before, here, after] = [keysOf(0, now), keysOf(0, now + 1), keysOf(now + 1, steps.length)]
  return {
    tied: new Set([...before].filter((key) => !after.has(key))),
    begun: new Set([...here].filter((key) => after.has(key))),
  }
}
