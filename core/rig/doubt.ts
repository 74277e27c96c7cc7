import { sum, Z_80 } from '../number/index.ts'
import type { Held } from './shoot.ts'

/** How well drag across and along a line is known, as sd of the logarithm. */
const LINE_SD_LOG = { across: 0.1 / Z_80, along: 0.15 / Z_80 }

/** Drag of a line one standard deviation off: across, and along. */
export const LINES_OFF: readonly NonNullable<Held['lineOff']>[] = [
  { across: Math.exp(LINE_SD_LOG.across), along: 1 },
  { across: 1, along: Math.exp(LINE_SD_LOG.along) },
]

/** Nobody times the run that a cast is made in: its speed against that of the reach, as sd of the logarithm. */
export const CURRENT_SD_LOG = 0.2 / Z_80

/** How well the rate on a spool, and the density of a line that says none, are known, as sd of the logarithm. */
export const SPOOL_SD_LOG = { rate: 0.15 / Z_80, density: 0.03 / Z_80 }

/** Depths between which four of five come to lie. */
export interface LikelyDepth {
  readonly lowMm: number
  readonly highMm: number
}

/**
 * The 80 % band of a depth, to first order: from what it becomes when each thing is one standard deviation off.
 *
 * @param bedMm none is deeper
 */
export function bandOf(depthMm: number, others: readonly number[], bedMm = Infinity): LikelyDepth {
  const sd = Math.sqrt(sum(others.map((other) => (other - depthMm) ** 2)))
  return { lowMm: Math.max(depthMm - Z_80 * sd, 0), highMm: Math.min(depthMm + Z_80 * sd, bedMm) }
}
