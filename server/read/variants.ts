import { count, eq, getTableColumns, isNotNull, isNull, or, sql } from 'drizzle-orm'
import type { VariantFigure, VariantRevisionId } from '../../contract/index.ts'
import { behaviourOfListed } from '../../core/index.ts'
import type { Behaviour } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptFor, keptUntilWrite } from '../db/kept.ts'
import { among, packedRows } from '../db/ownWords.ts'
import { pattern, variant, variantFigure, variantRevision } from '../db/schema.ts'
import { loadBalances } from './balances.ts'
import { grouped } from './grouped.ts'
import { loadPatterns } from './patterns.ts'

/** A variant with what lists show of it. */
export interface VariantRow {
  readonly variant: typeof variant.$inferSelect
  readonly patternName: string
  /** ways in which its pattern is fished; none where nobody said */
  readonly fishedHow: (typeof pattern.$inferSelect)['fishedHow']
  readonly figure: FigureRow | null
  readonly onHand: number
  /** of those, tied to an older recipe */
  readonly olderOnHand: number
}

const { sketch: _sketch, ...FIGURE_COLUMNS } = getTableColumns(variantFigure)

/** A figure without its sketch, which is asked for apart: sketches are most of what a list would weigh. */
export type FigureRow = Omit<typeof variantFigure.$inferSelect, 'sketch'>

const keptFigures = keptFor<Reader, Map<string, FigureRow>>(() => new Map())

/** Lets go of figures that were worked out anew. */
export const forgetFigures = (db: Reader): void => keptFigures(db).clear()

/** Figures by recipe. A recipe's figure is written anew only when something is measured, so what was read is kept. */
async function loadFigures(
  db: Reader,
  revisionIds: readonly VariantRevisionId[],
): Promise<ReadonlyMap<string, FigureRow>> {
  const kept = keptFigures(db)
  const unknown = revisionIds.filter((id) => !kept.has(id))
  if (unknown.length > 0) {
    const rows = await db
      .select(FIGURE_COLUMNS)
      .from(variantFigure)
      .where(among(variantFigure.variantRevisionId, unknown))
    for (const row of rows) kept.set(row.variantRevisionId, row)
  }
  return kept
}

/** How many recipes have no figures yet: they are being worked out. */
export const loadFiguresToCome = keptUntilWrite(readFiguresToCome, [variantRevision, variantFigure])

async function readFiguresToCome(db: Reader): Promise<number> {
  const [row] = await db
    .select({ n: count() })
    .from(variantRevision)
    .leftJoin(variantFigure, eq(variantFigure.variantRevisionId, variantRevision.id))
    .where(isNull(variantFigure.variantRevisionId))
  return row?.n ?? 0
}

/** The figure of one recipe; null where there is none yet. */
export const loadFigure = keptUntilWrite(
  async (db: Reader, revisionId: VariantRevisionId) =>
    (await loadFigures(db, [revisionId])).get(revisionId) ?? null,
  [variantFigure],
)

/** What one fly of some recipes takes of each drawer. */
export const loadBills = keptUntilWrite(readBills, [variantFigure])

async function readBills(db: Reader, revisionIds: readonly VariantRevisionId[]) {
  const figures = await loadFigures(db, revisionIds)
  return new Map(revisionIds.map((id) => [id, figures.get(id)?.bill ?? []]))
}

/** Variants that are not put away, in the order of their patterns' names. */
const loadNamed = keptUntilWrite(readNamed, [variant, loadPatterns])

async function readNamed(db: Reader) {
  const rows = await packedRows(
    db,
    getTableColumns(variant),
    sql`from ${variant} where ${variant.archivedAtMs} is null`,
    sql`${variant.position}`,
  )
  const variantsOf = grouped(rows, ({ patternId }) => patternId)
  return (await loadPatterns(db)).flatMap(({ id, name: patternName, fishedHow }) =>
    (variantsOf.get(id) ?? []).map((row) => ({ variant: row, patternName, fishedHow })),
  )
}

/** Variants with their figures, whatever of them is on hand. */
export const loadRecipes = keptUntilWrite(readRecipes, [loadNamed, variantFigure])

async function readRecipes(db: Reader) {
  const rows = await loadNamed(db)
  const figures = await loadFigures(
    db,
    rows.map((row) => row.variant.currentRevisionId),
  )
  return rows.map((row) => ({ ...row, figure: figures.get(row.variant.currentRevisionId) ?? null }))
}

/** Whether a fly may serve anything: of a bought one nobody knows how it looks. */
export const hasLook = ({ figure }: Pick<VariantRow, 'figure'>): boolean => Boolean(figure?.look)

/**
 * All variants that are not put away, in the order of their patterns' names. What a row has is named: to add to an object
 * that is spread takes some eighty times as long, and this is done after every write.
 */
export const loadVariants = keptUntilWrite(readVariants, [loadBalances, loadRecipes])

async function readVariants(db: Reader): Promise<readonly VariantRow[]> {
  const byVariant = new Map<string, number>()
  const byRevision = new Map<string, number>()
  for (const { variantId, revisionId, count } of await loadBalances(db)) {
    byVariant.set(variantId, (byVariant.get(variantId) ?? 0) + count)
    byRevision.set(revisionId, (byRevision.get(revisionId) ?? 0) + count)
  }
  return (await loadRecipes(db)).map(({ variant, patternName, fishedHow, figure }) => {
    const onHand = byVariant.get(variant.id) ?? 0
    const olderOnHand = onHand - (byRevision.get(variant.currentRevisionId) ?? 0)
    return { variant, patternName, fishedHow, figure, onHand, olderOnHand }
  })
}

/** Variants that are put away, or whose pattern is, and of which flies lie in boxes all the same. */
export const loadPutAway = keptUntilWrite(readPutAway, [loadBalances, variant, pattern, variantFigure])

async function readPutAway(db: Reader): Promise<readonly VariantRow[]> {
  const rows = await db
    .select({ variant, patternName: pattern.name, fishedHow: pattern.fishedHow })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(or(isNotNull(variant.archivedAtMs), isNotNull(pattern.archivedAtMs)))
    .orderBy(pattern.nameKey, variant.position)
  const onHand = new Map<string, number>()
  for (const { variantId, count } of await loadBalances(db))
    onHand.set(variantId, (onHand.get(variantId) ?? 0) + count)
  const there = rows.filter((row) => (onHand.get(row.variant.id) ?? 0) > 0)
  const figures = await loadFigures(
    db,
    there.map((row) => row.variant.currentRevisionId),
  )
  return there.map((row) => ({
    ...row,
    figure: figures.get(row.variant.currentRevisionId) ?? null,
    onHand: onHand.get(row.variant.id) ?? 0,
    olderOnHand: 0,
  }))
}

/** A figure as pages get it; what was never worked out reads as an incomplete recipe. */
export function toFigureView(row: FigureRow | null): VariantFigure {
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
    drawingKey: row?.drawingKey ?? null,
  }
}

/** How a variant behaves in the water, from its stored figure. */
export function behaviourOfRow(row: FigureRow | null): Behaviour {
  return row ? behaviourOfListed(row) : { kind: 'unknown' }
}
