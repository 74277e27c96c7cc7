/** Where a figure comes from, in rising order of trust. */
export type Evidence = 'kindDefault' | 'catalogue' | 'entered' | 'weighed' | 'timed'

/**
 * A figure with its doubt: the median and the 10th and 90th percentile, so that 8 in 10 lie between.
 * Bands are symmetric in the logarithm unless a bound forbids it.
 */
export interface Estimate {
  readonly value: number
  readonly low: number
  readonly high: number
  readonly basis: readonly Evidence[]
}

/** Standard normal deviate of the 90th percentile. */
const Z90 = 1.2815515655446004

/** Standard deviation of ln(value) that an 80 % band stands for; 0 where the band is a point or the value nought. */
export function sdOfLog(band: { readonly value: number; readonly low: number; readonly high: number }): number {
  if (band.low <= 0 || band.high <= band.low) return 0
  return Math.log(band.high / band.low) / (2 * Z90)
}

/** The estimate whose logarithm is normal about ln(value) with this standard deviation. */
export function logEstimate(value: number, sd: number, basis: readonly Evidence[]): Estimate {
  const factor = Math.exp(Z90 * sd)
  return { value, low: value / factor, high: value * factor, basis }
}
