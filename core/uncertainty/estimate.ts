import { Z_80 } from '../number/index.ts'
/**
 * Where a figure comes from, in rising order of trust. `weighed` and `timed` stand beside what was itself put on the
 * scale or dropped; a figure reckoned from weighed goods, or from the whole fly on the scale, says which.
 */
export type Evidence =
  | 'kindDefault'
  | 'catalogue'
  | 'entered'
  | 'hookWeighed'
  | 'beadWeighed'
  | 'wireWeighed'
  | 'dressingWeighed'
  | 'flyWeighed'
  | 'weighed'
  | 'timed'

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

/** Standard deviation of ln(value) that an 80 % band stands for; 0 where the band is a point or the value nought. */
export function sdOfLog(band: { readonly value: number; readonly low: number; readonly high: number }): number {
  if (band.low <= 0 || band.high <= band.low) return 0
  return Math.log(band.high / band.low) / (2 * Z_80)
}

/** The estimate that is normal about a value with this standard deviation: for what may be nought or below. */
export function linearEstimate(value: number, sd: number, basis: readonly Evidence[]): Estimate {
  return { value, low: value - Z_80 * sd, high: value + Z_80 * sd, basis }
}

/** The estimate whose logarithm is normal about ln(value) with this standard deviation. */
export function logEstimate(value: number, sd: number, basis: readonly Evidence[]): Estimate {
  const factor = Math.exp(Z_80 * sd)
  return { value, low: value / factor, high: value * factor, basis }
}
