import { clamp } from '../../core/index.ts'

/** Depth to height in the Column: its top fifth is the film lens, 15 mm above the film to 150 mm below, magnified. */
export const LENS_TOP_MM = -15
export const LENS_BOTTOM_MM = 150
const LENS_SHARE = 0.2

/** Share of the Column's height at a depth, 0 at the top to 1 at the bed; the crease of the lens lies at 0.2. */
export function heightShare(depthMm: number, bedMm: number): number {
  const bed = Math.max(bedMm, LENS_BOTTOM_MM + 1)
  if (depthMm <= LENS_BOTTOM_MM) {
    return (LENS_SHARE * (Math.max(depthMm, LENS_TOP_MM) - LENS_TOP_MM)) / (LENS_BOTTOM_MM - LENS_TOP_MM)
  }
  return LENS_SHARE + ((1 - LENS_SHARE) * (Math.min(depthMm, bed) - LENS_BOTTOM_MM)) / (bed - LENS_BOTTOM_MM)
}

/** Depth at a share of the Column's height: the inverse of {@link heightShare}. */
export function depthAtShare(share: number, bedMm: number): number {
  const bed = Math.max(bedMm, LENS_BOTTOM_MM + 1)
  const inside = clamp(share, 0, 1)
  return inside <= LENS_SHARE
    ? LENS_TOP_MM + (inside / LENS_SHARE) * (LENS_BOTTOM_MM - LENS_TOP_MM)
    : LENS_BOTTOM_MM + ((inside - LENS_SHARE) / (1 - LENS_SHARE)) * (bed - LENS_BOTTOM_MM)
}
