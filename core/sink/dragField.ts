import type { WaterProperties } from '../water/index.ts'
import { forcesAt, levelDragHeight, munkVolume } from './attitude.ts'
import type { DragElement, FlySpot } from './dragElement.ts'
import { faceFlow, flowAt, pushOn } from './facing.ts'
import type { Push } from './facing.ts'
import { clamp } from '../number/index.ts'

/** The drag of one outline at every attitude, tabulated so that thousands of weightings of it cost little. */
export interface DragField {
  /** attitude at rest with the weight acting here, as in restingAttitude, degrees */
  readonly restingDeg: (weightAt: FlySpot) => number
  /** drag at an attitude, by ln of the speed: ln of mg·mm/s² */
  readonly logDrag: (noseDownDeg: number) => (logSpeed: number) => number
}

const STEP_DEG = 10
const COUNT = 360 / STEP_DEG
const KNOTS = 9
const SLOWEST = Math.log(12)
const FASTEST = Math.log(2400)
const KNOT = (FASTEST - SLOWEST) / (KNOTS - 1)

const push: Push = { along: 0, left: 0 }

/**
 * Tabulates forces every 10° at one speed for the attitude, and drag at nine speeds for the attitudes that are asked
 * for; between them both are interpolated. Within 2 % of the sum of elements.
 */
export function dragField(
  elements: readonly DragElement[],
  water: WaterProperties,
  speedMmPerS: number,
): DragField {
  const munk = munkVolume(elements)
  const forces = Array.from({ length: COUNT }, (_, i) =>
    forcesAt(elements, water, i * STEP_DEG, speedMmPerS, munk),
  )
  const at = (i: number) => forces[((i % COUNT) + COUNT) % COUNT]
  const levelY = levelDragHeight(elements, water, speedMmPerS)
  const arm = (i: number, { xMm, yMm }: FlySpot) => {
    const force = at(i)
    return force ? (force.moment - (xMm * force.fy - yMm * force.fx)) / force.drag : 0
  }
  const restingDeg = (weightAt: FlySpot): number => {
    const start = levelY - weightAt.yMm >= 0 ? 0 : COUNT / 2
    let before = arm(start, weightAt)
    const way = Math.abs(before) > 1e-9 ? Math.sign(before) : Math.sign(arm(start + 1, weightAt))
    if (way === 0) return start * STEP_DEG
    for (let turned = 1; turned <= COUNT; turned += 1) {
      const after = arm(start + way * turned, weightAt)
      if (Math.sign(after) !== way) {
        const share = before / (before - after)
        return (start + way * (turned - 1 + share)) * STEP_DEG
      }
      before = after
    }
    return 0
  }
  const tables = new Map<number, Float64Array>()
  const tableAt = (step: number) => {
    const known = tables.get(step)
    if (known) return known
    const facing = faceFlow(elements, flowAt(step * STEP_DEG))
    const table = new Float64Array(KNOTS)
    for (let k = 0; k < KNOTS; k += 1) {
      const speed = Math.exp(SLOWEST + k * KNOT)
      let drag = 0
      for (const faced of facing) {
        pushOn(faced, speed, water, push)
        drag += push.along
      }
      table[k] = Math.log(drag)
    }
    tables.set(step, table)
    return table
  }
  const logDrag = (noseDownDeg: number) => {
    const place = noseDownDeg / STEP_DEG
    const below = Math.floor(place)
    const share = place - below
    const wrap = (step: number) => ((step % COUNT) + COUNT) % COUNT
    const [a, b] = [tableAt(wrap(below)), tableAt(wrap(below + 1))]
    return (logSpeed: number) => {
      const knot = clamp((logSpeed - SLOWEST) / KNOT, 0, KNOTS - 1.0001)
      const k = Math.floor(knot)
      const t = knot - k
      const low = (a[k] ?? 0) + ((a[k + 1] ?? 0) - (a[k] ?? 0)) * t
      const high = (b[k] ?? 0) + ((b[k + 1] ?? 0) - (b[k] ?? 0)) * t
      return low + (high - low) * share
    }
  }
  return { restingDeg, logDrag }
}
