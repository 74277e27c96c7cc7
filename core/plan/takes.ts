import type { Estimate } from '../uncertainty/index.ts'
import { Z_80 } from '../number/index.ts'

/** Before anything is known, half a take in half an hour: it weighs little, and keeps the interval off nought. */
const PRIOR = { takes: 0.5, hours: 0.5 }

/** Quantile of a gamma distribution of shape a and rate 1, by its cube root (Wilson & Hilferty 1931). */
const gammaQuantile = (shape: number, z: number) =>
  shape * Math.max(1 - 1 / (9 * shape) + z / (3 * Math.sqrt(shape)), 0) ** 3

/**
 * Takes an hour of a fly from what it took in its time in the water, with the interval in which 8 in 10 of the rates lie
 * that could have brought that about.
 *
 * @param takes   fish that took it, 0 or more
 * @param minutes in the water, 0 or more
 */
export function takesAnHour(takes: number, minutes: number): Estimate {
  const shape = PRIOR.takes + takes
  const hours = PRIOR.hours + minutes / 60
  return {
    value: shape / hours,
    low: gammaQuantile(shape, -Z_80) / hours,
    high: gammaQuantile(shape, Z_80) / hours,
    basis: [takes > 0 || minutes > 0 ? 'entered' : 'kindDefault'],
  }
}
