/** A symmetric matrix by rows. */
export type Matrix = readonly (readonly number[])[]

/**
 * Solves A x = b for a covariance A by its Cholesky factor.
 *
 * @throws RangeError where A is not positive definite
 */
export function solveCovariance(a: Matrix, b: readonly number[]): readonly number[] {
  const n = b.length
  const factor: number[][] = []
  for (let i = 0; i < n; i += 1) {
    const row: number[] = []
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i]?.[j] ?? 0
      const other = i === j ? row : (factor[j] ?? [])
      for (let k = 0; k < j; k += 1) sum -= (row[k] ?? 0) * (other[k] ?? 0)
      if (i === j) {
        if (!(sum > 0)) throw new RangeError('the covariance is not positive definite')
        row.push(Math.sqrt(sum))
      } else row.push(sum / (factor[j]?.[j] ?? 1))
    }
    factor.push(row)
  }
  const y: number[] = []
  for (let i = 0; i < n; i += 1) {
    let sum = b[i] ?? 0
    for (let k = 0; k < i; k += 1) sum -= (factor[i]?.[k] ?? 0) * (y[k] ?? 0)
    y.push(sum / (factor[i]?.[i] ?? 1))
  }
  const x = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = y[i] ?? 0
    for (let k = i + 1; k < n; k += 1) sum -= (factor[k]?.[i] ?? 0) * (x[k] ?? 0)
    x[i] = sum / (factor[i]?.[i] ?? 1)
  }
  return x
}

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0)

/** Mean, variance and the weight of each observation, given how the target varies with them. */
export interface Conditioned {
  readonly mean: number
  readonly variance: number
  readonly weights: readonly number[]
}

/** A Gaussian of mean nought conditioned on observations of its like (kriging). */
export function condition(
  covariance: Matrix,
  withTarget: readonly number[],
  targetVariance: number,
  observed: readonly number[],
): Conditioned {
  if (observed.length === 0) return { mean: 0, variance: targetVariance, weights: [] }
  const weights = solveCovariance(covariance, withTarget)
  return {
    mean: dot(weights, observed),
    variance: Math.max(targetVariance - dot(weights, withTarget), 0),
    weights,
  }
}
