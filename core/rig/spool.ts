import { waterAt } from '../water/index.ts'
import { Z_80 } from '../number/index.ts'
import type { Property } from '../material/index.ts'
import { SPOOL_SD_LOG } from './doubt.ts'
import { crossForceMgPerMm } from './line.ts'

/** Makers test their lines in water of a room. */
export const SPOOL_TEST_C = 20
/** No line is heavier than this: beyond it rate or diameter is wrong. */
const HEAVIEST_MG_PER_MM3 = 3

const sectionMm2 = (diameterMm: number) => (Math.PI / 4) * diameterMm ** 2

/** Density of a line that sinks level at a rate, mg/mm³: its weight in water is what the water pushes at that speed. */
export function densityByRate(diameterMm: number, rateMmPerS: number, tempC = SPOOL_TEST_C): number {
  const water = waterAt(tempC)
  return water.densityMgPerMm3 + crossForceMgPerMm(diameterMm, rateMmPerS, water) / sectionMm2(diameterMm)
}

/** Density of a line of which a length weighs so much, mg/mm³; a grain is 64.799 mg. */
export const densityByWeight = (diameterMm: number, massMg: number, lengthMm: number): number =>
  massMg / (sectionMm2(diameterMm) * lengthMm)

/** What a spool says of a line. */
export interface OnSpool {
  readonly diameterMm: number
  readonly rateMmPerS: number | null
  /** of so much of it */
  readonly weight: { readonly massMg: number; readonly lengthMm: number } | null
}

/** What follows from it: the density, how far rate and weight are apart where both are said, and whether it can be. */
export interface ReadSpool {
  readonly densityMgPerMm3: number
  /** density by its rate over that by its weight; null where only one is said */
  readonly disagree: number | null
  readonly isDoubtful: boolean
}

/** Reads what a spool says; weight is taken before the rate, which says less. Null where it says neither. */
export function readSpool({ diameterMm, rateMmPerS, weight }: OnSpool): ReadSpool | null {
  const byRate = rateMmPerS === null ? null : densityByRate(diameterMm, rateMmPerS)
  const byWeight = weight && densityByWeight(diameterMm, weight.massMg, weight.lengthMm)
  const densityMgPerMm3 = byWeight ?? byRate
  if (densityMgPerMm3 === null) return null
  return {
    densityMgPerMm3,
    disagree: byRate !== null && byWeight !== null ? byRate / byWeight : null,
    isDoubtful: Math.max(byRate ?? 0, byWeight ?? 0) > HEAVIEST_MG_PER_MM3,
  }
}

/** Diameter of tippet by its X number, mm: eleven thousandths of an inch less the number. */
export const tippetDiameterMm = (x: number): number => (11 - x) * 0.0254

/** Density of what leaders are drawn of, mg/mm³. */
export const LEADER_MG_PER_MM3 = { nylon: 1.14, fluorocarbon: 1.78, polyester: 1.38 } as const

/** The thickness that a spool says is known to so much, as share. */
const THICK_OFF = 0.04

/** What a spool says as properties of the goods, with the limits that it leaves: a weight says more than a rate. Null where it says neither. */
export function spoolProperties(
  spool: OnSpool,
): Readonly<Record<'diameterMm' | 'densityMgPerMm3', Property>> | null {
  const read = readSpool(spool)
  if (!read) return null
  const { diameterMm, rateMmPerS, weight } = spool
  const value = read.densityMgPerMm3
  const times = (sdLog: number, sign: 1 | -1) => Math.exp(sign * Z_80 * sdLog)
  const at = (sign: 1 | -1) =>
    weight === null && rateMmPerS !== null
      ? densityByRate(diameterMm, rateMmPerS * times(SPOOL_SD_LOG.rate, sign))
      : value * times(SPOOL_SD_LOG.density, sign)
  return {
    diameterMm: {
      value: diameterMm,
      low: diameterMm * (1 - THICK_OFF),
      high: diameterMm * (1 + THICK_OFF),
      evidence: 'entered',
    },
    densityMgPerMm3: { value, low: at(-1), high: at(1), evidence: 'entered' },
  }
}
