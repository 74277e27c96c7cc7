import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { VariantFigure } from '../../contract/index.ts'
import type { Behaviour } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptFor, keptUntilWrite } from '../db/kept.ts'
import { flyBalance, pattern, variant, variantFigure, variantRevision } from '../db/schema.ts'

/** A variant with what lists show of it. */
export interface VariantRow {
  readonly variant: typeof variant.$inferSelect
  readonly patternName: string
  readonly figure: typeof variantFigure.$inferSelect | null
  readonly onHand: number
  /** of those, tied to an older recipe */
  readonly olderOnHand: number
}

/** Flies on hand by recipe. */
async function countsByRevision(
  db: Reader,
): Promise<ReadonlyMap<string, { variantId: string; count: number }>> {
  const rows = await db
    .select({
      revisionId: flyBalance.variantRevisionId,
      variantId: variantRevision.variantId,
      count: sql<number>`sum(${flyBalance.count})`,
    })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .groupBy(flyBalance.variantRevisionId)
  return new Map(rows.map(({ revisionId, variantId, count }) => [revisionId, { variantId, count }]))
}

type FigureRow = typeof variantFigure.$inferSelect

const keptFigures = keptFor<Reader, Map<string, FigureRow>>(() => new Map())

/** Figures by recipe. A recipe's figure is written anew only when something is measured, so what was read is kept. */
/** Lets go of figures that were worked out anew. */
export const forgetFigures = (db: Reader): void => keptFigures(db).clear()

async function loadFigures(
  db: Reader,
  revisionIds: readonly string[],
): Promise<ReadonlyMap<string, FigureRow>> {
  const kept = keptFigures(db)
  const unknown = revisionIds.filter((id) => !kept.has(id))
  if (unknown.length > 0) {
    const rows = await db
      .select()
      .from(variantFigure)
      .where(inArray(variantFigure.variantRevisionId, [...unknown]))
    for (const row of rows) kept.set(row.variantRevisionId, row)
  }
  return kept
}

/** All variants that are not put away, in the order of their patterns' names. */
export const loadVariants = keptUntilWrite(readVariants, ['flies', 'rest'])

async function readVariants(db: Reader): Promise<readonly VariantRow[]> {
  const rows = await db
    .select({ variant, patternName: pattern.name })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(and(isNull(variant.archivedAtMs), isNull(pattern.archivedAtMs)))
    .orderBy(pattern.nameKey, variant.position)
  const counts = await countsByRevision(db)
  const figures = await loadFigures(
    db,
    rows.map((row) => row.variant.currentRevisionId),
  )
  const byVariant = new Map<string, number>()
  for (const { variantId, count } of counts.values())
    byVariant.set(variantId, (byVariant.get(variantId) ?? 0) + count)
  return rows.map((row) => {
    const onHand = byVariant.get(row.variant.id) ?? 0
    const figure = figures.get(row.variant.currentRevisionId) ?? null
    return {
      ...row,
      figure,
      onHand,
      olderOnHand: onHand - (counts.get(row.variant.currentRevisionId)?.count ?? 0),
    }
  })
}

/** A figure as pages get it; what was never worked out reads as an incomplete recipe. */
export function toFigureView(row: typeof variantFigure.$inferSelect | null): VariantFigure {
  return {
    kind: row?.kind ?? 'incomplete',
    massMg: row?.massMg ?? null,
    submergedMg: row?.submergedMg ?? null,
    sinkSpeedMmPerS: row?.sinkSpeedMmPerS ?? null,
    low: row?.low ?? null,
    high: row?.high ?? null,
    trailingSpeedMmPerS: row?.trailingSpeedMmPerS ?? null,
    posture: row?.posture ?? null,
    bodyLengthMm: row?.look?.bodyLengthMm ?? null,
    hookSize: row?.hookSize ?? null,
    drawing: (row?.drawing ?? null) as VariantFigure['drawing'],
  }
}

/** How a variant behaves in the water, from its stored figure. */
export function behaviourOfRow(row: typeof variantFigure.$inferSelect | null): Behaviour {
  if (row?.kind === 'sinks' && row.trailingSpeedMmPerS !== null) {
    return { kind: 'sinks', sinkSpeedMmPerS: row.trailingSpeedMmPerS }
  }
  return row?.kind === 'floats' && row.posture ? { kind: 'floats', posture: row.posture } : { kind: 'unknown' }
}

const DRIFT_S = 6
const STILL_WAIT_S = 15

/** Depth where a fly fishes: as far as it gets on a usual drift or wait, never below the bed; null where unknown. */
export function fishingDepthMm(behaviour: Behaviour, bedMm: number, surfaceSpeedMmPerS: number): number | null {
  if (behaviour.kind === 'unknown') return null
  if (behaviour.kind === 'floats') return 0
  const availableS = surfaceSpeedMmPerS > 50 ? DRIFT_S : STILL_WAIT_S
  return Math.min(behaviour.sinkSpeedMmPerS * availableS, bedMm)
}
