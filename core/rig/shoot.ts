import { sum } from '../number/index.ts'
import { sphereDragCoefficient } from '../sink/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { axialForceMgPerMm, crossForceMgPerMm, submergedMgPerMm } from './line.ts'
import type { LinePiece } from './line.ts'

/** A ball in the water: a fly for the flow, or a float. */
export interface Ball {
  readonly submergedMg: number
  readonly diameterMm: number
}

/** A vector in the plane of the current: downstream and down. */
export interface Plane {
  readonly xMm: number
  readonly zMm: number
}

/** A line in a steady flow, held at its upper end: what it is made of from the fly up, and the water that passes it. */
export interface Held {
  readonly fly: Ball
  /** from the fly up */
  readonly pieces: readonly LinePiece[]
  /** speed downstream past the line at a depth, mm/s; below nought upstream */
  readonly flow: (depthMm: number) => number
  readonly water: WaterProperties
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

/** What a flow pushes on a ball, mg, in its direction. */
export function ballDragMg(
  { diameterMm }: Pick<Ball, 'diameterMm'>,
  speedMmPerS: number,
  water: WaterProperties,
): number {
  if (speedMmPerS === 0) return 0
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  const coefficient = sphereDragCoefficient((density * Math.abs(speedMmPerS) * diameterMm) / viscosity)
  const force =
    0.5 * density * coefficient * (Math.PI / 4) * diameterMm ** 2 * speedMmPerS * Math.abs(speedMmPerS)
  return force / GRAVITY_MM_PER_S2
}

type State = readonly [xMm: number, zMm: number, pullX: number, pullZ: number]

/** Weight and drag of a millimetre that points this way. */
function loadMgPerMm(
  piece: LinePiece,
  groupMm: number,
  [ux, uz]: readonly [number, number],
  flow: number,
  water: WaterProperties,
) {
  const along = flow * ux
  const [acrossX, acrossZ] = [flow - along * ux, -along * uz]
  const across = Math.hypot(acrossX, acrossZ)
  const cross = across > 0 ? crossForceMgPerMm(piece.diameterMm, across, water) / across : 0
  const axial = Math.sign(along) * axialForceMgPerMm(piece.diameterMm, Math.abs(along), groupMm, water)
  return [cross * acrossX + axial * ux, cross * acrossZ + axial * uz + submergedMgPerMm(piece, water)] as const
}

/**
 * The shape of a line in a steady flow by shooting from its free end: the pull P that holds the fly is against its weight
 * and drag, the line points along it, dr/ds = P/|P|, and each millimetre adds its own, dP/ds = −(w + f). Runge–Kutta 4,
 * with steps that grow from the fly, where a light fly's line bends within a few millimetres.
 *
 * @param flyDepthMm where the fly is
 */
export function shoot({ fly, pieces, flow, water }: Held, flyDepthMm: number): Shape {
  const groupMm = (group: LinePiece['group']) =>
    sum(pieces.filter((piece) => piece.group === group).map(({ lengthMm }) => lengthMm))
  let state: State = [0, flyDepthMm, -ballDragMg(fly, flow(flyDepthMm), water), -fly.submergedMg]
  const points: Plane[] = [{ xMm: state[0], zMm: state[1] }]
  let step = FIRST_STEP_MM
  for (const piece of pieces) {
    const whole = groupMm(piece.group)
    const slope = ([, z, px, pz]: State): State => {
      const pull = Math.hypot(px, pz) || 1e-9
      const [ux, uz] = [px / pull, pz / pull]
      const [fx, fz] = loadMgPerMm(piece, whole, [ux, uz], flow(z), water)
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

const topOf = ({ points }: Shape): Plane => points[points.length - 1] as Plane

/** The shape of a line that is held at the surface: how deep its fly comes to be, by bisection. */
export function heldAtSurface(held: Held, deepestMm: number): Shape {
  let [low, high] = [0, deepestMm]
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2
    // with the fly too deep the upper end is still in the water
    if (topOf(shoot(held, middle)).zMm > 0) high = middle
    else low = middle
  }
  return shoot(held, (low + high) / 2)
}

/** A float that drifts with what hangs from it. */
export interface Drifting {
  readonly float: { readonly massMg: number; readonly diameterMm: number }
  readonly fly: Ball
  /** from the fly up */
  readonly pieces: readonly LinePiece[]
  /** the current at a depth, mm/s */
  readonly current: (depthMm: number) => number
  readonly water: WaterProperties
}

/** How a float drifts: its speed, how deep its fly is and how far behind, and what it carries. */
export interface Drifted {
  readonly speedMmPerS: number
  readonly depthMm: number
  readonly lagMm: number
  readonly loadMg: number
  /** false where it is drawn under */
  readonly holds: boolean
}

/** How a float and all that hangs from it drift: at the speed at which what pushes them on and what holds them back cancel. */
export function driftOf({ float, fly, pieces, current, water }: Drifting): Drifted {
  const lengthMm = sum(pieces.map((piece) => piece.lengthMm))
  const volumeMm3 = (Math.PI / 6) * float.diameterMm ** 3
  const at = (speedMmPerS: number) => {
    const held = { fly, pieces, water, flow: (depthMm: number) => current(depthMm) - speedMmPerS }
    const shape = heldAtSurface(held, lengthMm)
    const loadMg = -shape.hold.zMm
    const wet = Math.min((float.massMg + loadMg) / (water.densityMgPerMm3 * volumeMm3), 1)
    const onFloat = wet * ballDragMg(float, current(0) - speedMmPerS, water)
    return { shape, loadMg, wet, forward: onFloat - shape.hold.xMm }
  }
  let [low, high] = [0, current(0)]
  for (let i = 0; i < 36; i += 1) {
    const middle = (low + high) / 2
    if (at(middle).forward > 0) low = middle
    else high = middle
  }
  const speedMmPerS = (low + high) / 2
  const { shape, loadMg, wet } = at(speedMmPerS)
  const [start, top] = [shape.points[0] as Plane, topOf(shape)]
  return { speedMmPerS, depthMm: start.zMm, lagMm: top.xMm - start.xMm, loadMg, holds: wet < 1 }
}
