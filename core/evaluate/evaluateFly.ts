import { checkFit } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { rideOf, wettingOf } from '../float/index.ts'
import type { Ride } from '../float/index.ts'
import { restingAttitude } from '../sink/index.ts'
import { linearEstimate, logEstimate } from '../uncertainty/index.ts'
import { waterAt } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { UNCALIBRATED } from './calibration.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'
import { fallOf, massBasis, reckonedBasis, submergedSdMg } from './doubt.ts'
import { balanceOf, dragElementsOf, fallModelOf, loadsOf } from './fallOfParts.ts'
import { hangOf } from './hang.ts'
import { preparedParts } from './preparedParts.ts'
import { hangBelow } from './hangBelow.ts'
import type { FlyReport, PartMass } from './report.ts'
import { rollOf, senseOf } from './sense.ts'
import { airDragMgPerMm, splashOf } from './splash.ts'
import { sum, Z_80 } from '../number/index.ts'

function massEstimate(parts: readonly Part[], calibration: Calibration) {
  const massMg = sum(parts.map((part) => part.massMg))
  const sd = Math.hypot(...parts.map((part) => part.massMg * part.massSdLog)) / massMg
  return logEstimate(massMg, sd, massBasis(parts, calibration))
}

function partMasses(parts: readonly Part[], water: WaterProperties): readonly PartMass[] {
  return parts.map(({ key, kind, massMg, volumeMm3 }) => ({
    key,
    kind,
    massMg,
    volumeMm3,
    submergedMg: massMg - water.densityMgPerMm3 * volumeMm3,
  }))
}

/** Slower than this a fly neither falls nor rises to speak of, mm/s. */
const HOVERING_MM_PER_S = 10

/**
 * What a fly weighs, whether its parts go on the hook, and how it falls or floats under conditions.
 *
 * @throws RangeError for water outside 0 to 30 °C
 */
export function evaluateFly(
  fly: Fly,
  conditions: Conditions,
  calibration: Calibration = UNCALIBRATED,
): FlyReport {
  const water = waterAt(conditions.waterTempC)
  const parts = preparedParts(fly, conditions, calibration)
  const findings = [...checkFit(fly), ...senseOf(fly)]
  const common = { massMg: massEstimate(parts, calibration), parts: partMasses(parts, water), findings }
  if (findings.some(({ severity }) => severity === 'fault')) return { kind: 'doesNotFit', ...common }

  const loads = loadsOf(parts, conditions.wet, water)
  const submergedMg = sum(loads.map((load) => load.submergedMg))
  const sdMg = Math.hypot(...parts.map((part) => submergedSdMg(part, water.densityMgPerMm3)))
  const neutral = Math.abs(submergedMg) < Z_80 * sdMg
  const ride = conditions.wet === 'soaked' ? null : rideOf(parts, water, wettingOf(conditions.wet))
  const elements = dragElementsOf(fly, parts)
  const attitude = restingAttitude(balanceOf(elements, loads, water))
  const model = fallModelOf(
    parts, elements, Math.abs(submergedMg), attitude.noseDownDeg, conditions, water, calibration,
  ) // prettier-ignore
  const free = fallOf({ ...model, tippet: null }, parts, calibration)
  const moving = { free, trailing: conditions.tippet ? fallOf(model, parts, calibration) : null, model }
  const speedMmPerS = free.sinkSpeedMmPerS.value
  if (ride) {
    const rise = submergedMg < 0 && !neutral ? moving : null
    return { kind: 'floats', ...common, ride, hangs: hangBelow(parts, loads, ride), rise }
  }
  if (neutral || speedMmPerS < HOVERING_MM_PER_S)
    return {
      kind: 'hovers',
      ...common,
      submergedMg: linearEstimate(submergedMg, sdMg, reckonedBasis(parts, calibration)),
      speedMmPerS: Math.sign(submergedMg) * speedMmPerS,
    }
  if (submergedMg < 0)
    return { kind: 'floats', ...common, ride: awash(parts, -submergedMg, water), hangs: null, rise: moving }
  return {
    kind: 'sinks',
    ...common,
    findings: [...findings, ...rollOf(fly, attitude)],
    submergedMg: logEstimate(submergedMg, sdMg / submergedMg, reckonedBasis(parts, calibration)),
    ...moving,
    attitude,
    hung: hangOf(fly, conditions, calibration, parts),
    splash: splashOf(common.massMg.value, airDragMgPerMm(elements)),
  }
}

/** How what is wet through and still lighter than water lies in it. */
const awash = (parts: readonly Part[], spareMg: number, water: WaterProperties): Ride => ({
  posture: 'awash',
  freeHeightMm: 0,
  shankMm: -Math.max(0, ...parts.map(({ topMm }) => topMm)),
  spareMg,
  reserve: 1 + spareMg / Math.max(sum(parts.map(({ massMg }) => massMg)), 1e-6),
  bears: 'calm',
  drowningsUntilSunk: drowningsUntilHeavy(parts, water),
  soakS: 0,
})

/** Drownings after which a fly that its air alone holds up goes down. */
function drowningsUntilHeavy(parts: readonly Part[], water: WaterProperties): number {
  const solid = sum(parts.map((part) => part.massMg - water.densityMgPerMm3 * part.volumeMm3))
  if (solid <= 0) return Infinity
  for (let drownings = 0; drownings < 500; drownings += 1) {
    const air = sum(
      parts.map((part) => part.airMm3 * Math.exp(-drownings / Math.max(part.wettingStrokes, 0.05))),
    )
    if (water.densityMgPerMm3 * air < solid) return drownings
  }
  return Infinity
}
