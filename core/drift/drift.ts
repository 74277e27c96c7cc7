import { depthAtTime, timeToDepth } from '../sink/index.ts'
import type { Descent } from '../sink/index.ts'
import { clamp } from '../number/index.ts'

/** Water that runs over a bed. */
export interface Current {
  readonly depthMm: number
  readonly surfaceMmPerS: number
  /** height of the stones that make the bed rough, mm */
  readonly roughnessMm: number
}

/** Where a fly gets to while it sinks. */
export interface Drift {
  /** how far upstream of its landing it has to fall in, mm */
  readonly leadMm: number
  /** half the stretch over which it may land, since the water also wells up and down, mm */
  readonly spreadMm: number
  readonly timeS: number
  /** false where upwelling alone holds it: slower than a tenth of the surface speed */
  readonly settles: boolean
}

/** Water in a stream wells up and down at 5 to 10 % of the speed at its surface. */
const UPWELLING = { usual: 0.05, most: 0.1 }
/** A bed of stones of height k stops the log profile at k/30 (Nikuradse 1933). */
const STONES_TO_ZERO = 30
const STEPS = 64

/**
 * Speed of a current at a height over its bed: logarithmic, u(y) = u_s ln(1 + y/y₀) / ln(1 + D/y₀), y₀ = k/30.
 *
 * @param heightMm from the bed, 0 to its depth
 */
export function speedAtHeight({ depthMm, surfaceMmPerS, roughnessMm }: Current, heightMm: number): number {
  const zero = Math.max(roughnessMm / STONES_TO_ZERO, 0.01)
  const height = clamp(heightMm, 0, depthMm)
  return (surfaceMmPerS * Math.log1p(height / zero)) / Math.log1p(depthMm / zero)
}

/** How far a fly has drifted after a time of its fall, mm. */
export function driftedMm(descent: Descent, current: Current, timeS: number): number {
  let drifted = 0
  for (let i = 0; i < STEPS; i += 1) {
    const middle = (timeS * (i + 0.5)) / STEPS
    drifted += (speedAtHeight(current, current.depthMm - depthAtTime(descent, middle)) * timeS) / STEPS
  }
  return drifted
}

/**
 * The lead that a fly needs to be at a depth where it is wanted.
 *
 * @param toDepthMm at most the depth of the current
 * @returns null for a fly that does not get there
 */
export function leadTo(descent: Descent, current: Current, toDepthMm: number): Drift | null {
  const timeS = timeToDepth(descent, Math.min(toDepthMm, current.depthMm))
  if (timeS === null || timeS <= 0) return null
  const fallMmPerS = toDepthMm / timeS
  const leadMm = driftedMm(descent, current, timeS)
  const upwelling = UPWELLING.usual * current.surfaceMmPerS
  return {
    leadMm,
    timeS,
    spreadMm: (leadMm * upwelling) / Math.max(fallMmPerS - upwelling, 0.2 * fallMmPerS),
    settles: fallMmPerS > UPWELLING.most * current.surfaceMmPerS,
  }
}

/** A fish that cruises towards where the fly will be. */
export interface Cruiser {
  readonly awayMm: number
  readonly depthMm: number
  /** usually 200 to 500 mm/s */
  readonly speedMmPerS: number
}

/** Where to put a fly before a cruising fish. */
export interface Interception {
  /** how far before the fish it must fall in to be down as it comes, mm */
  readonly aheadMm: number
  /** seconds to spare if it is cast at once; below nought it passes above */
  readonly spareS: number
}

/** How far before a cruising fish a fly must fall in that takes so long to its depth, mm: it swims that far meanwhile. */
export const aheadOf = (speedMmPerS: number, downS: number): number => speedMmPerS * downS

/** How a fly meets a cruising fish; null for one that does not get down to it. */
export function intercept(descent: Descent, { awayMm, depthMm, speedMmPerS }: Cruiser): Interception | null {
  const timeS = timeToDepth(descent, depthMm)
  if (timeS === null) return null
  return { aheadMm: aheadOf(speedMmPerS, timeS), spareS: awayMm / speedMmPerS - timeS }
}
