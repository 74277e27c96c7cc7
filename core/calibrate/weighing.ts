import type { MassFactor } from '../evaluate/index.ts'
import { condition } from './gaussian.ts'

/** Goods of one drawer on the scale, one or several at once. */
export interface GoodsWeighing {
  readonly id: string
  readonly materialId: string
  /** drawers of one family vary together: a packet of heavy hooks is a maker's habit */
  readonly familyId: string
  readonly totalMg: number
  /** pieces on the scale, or mm of what comes by length */
  readonly count: number
  /** what the catalogue would have one of them weigh, mg */
  readonly reckonedMg: number
  /** doubt of the catalogue in it, sd of the logarithm */
  readonly priorSdLog: number
  /** share of that doubt that the sizes of a family have in common, 0 to 1 */
  readonly familyShare: number
  /** sd of the scale, mg */
  readonly scaleSdMg: number
}

/** Pieces of one packet differ by this, sd of the logarithm. */
const PIECE_SD_LOG = 0.03
/** Weighings further apart than this many sd contradict each other. */
const CONTRADICTION_SDS = 3

const logFactor = (weighing: GoodsWeighing) => Math.log(weighing.totalMg / weighing.count / weighing.reckonedMg)

const sdOf = (weighing: GoodsWeighing) =>
  Math.hypot(weighing.scaleSdMg / weighing.totalMg, PIECE_SD_LOG / Math.sqrt(weighing.count))

/**
 * The mass of one drawer's goods from all weighings of its family: its own count nearly in full, those of other sizes
 * for what a family has in common. What lies far outside the catalogue's doubt is another make or metal, and is taken
 * as weighed.
 *
 * @param priorSdLog doubt of the catalogue in the drawer that is asked for
 * @returns null where nothing of the family was weighed
 */
export function massFactorOf(
  weighings: readonly GoodsWeighing[],
  drawer: { readonly materialId: string; readonly familyId: string; readonly priorSdLog: number },
): MassFactor | null {
  const known = weighings.filter(({ familyId }) => familyId === drawer.familyId)
  if (known.length === 0) return null
  const widened = (weighing: { priorSdLog: number }, log: number) =>
    Math.max(weighing.priorSdLog, Math.abs(log) / 1.5)
  const sds = known.map((weighing) => widened(weighing, logFactor(weighing)))
  const ownLogs = known.filter(({ materialId }) => materialId === drawer.materialId).map(logFactor)
  const targetSd = Math.max(drawer.priorSdLog, ...ownLogs.map((log) => Math.abs(log) / 1.5))
  const familyShare = known[0]?.familyShare ?? 0
  const shared = (same: boolean) => (same ? 1 : familyShare)
  const covariance = known.map((a, i) =>
    known.map(
      (b, j) =>
        (sds[i] ?? 0) * (sds[j] ?? 0) * shared(a.materialId === b.materialId) + (i === j ? sdOf(a) ** 2 : 0),
    ),
  )
  const withTarget = known.map(
    (weighing, i) => (sds[i] ?? 0) * targetSd * shared(weighing.materialId === drawer.materialId),
  )
  const found = condition(covariance, withTarget, targetSd ** 2, known.map(logFactor))
  const apart = ownLogs.length > 1 ? (Math.max(...ownLogs) - Math.min(...ownLogs)) / 2 : 0
  return { factor: Math.exp(found.mean), sdLog: Math.hypot(Math.sqrt(found.variance), apart) }
}

/** Pairs of weighings of one drawer that cannot both be right. */
export function contradictions(weighings: readonly GoodsWeighing[]): readonly (readonly [string, string])[] {
  return weighings.flatMap((a, i) =>
    weighings.slice(i + 1).flatMap((b): readonly (readonly [string, string])[] => {
      if (a.materialId !== b.materialId) return []
      const apart = Math.abs(logFactor(a) - logFactor(b))
      return apart > CONTRADICTION_SDS * Math.hypot(sdOf(a), sdOf(b), PIECE_SD_LOG) ? [[a.id, b.id]] : []
    }),
  )
}

/** Metals that beads are made of, by density. */
const METALS = [
  ['tungsten', 17.5],
  ['brass', 8.5],
  ['steel', 7.85],
  ['glass', 2.5],
] as const

/**
 * The metal that a weighed bead is made of, where it is plainly not the one on the jar.
 *
 * @param saidMgPerMm3 density by the catalogue
 */
export function likelyMetal(
  saidMgPerMm3: number,
  { factor, sdLog }: MassFactor,
): (typeof METALS)[number][0] | null {
  if (Math.abs(Math.log(factor)) < Math.max(0.25, 3 * sdLog)) return null
  const density = saidMgPerMm3 * factor
  const nearest = [...METALS].sort(
    (a, b) => Math.abs(Math.log(a[1] / density)) - Math.abs(Math.log(b[1] / density)),
  )[0]
  return nearest && Math.abs(Math.log(nearest[1] / density)) < 0.12 ? nearest[0] : null
}
