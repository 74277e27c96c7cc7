import type { FallModel } from '../sink/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { ball, flyOf } from './hanging.ts'
import type { Hanging } from './hanging.ts'

/** A fly, a shot or a float on a line that moves: what hangs, and what has to be set in motion. */
export interface Body extends Hanging {
  /** what it weighs out of the water, mg */
  readonly massMg: number
  /** mass that has to be set in motion, with the water that goes along, mg */
  readonly inertiaMg: number
}

/** Water that goes along with a ball, of what it displaces. */
const ADDED_TO_BALL = 0.5

/** A ball that moves: see {@link ball}. */
export function ballBody(submergedMg: number, diameterMm: number, water: WaterProperties): Body {
  const displacedMg = (Math.PI / 6) * diameterMm ** 3 * water.densityMgPerMm3
  const massMg = submergedMg + displacedMg
  return {
    ...ball(submergedMg, diameterMm, water),
    massMg,
    inertiaMg: massMg + ADDED_TO_BALL * displacedMg,
  }
}

/**
 * A fly that moves, by its fall. Out of the water, where it never is for longer than a step, it weighs what is set in motion
 * with it.
 *
 * @param dragOff by how much its drag is off; 1 as reckoned
 */
export const flyBody = (model: FallModel, dragOff = 1): Body => ({
  ...flyOf(model, dragOff),
  massMg: model.inertiaMg,
  inertiaMg: model.inertiaMg,
})
