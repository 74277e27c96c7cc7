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

/** How far a fly is trusted by what it took; it is earned, never said. */
export const TRUSTS = ['trusted', 'promising', 'notFished', 'poor'] as const
export type Trust = (typeof TRUSTS)[number]

/** Takes an hour of which one may be sure, and those that a fly may hope for. Judgement. */
const TRUSTED_AN_HOUR = 1

/**
 * Whether a fly is trusted: one that surely takes one fish an hour is, one that may is promising, one that surely does not
 * is poor.
 *
 * @param takes its takes an hour; null where it was never fished
 */
export function trustIn(takes: Pick<Estimate, 'low' | 'high'> | null): Trust {
  if (!takes) return 'notFished'
  if (takes.low >= TRUSTED_AN_HOUR) return 'trusted'
  return takes.high >= TRUSTED_AN_HOUR ? 'promising' : 'poor'
}
