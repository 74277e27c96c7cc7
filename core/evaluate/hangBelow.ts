import type { Part } from '../dressing/index.ts'
import { holdsFromAbove } from '../float/index.ts'
import type { Ride } from '../float/index.ts'
import { hungNoseDownDeg } from '../sink/index.ts'
import type { FlySpot, Load } from '../sink/index.ts'

/** A fly that hangs below the film by its tuft: how steeply, and where the film meets it. */
export interface HangBelow {
  /** nose down, degrees; an abdomen that hangs down is below nought */
  readonly noseDownDeg: number
  /** from the rear of the eye, y up */
  readonly filmAt: FlySpot
}

/**
 * How a fly hangs whose tuft holds it at the film: what lies under the film comes to hang below the place where the tuft
 * goes through it. The grip of the film on the rest is left out, so that it is the steepest that it may hang.
 *
 * @param loads weight in water of each part
 * @returns null for a fly that rides otherwise
 */
export function hangBelow(
  parts: readonly Part[],
  loads: readonly Load[],
  { posture, freeHeightMm }: Ride,
): HangBelow | null {
  const tufts = parts.filter(holdsFromAbove)
  if (posture !== 'hanging' || tufts.length === 0) return null
  const tops = tufts.reduce((sum, { topMm }) => sum + topMm, 0)
  const filmAt = {
    xMm: tufts.reduce((sum, { at, topMm }) => sum + at.xMm * topMm, 0) / tops,
    yMm: Math.max(...tufts.map(({ topMm }) => topMm)) - freeHeightMm,
  }
  const under = loads.filter((_, i) => !tufts.includes(parts[i] as Part))
  return { noseDownDeg: hungNoseDownDeg(under, filmAt), filmAt }
}
