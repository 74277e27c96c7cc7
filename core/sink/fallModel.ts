import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { axialCylinderForce } from './dragLaws.ts'
import { elementForce } from './dragElement.ts'
import type { Direction, DragElement } from './dragElement.ts'

/** Line tied to the fly. It trails behind a falling fly, along the flow. */
export interface Tippet {
  readonly diameterMm: number
  readonly densityMgPerMm3: number
  readonly lengthMm: number
}

/** How the fly is held while it falls. */
export type Pose = 'eyeFirst' | 'level'

/** All that decides a fall: what pulls down, what the water pushes on, and the water. */
export interface FallModel {
  /** weight in water, mg; at or below nought the fly does not sink */
  readonly submergedMg: number
  /** mass that has to be set in motion: the fly, the water held in it and the added mass, mg */
  readonly inertiaMg: number
  readonly elements: readonly DragElement[]
  readonly pose: Pose
  /** by how much the drag of the dressing is off, from timed drops; 1 until measured */
  readonly dragMultiplier: number
  readonly tippet: Tippet | null
  readonly water: WaterProperties
}

const FLOW: Readonly<Record<Pose, Direction>> = { eyeFirst: [1, 0, 0], level: [0, 1, 0] }

/** Drag of the fly without its tippet at a speed, mg·mm/s². */
export function flyDrag(model: FallModel, speedMmPerS: number): number {
  if (speedMmPerS <= 0) return 0
  const flow = FLOW[model.pose]
  let force = 0
  for (const element of model.elements) force += elementForce(element, speedMmPerS, flow, model.water)
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
