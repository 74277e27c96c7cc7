import { axialCylinderForce, cylinderDragCoefficient } from '../sink/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'

/** A piece of line or leader, the same all along. */
export interface LinePiece {
  readonly lengthMm: number
  readonly diameterMm: number
  readonly densityMgPerMm3: number
  /** pieces of a group are one cylinder to a flow along them */
  readonly group: 'line' | 'leader'
}

type Thread = Pick<LinePiece, 'diameterMm' | 'densityMgPerMm3'>

const sectionMm2 = (diameterMm: number) => (Math.PI / 4) * diameterMm ** 2

/** Weight in water of a millimetre, mg; below nought for what floats. */
export const submergedMgPerMm = ({ diameterMm, densityMgPerMm3 }: Thread, water: WaterProperties): number =>
  (densityMgPerMm3 - water.densityMgPerMm3) * sectionMm2(diameterMm)

/** What a flow across it pushes on a millimetre, mg: f = ½ ρ C_D d w² / g with the cylinder's C_D. */
export function crossForceMgPerMm(diameterMm: number, speedMmPerS: number, water: WaterProperties): number {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  if (speedMmPerS <= 0) return 0
  const coefficient = cylinderDragCoefficient((density * speedMmPerS * diameterMm) / viscosity)
  return (0.5 * density * coefficient * diameterMm * speedMmPerS ** 2) / GRAVITY_MM_PER_S2
}

/**
 * What a flow along it pushes on a millimetre, mg.
 *
 * @param groupMm length of all that it is one cylinder with: friction falls along it, so that a piece for itself would have far too much
 */
export function axialForceMgPerMm(
  diameterMm: number,
  speedMmPerS: number,
  groupMm: number,
  water: WaterProperties,
): number {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  const force = axialCylinderForce(speedMmPerS, groupMm, diameterMm, viscosity, density)
  return groupMm > 0 ? force / groupMm / GRAVITY_MM_PER_S2 : 0
}

/** Speed at which a line sinks that lies level, mm/s; below nought up. By bisection. */
export function broadsideMmPerS(thread: Thread, water: WaterProperties): number {
  const weight = submergedMgPerMm(thread, water)
  let [low, high] = [0, 5000]
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2
    if (crossForceMgPerMm(thread.diameterMm, middle, water) < Math.abs(weight)) low = middle
    else high = middle
  }
  return Math.sign(weight) * low
}

/** What line is made of resists bending by its modulus, MPa: a coated line, nylon, fluorocarbon. */
const MODULUS_MPA = { line: 30, nylon: 1200, fluorocarbon: 2000 }
const HEAVY_LEADER = 1.5
/** A newton as a weight, mg. */
const MG_PER_NEWTON = 1e9 / GRAVITY_MM_PER_S2

/** How much a thread resists being bent, mg·mm²: EI = E π d⁴/64. */
export function stiffnessMgMm2({ diameterMm, densityMgPerMm3, group }: LinePiece): number {
  const modulus =
    group === 'line'
      ? MODULUS_MPA.line
      : densityMgPerMm3 > HEAVY_LEADER
        ? MODULUS_MPA.fluorocarbon
        : MODULUS_MPA.nylon
  return (modulus * Math.PI * diameterMm ** 4 * MG_PER_NEWTON) / 64
}
