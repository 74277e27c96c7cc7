import { radians } from '../number/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { axialCylinderForce, cylinderDragCoefficient } from './dragLaws.ts'

/** Line tied to the fly. It trails behind a falling fly, along the flow. */
export interface Tippet {
  readonly diameterMm: number
  readonly densityMgPerMm3: number
  readonly lengthMm: number
  /** how far it stands out of the straight on its way, degrees: 0 for a line that is stretched and wet through, to 45 */
  readonly curlDeg: number
}

/** What of a line matters to each millimetre of it. */
export type LineStrand = Pick<Tippet, 'diameterMm' | 'curlDeg'>

/**
 * Force of the water on a line that trails, mg·mm/s²: friction of a thin cylinder on the part of the flow that runs
 * along it, and drag of a cylinder across on the part that crosses it where it is curled. 3 m of 0.10 mm at
 * 20 cm/s drag 1.13, 1.33 and 1.67 times as much at 10, 15 and 20° of curl as straight.
 *
 * @param speedMmPerS above 0
 */
export function lineDrag(
  { diameterMm, curlDeg }: LineStrand,
  lengthMm: number,
  speedMmPerS: number,
  { densityMgPerMm3: density, viscosityMgPerMmS: viscosity }: WaterProperties,
): number {
  const [along, across] = [Math.cos(radians(curlDeg)), Math.sin(radians(curlDeg))]
  const axial = axialCylinderForce(speedMmPerS * along, lengthMm, diameterMm, viscosity, density)
  if (across === 0) return axial
  const normal = speedMmPerS * across
  const coefficient = cylinderDragCoefficient((density * normal * diameterMm) / viscosity)
  return axial * along + 0.5 * density * normal ** 2 * diameterMm * lengthMm * coefficient * across
}

/** Drag of a trailing line less its own weight in water, mg·mm/s². */
export function linePull(
  tippet: Tippet,
  lengthMm: number,
  speedMmPerS: number,
  water: WaterProperties,
): number {
  if (lengthMm <= 0) return 0
  const { diameterMm, densityMgPerMm3 } = tippet
  const weightMg = (densityMgPerMm3 - water.densityMgPerMm3) * (Math.PI / 4) * diameterMm ** 2 * lengthMm
  return lineDrag(tippet, lengthMm, speedMmPerS, water) - weightMg * GRAVITY_MM_PER_S2
}
