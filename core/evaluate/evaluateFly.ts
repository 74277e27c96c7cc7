import { airKept, checkFit, hullElements, partsOf } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { sizeNumber } from '../material/index.ts'
import type { FallModel, Pose } from '../sink/index.ts'
import { logEstimate } from '../uncertainty/index.ts'
import { GRAVITY_MM_PER_S2, waterAt } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { UNCALIBRATED } from './conditions.ts'
import type { Calibration, Conditions } from './conditions.ts'
import { fallOf, submergedSdMg } from './doubt.ts'
import type { FlyReport, PartMass } from './report.ts'

/** Added mass of a compact body broadside to nose-on, as a share of the water that it pushes aside. */
const ADDED_MASS_SHARE = 0.5

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

function massEstimate(parts: readonly Part[]) {
  const massMg = sum(parts.map((part) => part.massMg))
  const sd = Math.hypot(...parts.map((part) => part.massMg * part.massSdLog)) / massMg
  return logEstimate(massMg, sd, ['catalogue'])
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

/** Whether it was tied to stay up: a stiff or treated hackle, a post, foam, or a feather that holds air. */
function dressedToFloat(fly: Fly, conditions: Conditions): boolean {
  if (conditions.filmTreatment === 'floatant') return true
  return fly.components.some(
    ({ kind, material, treatment }) =>
      kind === 'hackle' ||
      kind === 'post' ||
      kind === 'foam' ||
      treatment === 'floatant' ||
      material.family.kind === 'cdc' ||
      material.family.kind === 'foam',
  )
}

/** Load that the film bears under the parts that lie on it, mg: γ × perimeter × the share they reach. */
function filmCapacityMg(parts: readonly Part[], water: WaterProperties): number {
  const perMm = water.surfaceTensionMgPerS2 / GRAVITY_MM_PER_S2
  return sum(parts.map((part) => perMm * part.filmPerimeterMm * part.filmSupportShare))
}

/** Flies with weight at the head or along the shank fall eye first, others level: assumed, not reckoned. */
const poseOf = (fly: Fly): Pose =>
  fly.components.some(({ kind }) => kind === 'bead' || kind === 'wire' || kind === 'eyes')
    ? 'eyeFirst'
    : 'level'

function fallModel(
  fly: Fly,
  parts: readonly Part[],
  submergedMg: number,
  conditions: Conditions,
  water: WaterProperties,
  calibration: Calibration,
): FallModel {
  const beadMm = Math.max(
    0,
    ...fly.components.map(({ kind, material }) => (kind === 'bead' ? (sizeNumber(material) ?? 0) : 0)),
  )
  const elements = [...parts.flatMap((part) => part.elements), ...hullElements(fly, beadMm)]
  const displacedMg = sum(
    elements.map((element) =>
      element.kind === 'body' ? (Math.PI / 4) * element.diameterMm ** 2 * element.lengthMm : 0,
    ),
  )
  const volumeMg = sum(parts.map((part) => part.volumeMm3)) * water.densityMgPerMm3
  return {
    submergedMg,
    inertiaMg: sum(parts.map((part) => part.massMg)) + ADDED_MASS_SHARE * (displacedMg + volumeMg),
    elements,
    pose: poseOf(fly),
    dragMultiplier: calibration.dragMultiplier,
    tippet: conditions.tippet,
    water,
  }
}

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
  const { parts, notReckoned } = partsOf(fly)
  const findings = checkFit(fly)
  const common = { massMg: massEstimate(parts), parts: partMasses(parts, water), findings }
  if (findings.some(({ severity }) => severity === 'fault')) return { kind: 'doesNotFit', ...common }
  if (notReckoned.length > 0) return { kind: 'notYetComputed', ...common, notReckoned }

  const solidMg = sum(common.parts.map((part) => part.submergedMg))
  const airMg = (wet: Conditions['wet']) =>
    water.densityMgPerMm3 * sum(parts.map((p) => p.airMm3 * airKept(p, wet)))
  if (dressedToFloat(fly, conditions) && conditions.wet !== 'soaked') {
    const spareMg = filmCapacityMg(parts, water) + airMg('dry') - solidMg
    const lying = fly.components.some(({ kind }) => kind === 'hackle' || kind === 'foam')
    const hanging = fly.components.some(({ kind }) => kind === 'shuck') || !lying
    if (spareMg >= 0) {
      return { kind: 'floats', ...common, by: 'film', posture: hanging ? 'inFilm' : 'onFilm', spareMg }
    }
  }
  const submergedMg = solidMg - airMg(conditions.wet)
  if (submergedMg <= 0) {
    return { kind: 'floats', ...common, by: 'buoyancy', posture: 'inFilm', spareMg: -submergedMg }
  }
  const model = fallModel(fly, parts, submergedMg, conditions, water, calibration)
  const sd = Math.hypot(...parts.map((part) => submergedSdMg(part, water.densityMgPerMm3))) / submergedMg
  return {
    kind: 'sinks',
    ...common,
    submergedMg: logEstimate(submergedMg, sd, ['catalogue']),
    free: fallOf({ ...model, tippet: null }, parts, calibration),
    trailing: conditions.tippet ? fallOf(model, parts, calibration) : null,
    attitude: { kind: 'assumed', pose: model.pose },
    model,
  }
}
