import type { WaterProperties } from '../water/index.ts'
import { pushOn } from './facing.ts'
import type { Facing, Push } from './facing.ts'
import { linePull } from './trailingLine.ts'
import type { Tippet } from './trailingLine.ts'

/** All that decides a fall: what pulls down, what the water pushes on, and the water. */
export interface FallModel {
  /** weight in water, mg; at or below nought the fly does not sink */
  readonly submergedMg: number
  /** mass that has to be set in motion: the fly, the water held in it and the added mass, mg */
  readonly inertiaMg: number
  /** the fly's drag elements turned to the flow that its attitude makes */
  readonly facing: readonly Facing[]
  /** by how much the drag of the dressing is off, from timed drops; 1 until measured */
  readonly dragMultiplier: number
  readonly tippet: Tippet | null
  readonly water: WaterProperties
}

const push: Push = { along: 0, left: 0 }

/** Drag of the fly without its tippet at a speed, mg·mm/s². */
export function flyDrag(model: FallModel, speedMmPerS: number): number {
  if (speedMmPerS <= 0) return 0
  let force = 0
  for (const facing of model.facing) {
    pushOn(facing, speedMmPerS, model.water, push)
    force += push.along
  }
  return force * model.dragMultiplier
}

/** Drag of this much of a fall's trailing tippet less its own weight in water, mg·mm/s². */
export const tippetPull = ({ tippet, water }: FallModel, speedMmPerS: number, lengthMm: number): number =>
  tippet ? linePull(tippet, lengthMm, speedMmPerS, water) : 0
