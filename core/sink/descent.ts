import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import { flyDrag, tippetPull } from './fallModel.ts'
import type { FallModel } from './fallModel.ts'
import { balanceSpeed, terminalSpeed } from './terminalSpeed.ts'

/** One moment of a fall. */
export interface DescentPoint {
  readonly timeS: number
  readonly depthMm: number
  readonly speedMmPerS: number
}

/** A fall from rest at the surface down to a depth, or to where its line is at full stretch. */
export interface Descent {
  readonly points: readonly DescentPoint[]
  /** depth at which the line is at full stretch, mm; null where the fly gets to the depth asked for */
  readonly stretchedAtMm: number | null
}

const START_STEP_S = 0.004
const SETTLED = 0.995
const MOST_STARTING_STEPS = 500
const STEPS_OF_DEPTH = 48

const TABLE_KNOTS = 40
const TABLE_SPAN = 200

/**
 * Drag of the fly by speed, tabulated: log-log straight between knots from 1/200 of the fastest speed up.
 * The fly's own drag does not change on the way down, and the laws are smooth: within 0.1 % of the sum of elements.
 */
function tabulatedDrag(model: FallModel, fastestMmPerS: number): (speedMmPerS: number) => number {
  const slowest = Math.log(fastestMmPerS / TABLE_SPAN)
  const step = Math.log(TABLE_SPAN * 1.5) / (TABLE_KNOTS - 1)
  const knots = Array.from({ length: TABLE_KNOTS }, (_, i) =>
    Math.log(flyDrag(model, Math.exp(slowest + i * step))),
  )
  const first = Math.exp(knots[0] ?? 0)
  return (speed) => {
    if (speed <= 0) return 0
    const place = (Math.log(speed) - slowest) / step
    if (place < 0) return first * (speed / Math.exp(slowest))
    const below = Math.min(Math.floor(place), TABLE_KNOTS - 2)
    const [a, b] = [knots[below] ?? 0, knots[below + 1] ?? 0]
    return Math.exp(a + (b - a) * (place - below))
  }
}

/** What the upper end of the line does: it is held at the surface, so that the fly swings once it is stretched, or it follows. */
export type LineEnd = 'held' | 'follows'

/**
 * Depth over time. The trailing length of tippet is the depth reached, never more than there is of it; where its end
 * is held the fall ends at full stretch, since under a floating line the fly then swings.
 *
 * From rest the equation of motion with added mass is stepped (fourth-order Runge–Kutta) until the fly is within
 * 0.5 % of its terminal speed; from there it goes by longer steps of depth.
 *
 * @param toDepthMm how deep to reckon, above 0
 * @returns no points but the start for a fly that does not sink
 */
export function descend(model: FallModel, toDepthMm: number, lineEnd: LineEnd): Descent {
  const lineMm = model.tippet?.lengthMm ?? 0
  const stretchedAtMm = model.tippet && lineEnd === 'held' && lineMm < toDepthMm ? lineMm : null
  const endMm = stretchedAtMm ?? toDepthMm
  const points: DescentPoint[] = [{ timeS: 0, depthMm: 0, speedMmPerS: 0 }]
  if (model.submergedMg <= 0 || endMm <= 0) return { points, stretchedAtMm: null }
  const trailing = (depth: number) => Math.min(depth, lineMm)
  const weight = model.submergedMg * GRAVITY_MM_PER_S2
  const freeSpeed = terminalSpeed(model, 0)
  const drag = tabulatedDrag(model, freeSpeed)
  const acceleration = (depth: number, speed: number) =>
    (weight - drag(speed) - tippetPull(model, speed, trailing(depth))) / model.inertiaMg

  const target = SETTLED * freeSpeed
  let [time, depth, speed] = [0, 0, 0]
  // no longer than a third of the time in which the fly answers, or the steps would overshoot
  const h = Math.min(START_STEP_S, (freeSpeed * model.inertiaMg) / weight / 3)
  for (let step = 0; step < MOST_STARTING_STEPS && speed < target && depth < endMm; step += 1) {
    const k1 = acceleration(depth, speed)
    const k2 = acceleration(depth + (h / 2) * speed, speed + (h / 2) * k1)
    const k3 = acceleration(depth + (h / 2) * (speed + (h / 2) * k1), speed + (h / 2) * k2)
    const k4 = acceleration(depth + h * (speed + (h / 2) * k2), speed + h * k3)
    depth += h * speed + (h * h * (k1 + k2 + k3)) / 6
    const rise = (h * (k1 + 2 * k2 + 2 * k3 + k4)) / 6
    time += h
    speed += rise
    points.push({ timeS: time, depthMm: depth, speedMmPerS: speed })
    if (rise < 1e-4 * speed) break
  }
  const settledAt = depth
  for (let step = 1; step <= STEPS_OF_DEPTH && depth < endMm; step += 1) {
    const nextDepth = settledAt + ((endMm - settledAt) * step) / STEPS_OF_DEPTH
    const length = trailing(nextDepth)
    // what it takes to change speed on the way, or gives back, by the implicit Euler rule in depth
    const inertia = model.inertiaMg / (2 * (nextDepth - depth))
    const nextSpeed = balanceSpeed(
      weight + inertia * speed ** 2,
      (v) => drag(v) + tippetPull(model, v, length) + inertia * v ** 2,
      Math.max(speed, freeSpeed / 100),
    )
    time += (2 * (nextDepth - depth)) / (speed + nextSpeed)
    depth = nextDepth
    speed = nextSpeed
    points.push({ timeS: time, depthMm: depth, speedMmPerS: speed })
  }
  return { points, stretchedAtMm }
}

/** Seconds until a depth is reached, between the points of a fall; null where it is not. */
export function timeToDepth(descent: Descent, depthMm: number): number | null {
  const { points } = descent
  const after = points.findIndex((point) => point.depthMm >= depthMm - 1e-9)
  if (after <= 0) return after === 0 ? 0 : null
  const [a, b] = [points[after - 1], points[after]]
  if (!a || !b || b.depthMm === a.depthMm) return b?.timeS ?? null
  return a.timeS + ((b.timeS - a.timeS) * (depthMm - a.depthMm)) / (b.depthMm - a.depthMm)
}

/** Depth after a time, between the points of a fall; the last depth where the fall has ended. */
export function depthAtTime(descent: Descent, timeS: number): number {
  const { points } = descent
  const after = points.findIndex((point) => point.timeS >= timeS)
  if (after <= 0) return after === 0 ? 0 : (points[points.length - 1]?.depthMm ?? 0)
  const [a, b] = [points[after - 1], points[after]]
  if (!a || !b || b.timeS === a.timeS) return b?.depthMm ?? 0
  return a.depthMm + ((b.depthMm - a.depthMm) * (timeS - a.timeS)) / (b.timeS - a.timeS)
}
