import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { axialCylinderForce } from './dragLaws.ts'
import { pushOn } from './facing.ts'
import type { Facing, Push } from './facing.ts'

/** Line tied to the fly. It trails behind a falling fly, along the flow. */
export interface Tippet {
  readonly diameterMm: number
  readonly densityMgPerMm3: number
  readonly lengthMm: number
}

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

/** Drag of a trailing tippet less its own weight in water, mg·mm/s². */
export function tippetPull(model: FallModel, speedMmPerS: number, lengthMm: number): number {
  if (!model.tippet || lengthMm <= 0) return 0
  const { diameterMm, densityMgPerMm3 } = model.tippet
  const { densityMgPerMm3: water, viscosityMgPerMmS: viscosity } = model.water
  const weightMg = (densityMgPerMm3 - water) * (Math.PI / 4) * diameterMm ** 2 * lengthMm
  return axialCylinderForce(speedMmPerS, lengthMm, diameterMm, viscosity, water) - weightMg * GRAVITY_MM_PER_S2
}
