import { partsOf, withFloatant } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { calibratedParts } from './calibration.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'

/** The parts as measured and treated, from which everything else follows. */
export function preparedParts(fly: Fly, conditions: Conditions, calibration: Calibration): readonly Part[] {
  const parts = calibratedParts(partsOf(fly), calibration)
  return conditions.filmTreatment === 'floatant' ? withFloatant(parts) : parts
}
