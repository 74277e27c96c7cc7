/** One line of the report. */
export interface Line {
  readonly what: string
  readonly figure: string
  readonly wanted: string
}

export const ROUNDS = 5
export const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
export const ms = (value: number) => `${value < 1 ? value.toFixed(3) : value.toFixed(1)} ms`

/** Median of five rounds of the mean time of one call, warm, in ms. */
export function timeOf(calls: number, work: () => unknown): number {
  for (let i = 0; i < calls; i += 1) work()
  return median(
    Array.from({ length: ROUNDS }, () => {
      const from = performance.now()
      for (let i = 0; i < calls; i += 1) work()
      return (performance.now() - from) / calls
    }),
  )
}
