import { airKept, dryness, headOnShankMm, hullElements } from '../dressing/index.ts'
import type { Fly, Part, WetState } from '../dressing/index.ts'
import { faceFlow, flowAt, weightCentre } from '../sink/index.ts'
import type { Balance, DragElement, FallModel, Load } from '../sink/index.ts'
import type { WaterProperties } from '../water/index.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'
import { sum } from '../number/index.ts'

/** Added mass of a compact body broadside to nose-on, as a share of the water that it pushes aside. */
const ADDED_MASS_SHARE = 0.5

/** All that the water pushes on. */
export const dragElementsOf = (fly: Fly, parts: readonly Part[]): readonly DragElement[] => [
  ...parts.flatMap((part) => part.elements),
  ...hullElements(fly, headOnShankMm(fly)),
]

/** Weight in water of each part where it acts, with the air that it still holds. */
export const loadsOf = (parts: readonly Part[], wet: WetState, water: WaterProperties): readonly Load[] =>
  parts.map((part) => ({
    xMm: part.at.xMm,
    yMm: part.at.yMm,
    submergedMg: part.massMg - water.densityMgPerMm3 * (part.volumeMm3 + part.airMm3 * airKept(part, wet)),
  }))

/** What turns a fly as it falls, or as it rises where it is lighter than water. */
export function balanceOf(
  elements: readonly DragElement[],
  loads: readonly Load[],
  water: WaterProperties,
): Balance {
  const submergedMg = Math.abs(sum(loads.map((load) => load.submergedMg)))
  return { elements, weightAt: weightCentre(loads), submergedMg, water }
}

/** The fall of a fly at a known attitude. */
export function fallModelOf(
  parts: readonly Part[],
  elements: readonly DragElement[],
  submergedMg: number,
  noseDownDeg: number,
  conditions: Conditions,
  water: WaterProperties,
  calibration: Calibration,
): FallModel {
  const displacedMm3 = sum(
    elements.map((element) =>
      element.kind === 'body' ? (Math.PI / 4) * element.diameterMm ** 2 * element.lengthMm : 0,
    ),
  )
  const volumeMm3 = sum(parts.map((part) => part.volumeMm3))
  return {
    submergedMg,
    inertiaMg:
      sum(parts.map((part) => part.massMg)) +
      ADDED_MASS_SHARE * water.densityMgPerMm3 * (displacedMm3 + volumeMm3),
    facing: faceFlow(elements, flowAt(noseDownDeg)),
    dragMultiplier:
      calibration.dragMultiplier * Math.exp(calibration.dryLogDrag * dryness(parts, conditions.wet)),
    tippet: conditions.tippet,
    water,
  }
}
