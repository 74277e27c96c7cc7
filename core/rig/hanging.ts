import { flyDrag, sphereDragCoefficient } from '../sink/index.ts'
import type { FallModel } from '../sink/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'

/** What hangs at the end of a line: its weight in water, and what a flow pushes on it. */
export interface Hanging {
  readonly submergedMg: number
  /** mg in the direction of a flow; below nought for one that runs upstream */
  readonly dragMg: (speedMmPerS: number) => number
}

/** A ball as what hangs: for checks, and for floats. */
export const ball = (submergedMg: number, diameterMm: number, water: WaterProperties): Hanging => ({
  submergedMg,
  dragMg: (speedMmPerS) => {
    if (speedMmPerS === 0) return 0
    const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
    const coefficient = sphereDragCoefficient((density * Math.abs(speedMmPerS) * diameterMm) / viscosity)
    const area = (Math.PI / 4) * diameterMm ** 2
    return (0.5 * density * coefficient * area * speedMmPerS * Math.abs(speedMmPerS)) / GRAVITY_MM_PER_S2
  },
})

/**
 * A fly as what hangs, by its fall: turned as it is in free fall, so that its drag in a flow from the side is the one
 * that was reckoned, and timed, for its way down.
 *
 * @param dragOff by how much its drag is off; 1 as reckoned
 */
export const flyOf = (model: FallModel, dragOff = 1): Hanging => ({
  submergedMg: model.submergedMg,
  dragMg: (speedMmPerS) =>
    (Math.sign(speedMmPerS) * dragOff * flyDrag(model, Math.abs(speedMmPerS))) / GRAVITY_MM_PER_S2,
})
