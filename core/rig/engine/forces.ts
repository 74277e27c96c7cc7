import { clamp } from '../../number/index.ts'
import type { WaterProperties } from '../../water/index.ts'
import { axialForceMgPerMm, crossForceMgPerMm } from '../line.ts'
import type { Body } from '../body.ts'
import { Grip } from './grip.ts'
import type { Stretch } from './net.ts'

/** The water that a rig is in: what it is like, how it runs, and where it ends. */
export interface Around {
  readonly water: WaterProperties
  /** speed along x at a depth, and of what lies in space so far across, mm/s, as the rig's frame sees it; above the surface it is not asked */
  readonly current: (depthMm: number, acrossMm: number) => number
  /** depth of the bed, mm; none where nothing comes near it */
  readonly bedMm: number | null
  /** by how much the drag of the line across and along is off; 1 as reckoned */
  readonly lineOff: { readonly across: number; readonly along: number }
}

/** A line that lies in the surface is wet over its last two millimetres by degrees. */
const SURFACE_MM = 2

/** How much of what is at a depth is in the water, 0 to 1. */
export const wetShare = (depthMm: number): number => clamp(1 + depthMm / SURFACE_MM, 0, 1)
/** By how much that grows a millimetre, 1/mm. */
export const wetSlope = (depthMm: number): number => (depthMm > -SURFACE_MM && depthMm < 0 ? 1 / SURFACE_MM : 0)

/** How the water holds what is drawn through it: a millimetre of a thread across and along, and a body. */
export interface Grips {
  readonly across: (stretch: Stretch) => Grip
  readonly along: (stretch: Stretch) => Grip
  readonly body: (body: Body) => Grip
}

/** Keeps what was made for a key as long as the key is used. */
function kept<Key extends object, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const made = new WeakMap<Key, Value>()
  return (key) => {
    const there = made.get(key) ?? make(key)
    made.set(key, there)
    return there
  }
}

/** The tables of a water: worked out once for each stretch and body in it. */
export const gripsIn = kept(({ water, lineOff }: Around): Grips => ({
  across: kept(
    ({ piece }) => new Grip((speed) => lineOff.across * crossForceMgPerMm(piece.diameterMm, speed, water)),
  ),
  along: kept(
    ({ piece, groupMm }) =>
      new Grip((speed) => lineOff.along * axialForceMgPerMm(piece.diameterMm, speed, groupMm, water)),
  ),
  body: kept((body) => new Grip((speed) => body.dragMg(speed))),
}))
