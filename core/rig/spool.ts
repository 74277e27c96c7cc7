import { waterAt } from '../water/index.ts'
import { crossForceMgPerMm } from './line.ts'

/** A grain, mg. */
const GRAIN_MG = 64.799
/** Makers test their lines in water of a room. */
const TEST_TEMP_C = 20
/** No line is heavier than this: beyond it rate or diameter is wrong. */
const HEAVIEST_MG_PER_MM3 = 3

const sectionMm2 = (diameterMm: number) => (Math.PI / 4) * diameterMm ** 2

/** Density of a line that sinks level at a rate, mg/mm³: its weight in water is what the water pushes at that speed. */
export function densityByRate(diameterMm: number, rateMmPerS: number, tempC = TEST_TEMP_C): number {
  const water = waterAt(tempC)
  return water.densityMgPerMm3 + crossForceMgPerMm(diameterMm, rateMmPerS, water) / sectionMm2(diameterMm)
}

/** Density of a line of so many grains over a length, mg/mm³. */
export const densityByGrains = (diameterMm: number, grains: number, lengthMm: number): number =>
  (GRAIN_MG * grains) / (sectionMm2(diameterMm) * lengthMm)

/** What a spool says of a line. */
export interface OnSpool {
  readonly diameterMm: number
  readonly rateMmPerS: number | null
  readonly grains: { readonly grains: number; readonly lengthMm: number } | null
}

/** What follows from it: the density, how far rate and weight are apart where both are said, and whether it can be. */
export interface ReadSpool {
  readonly densityMgPerMm3: number
  /** density by its rate over that by its weight; null where only one is said */
  readonly disagree: number | null
  readonly isDoubtful: boolean
}

/** Reads what a spool says; weight is taken before the rate, which says less. Null where it says neither. */
export function readSpool({ diameterMm, rateMmPerS, grains }: OnSpool): ReadSpool | null {
  const byRate = rateMmPerS === null ? null : densityByRate(diameterMm, rateMmPerS)
  const byWeight = grains && densityByGrains(diameterMm, grains.grains, grains.lengthMm)
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
