import { rootBetween, sum } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import type { Hanging } from './hanging.ts'
import { axialForceMgPerMm, crossForceMgPerMm, submergedMgPerMm } from './line.ts'
import type { LinePiece } from './line.ts'

/** A vector in the plane of the current: downstream and down. */
export interface Plane {
  readonly xMm: number
  readonly zMm: number
}

/** A line in a steady flow, held at its upper end: what it is made of from the fly up, and the water that passes it. */
export interface Held {
  readonly fly: Hanging
  /** from the fly up */
  readonly pieces: readonly LinePiece[]
  /** speed downstream past the line at a depth, mm/s; below nought upstream */
  readonly flow: (depthMm: number) => number
  readonly water: WaterProperties
  /** by how much the drag of the line across and along is off; 1 as reckoned */
  readonly lineOff?: { readonly across: number; readonly along: number }
}

/** Where a line comes to lie, from the fly up, and what its upper end has to hold. */
export interface Shape {
  readonly points: readonly Plane[]
  /** pull of what holds it, mg: upstream and up are below nought */
  readonly hold: Plane
}

const FIRST_STEP_MM = 0.2
const GROWTH = 1.04
const LAST_STEP_MM = 10

type State = readonly [xMm: number, zMm: number, pullX: number, pullZ: number]

const AS_RECKONED = { across: 1, along: 1 }

/** Weight and drag of a millimetre that points this way. */
function loadMgPerMm(
  piece: LinePiece,
  groupMm: number,
  [ux, uz]: readonly [number, number],
  flow: number,
  { water, lineOff = AS_RECKONED }: Pick<Held, 'water' | 'lineOff'>,
) {
  const along = flow * ux
  const [acrossX, acrossZ] = [flow - along * ux, -along * uz]
  const across = Math.hypot(acrossX, acrossZ)
  const cross = across > 0 ? (lineOff.across * crossForceMgPerMm(piece.diameterMm, across, water)) / across : 0
  const axial =
    lineOff.along * Math.sign(along) * axialForceMgPerMm(piece.diameterMm, Math.abs(along), groupMm, water)
  return [cross * acrossX + axial * ux, cross * acrossZ + axial * uz + submergedMgPerMm(piece, water)] as const
}

/**
 * The shape of a line in a steady flow by shooting from its free end: the pull P that holds the fly is against its weight
 * and drag, the line points along it, dr/ds = P/|P|, and each millimetre adds its own, dP/ds = −(w + f). Runge–Kutta 4,
 * with steps that grow from the fly, where a light fly's line bends within a few millimetres.
 *
 * @param flyDepthMm where the fly is
 */
export function shoot(held: Held, flyDepthMm: number): Shape {
  const { fly, pieces, flow } = held
  const groupMm = (group: LinePiece['group']) =>
    sum(pieces.filter((piece) => piece.group === group).map(({ lengthMm }) => lengthMm))
  let state: State = [0, flyDepthMm, -fly.dragMg(flow(flyDepthMm)), -fly.submergedMg]
  const points: Plane[] = [{ xMm: state[0], zMm: state[1] }]
  let step = FIRST_STEP_MM
  for (const piece of pieces) {
    const whole = groupMm(piece.group)
    const slope = ([, z, px, pz]: State): State => {
      const pull = Math.hypot(px, pz) || 1e-9
      const [ux, uz] = [px / pull, pz / pull]
      const [fx, fz] = loadMgPerMm(piece, whole, [ux, uz], flow(z), held)
      return [ux, uz, -fx, -fz]
    }
    for (let gone = 0; gone < piece.lengthMm;) {
      const ds = Math.min(step, piece.lengthMm - gone)
      state = rungeKutta(state, slope, ds)
      points.push({ xMm: state[0], zMm: state[1] })
      gone += ds
      step = Math.min(step * GROWTH, LAST_STEP_MM)
    }
  }
  return { points, hold: { xMm: state[2], zMm: state[3] } }
}

const moved = (state: State, by: State, h: number): State => [
  state[0] + by[0] * h,
  state[1] + by[1] * h,
  state[2] + by[2] * h,
  state[3] + by[3] * h,
]

function rungeKutta(state: State, slope: (state: State) => State, h: number): State {
  const a = slope(state)
  const b = slope(moved(state, a, h / 2))
  const c = slope(moved(state, b, h / 2))
  const d = slope(moved(state, c, h))
  const mean = a.map((_, i) => ((a[i] ?? 0) + 2 * (b[i] ?? 0) + 2 * (c[i] ?? 0) + (d[i] ?? 0)) / 6)
  return moved(state, mean as unknown as State, h)
}

export const upperEnd = ({ points }: Shape): Plane => points[points.length - 1] as Plane

const WITHIN_MM = 0.05

/** The shape of a line that is held at the surface: the depth of its fly at which its upper end comes to lie there. */
export function heldAtSurface(held: Held): Shape {
  const lengthMm = sum(held.pieces.map((piece) => piece.lengthMm))
  // with the fly too deep the upper end is still in the water
  const depthMm = rootBetween((depth) => upperEnd(shoot(held, depth)).zMm, 0, lengthMm, WITHIN_MM)
  return shoot(held, depthMm)
}
