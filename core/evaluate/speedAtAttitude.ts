import { checkFit } from '../dressing/index.ts'
import type { Fly, FitFinding } from '../dressing/index.ts'
import { terminalSpeed } from '../sink/index.ts'
import { waterAt } from '../water/index.ts'
import { UNCALIBRATED } from './calibration.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'
import { preparedParts } from './preparedParts.ts'
import { dragElementsOf, fallModelOf, loadsOf } from './fallOfParts.ts'

/** The least that can be said of a fly: its mass, its fit, and its speed at an attitude that is known. */
export interface QuickReport {
  readonly massMg: number
  readonly findings: readonly FitFinding[]
  /** 0 for one that does not sink */
  readonly speedMmPerS: number
}

/** Mass, fit and one terminal speed, without working out how the fly holds itself or how sure that is. */
export function speedAtAttitude(
  fly: Fly,
  conditions: Conditions,
  noseDownDeg: number,
  calibration: Calibration = UNCALIBRATED,
): QuickReport {
  const water = waterAt(conditions.waterTempC)
  const parts = preparedParts(fly, conditions, calibration)
  const submergedMg = loadsOf(parts, conditions.wet, water).reduce((sum, load) => sum + load.submergedMg, 0)
  const elements = dragElementsOf(fly, parts)
  return {
    massMg: parts.reduce((sum, part) => sum + part.massMg, 0),
    findings: checkFit(fly),
    speedMmPerS: terminalSpeed(
      fallModelOf(parts, elements, submergedMg, noseDownDeg, conditions, water, calibration),
    ),
  }
}
