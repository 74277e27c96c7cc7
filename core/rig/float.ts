import { rootBetween } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { bandOf, CURRENT_SD_LOG, LINES_OFF } from './doubt.ts'
import type { LikelyDepth } from './doubt.ts'
import { ball } from './hanging.ts'
import type { Hanging } from './hanging.ts'
import type { LinePiece } from './line.ts'
import { heldAtSurface, upperEnd } from './shoot.ts'
import type { Held } from './shoot.ts'

/** A float as a ball: an indicator, or a dry fly that holds one up. */
export interface FloatBall {
  readonly massMg: number
  readonly diameterMm: number
}

/** A float that drifts with what hangs from it. */
export interface Drifting {
  readonly float: FloatBall
  readonly fly: Hanging
  /** from the fly up */
  readonly pieces: readonly LinePiece[]
  /** the current at a depth, mm/s */
  readonly current: (depthMm: number) => number
  readonly water: WaterProperties
  readonly lineOff?: Held['lineOff']
}

/** How a float drifts: its speed, how deep its fly is and how far behind, and what it carries. */
export interface Drifted {
  readonly speedMmPerS: number
  readonly depthMm: number
  /** how far the fly is behind the float, upstream */
  readonly lagMm: number
  readonly loadMg: number
  /** false where it is drawn under */
  readonly holds: boolean
}

const WITHIN_MM_PER_S = 0.02

/** How a float and all that hangs from it drift: at the speed at which what pushes them on and what holds them back cancel. */
export function driftOf({ float, current, water, ...rest }: Drifting): Drifted {
  const volumeMm3 = (Math.PI / 6) * float.diameterMm ** 3
  const wholeBall = ball(0, float.diameterMm, water)
  const at = (speedMmPerS: number) => {
    const shape = heldAtSurface({ ...rest, water, flow: (depthMm) => current(depthMm) - speedMmPerS })
    const loadMg = -shape.hold.zMm
    const wet = Math.min((float.massMg + loadMg) / (water.densityMgPerMm3 * volumeMm3), 1)
    return { shape, loadMg, wet, forward: wet * wholeBall.dragMg(current(0) - speedMmPerS) - shape.hold.xMm }
  }
  const speedMmPerS = rootBetween((speed) => at(speed).forward, 0, current(0), WITHIN_MM_PER_S)
  const { shape, loadMg, wet } = at(speedMmPerS)
  const fly = shape.points[0] ?? { xMm: 0, zMm: 0 }
  return { speedMmPerS, depthMm: fly.zMm, lagMm: upperEnd(shape).xMm - fly.xMm, loadMg, holds: wet < 1 }
}

/** Beyond so many depths of leader nobody sets a float. */
const LONGEST_OF_DEPTH = 4
const WITHIN_MM = 1

/**
 * How long the leader has to be for the fly to drift at a depth; null where no length below four times that depth brings
 * it there.
 *
 * @param withLeader the rig with so much leader
 */
export function leaderFor(withLeader: (lengthMm: number) => Drifting, depthMm: number): number | null {
  const short = (lengthMm: number) => driftOf(withLeader(lengthMm)).depthMm - depthMm
  const longest = LONGEST_OF_DEPTH * depthMm
  return short(longest) < 0 ? null : rootBetween(short, depthMm, longest, WITHIN_MM)
}

/**
 * The 80 % band of the depth at which a fly drifts, to first order, from what is known of the drag of line and fly and of the
 * speed of the run.
 *
 * @param flyOff     the fly with so many times its drag
 * @param flySdLog   doubt of its drag, sd of the logarithm
 */
export function driftBand(
  drifting: Drifting,
  flyOff: (factor: number) => Hanging,
  flySdLog: number,
): LikelyDepth {
  const { depthMm } = driftOf(drifting)
  const others: readonly Drifting[] = [
    ...LINES_OFF.map((lineOff) => ({ ...drifting, lineOff })),
    { ...drifting, fly: flyOff(Math.exp(flySdLog)) },
    { ...drifting, current: (depth) => Math.exp(CURRENT_SD_LOG) * drifting.current(depth) },
  ]
  return bandOf(
    depthMm,
    others.map((other) => driftOf(other).depthMm),
  )
}
