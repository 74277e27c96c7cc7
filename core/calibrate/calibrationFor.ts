import { partsOf, makeBead } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { UNCALIBRATED } from '../evaluate/index.ts'
import type { Calibration, MassFactor } from '../evaluate/index.ts'
import { hookMassSdLog, hookOf } from '../hook/index.ts'
import { linearMassMgPerMm } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { DropReading } from './dropTest.ts'
import { dragShares } from './likeness.ts'
import { shrinkDrag } from './shrink.ts'
import type { Shrunk } from './shrink.ts'
import { massFactorOf } from './weighing.ts'
import type { GoodsWeighing } from './weighing.ts'

/** Finished flies of one variant on the scale. */
export interface FlyWeighing {
  readonly id: string
  readonly variantId: string
  readonly count: number
  readonly totalMg: number
  readonly scaleSdMg: number
}

/** All that the user has measured. */
export interface Measured {
  readonly readings: readonly DropReading[]
  readonly goods: readonly GoodsWeighing[]
  readonly flies: readonly FlyWeighing[]
}

export const NOTHING_MEASURED: Measured = { readings: [], goods: [], flies: [] }

/** Finished flies of one batch differ by this, sd of the logarithm. */
const FLY_SD_LOG = 0.04

/** What one piece of a drawer should weigh, and how the sizes of its family err together: hooks by a maker's habit, beads jar by jar. */
export interface ReckonedPiece {
  readonly mg: number
  readonly sdLog: number
  readonly familyShare: number
}

/** Mass of one piece, or of one mm of what comes by length, by the catalogue, with its doubt; null for what is not weighed so. */
export function reckonedPiece(material: Material): ReckonedPiece | null {
  const hook = hookOf(material)
  switch (material.family.kind) {
    case 'hook':
      return hook && { mg: hook.massMg, sdLog: hookMassSdLog(material), familyShare: 0.8 }
    case 'bead':
      return { mg: makeBead(material).massMg, sdLog: 0.12, familyShare: 0.2 }
    case 'wire':
    case 'thread':
      return { mg: linearMassMgPerMm(material), sdLog: 0.08, familyShare: 0.5 }
    default:
      return null
  }
}

/** What weighing says of one drawer's pieces against the catalogue; null where nothing was weighed that bears on it. */
export function weighedFactor(material: Material, goods: readonly GoodsWeighing[]): MassFactor | null {
  if (goods.length === 0) return null
  const piece = reckonedPiece(material)
  return (
    piece &&
    massFactorOf(goods, {
      materialId: material.id,
      familyId: material.family.name,
      priorSdLog: piece.sdLog,
    })
  )
}

function massFactors(fly: Fly, goods: readonly GoodsWeighing[]): ReadonlyMap<string, MassFactor> {
  const found = new Map<string, MassFactor>()
  for (const material of [fly.hookMaterial, ...fly.components.map((component) => component.material)]) {
    const factor = weighedFactor(material, goods)
    if (factor) found.set(material.id, factor)
  }
  return found
}

function weighedFly(
  variantId: string,
  flies: readonly FlyWeighing[],
): NonNullable<Calibration['weighed']> | null {
  const own = flies.filter((weighing) => weighing.variantId === variantId)
  if (own.length === 0) return null
  const pieces = own.reduce((sum, { count }) => sum + count, 0)
  const massMg = own.reduce((sum, { totalMg }) => sum + totalMg, 0) / pieces
  const scale = Math.hypot(...own.map(({ scaleSdMg }) => scaleSdMg)) / pieces
  return { massMg, sdMg: Math.hypot(scale, (FLY_SD_LOG * massMg) / Math.sqrt(pieces)) }
}

/** What weighing alone says of a fly, against which its drops are read. */
export const massesFor = (
  fly: Fly,
  variantId: string,
  measured: Pick<Measured, 'goods' | 'flies'>,
): Calibration => ({
  ...UNCALIBRATED,
  massFactors: massFactors(fly, measured.goods),
  weighed: weighedFly(variantId, measured.flies),
})

/** A calibration with the tests that made it. */
export interface Calibrated extends Calibration {
  readonly weights: Shrunk['weights']
}

/** All that measuring says of a fly: its masses by scale, its drag and air by its own drops and those of its likes. */
export function calibrationFor(fly: Fly, variantId: string, measured: Measured): Calibrated {
  const masses = massesFor(fly, variantId, measured)
  if (measured.readings.length === 0) return { ...masses, weights: [] }
  return {
    ...masses,
    ...shrinkDrag(measured.readings, { variantId, shares: dragShares(fly, partsOf(fly)) }),
  }
}
