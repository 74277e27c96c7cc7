import { degrees, sum } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { depthOf, holdOf, isOnBed, laid, netOf, NODES, placeOf, settle } from './engine/index.ts'
import type { Around, Motion, RigLine } from './engine/index.ts'
import { layOf } from './sinking.ts'
import type { Lay } from './sinking.ts'

/** A leader held tight from a rod whose tip is led downstream over a run. */
export interface TightLine {
  /** from the tip to the point */
  readonly rig: RigLine
  readonly tipHeightMm: number
  /** the current at a depth, mm/s, and where its bed is */
  readonly current: (depthMm: number) => number
  readonly depthMm: number
  /** speed at which the tip is led, mm/s */
  readonly ledMmPerS: number
  readonly water: WaterProperties
  readonly lineOff?: Around['lineOff']
  readonly nodes?: number
}

/** How a tight line hangs. */
export interface HungTight extends Lay {
  /** how deep each fly is, mm, in the order of the rig; on the bed none is deeper */
  readonly fliesMm: readonly number[]
  /** whether the deepest touches: then it is held back there or rolls along, and no depth is told */
  readonly onBed: boolean
  readonly inWaterMm: number
  /** against level, where it enters the water */
  readonly surfaceDeg: number
  /** how far the part in the air hangs below the straight way, mm */
  readonly sagMm: number
  /** what the tip bears, mg */
  readonly tipMg: number
}

const AS_RECKONED = { across: 1, along: 1 }
/** How much of the water a line is laid through that is let settle. */
const LAID_TO = 0.9

/** How a tight line hangs in the end; null where it never comes to rest. */
export function hangTight(tight: TightLine): HungTight | null {
  const { rig, tipHeightMm, depthMm, ledMmPerS, current, water, lineOff = AS_RECKONED } = tight
  const around: Around = { water, current: (z) => current(z) - ledMmPerS, bedMm: depthMm, lineOff }
  const wholeMm = sum(rig.pieces.map(({ lengthMm }) => lengthMm))
  const down = Math.min(1, (tipHeightMm + LAID_TO * depthMm) / wholeMm)
  const net = netOf(rig, tight.nodes ?? NODES.usual)
  const start = laid(net, [0, -tipHeightMm], [{ lengthMm: 1, toward: [-Math.sqrt(1 - down ** 2), down] }])
  const motion = settle(start, around)
  if (!motion) return null
  const fliesMm: number[] = []
  for (const { node, fly } of net.bodies) fliesMm[fly] = Math.min(depthOf(motion, node), depthMm)
  return {
    ...layOf(motion),
    fliesMm,
    onBed: isOnBed(motion, around),
    ...inAirAndWater(motion),
    tipMg: holdOf(motion, around),
  }
}

/** Where a line enters the water: how much of it is in, at what angle, and how far the rest sags. */
function inAirAndWater(motion: Motion): Pick<HungTight, 'inWaterMm' | 'surfaceDeg' | 'sagMm'> {
  let inWaterMm = 0
  let surfaceDeg = 90
  const inAir: (readonly number[])[] = [placeOf(motion, 0)]
  for (const { a, b, restMm } of motion.net.segments) {
    const [from, to] = [placeOf(motion, a), placeOf(motion, b)]
    const [x1 = 0, z1 = 0] = from
    const [x2 = 0, z2 = 0] = to
    if (z2 <= 0) inAir.push(to)
    else if (z1 >= 0) inWaterMm += restMm
    else {
      inWaterMm += (restMm * z2) / (z2 - z1)
      surfaceDeg = degrees(Math.atan2(z2 - z1, Math.abs(x2 - x1)))
      inAir.push([x1 + ((x2 - x1) * -z1) / (z2 - z1), 0])
    }
  }
  return { inWaterMm, surfaceDeg, sagMm: sagOf(inAir) }
}

/** How far a chain of places strays from the straight way between its ends, mm. */
function sagOf(places: readonly (readonly number[])[]): number {
  const [x1 = 0, z1 = 0] = places[0] ?? []
  const [x2 = 0, z2 = 0] = places.at(-1) ?? []
  const length = Math.hypot(x2 - x1, z2 - z1) || 1
  return Math.max(
    ...places.map(([x = 0, z = 0]) => Math.abs((x - x1) * (z2 - z1) - (z - z1) * (x2 - x1)) / length),
  )
}
