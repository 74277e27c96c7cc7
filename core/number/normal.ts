/**
 * Half the width of an 80 % band of the standard normal: the deviate of its 90th percentile. Every ± of ours that is no
 * standard deviation is that wide (Φ⁻¹(0.9); Abramowitz & Stegun 1964, table 26.5).
 */
export const Z_80 = 1.2815515655446004

/** Density of the standard normal. */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)

/** Share of the standard normal below a deviate; within 7.5e-8 (Abramowitz & Stegun 1964, 26.2.17). */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const series =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const tail = normalDensity(z) * series
  return z >= 0 ? 1 - tail : tail
}
