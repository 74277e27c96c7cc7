import { and, eq, inArray, isNotNull, isNull, lt, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/sqlite-core'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { packedIn } from '../db/ownWords.ts'
import { flyEntry, flyTally, variantRevision } from '../db/schema.ts'
import type { VariantId } from '../../contract/index.ts'

/** So many flies of a variant that were tied, lost, given or found. */
export interface Tally {
  readonly variantId: VariantId
  readonly cause: string
  readonly lossCause: string
  readonly count: number
  readonly lastAtMs: number
}

/** What became of flies, by variant and cause. */
export const loadTallies = keptUntilWrite(readTallies, [flyTally, variantRevision])

async function readTallies(db: Reader): Promise<readonly Tally[]> {
  const rows = await packedIn<readonly [VariantId, string, string, number, number][]>(
    db,
    sql`select json_group_array(json_array(r.variant_id, t.cause, t.loss_cause, t.count, t.last_at_ms))
      from fly_tally t join variant_revision r on r.id = t.variant_revision_id`,
  )
  return rows.map(([variantId, cause, lossCause, count, lastAtMs]) => ({
    variantId,
    cause,
    lossCause,
    count,
    lastAtMs,
  }))
}

/** When the first recipe of each variant came to be known. */
export const loadSince = keptUntilWrite(readSince, [variantRevision])

async function readSince(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ variantId: variantRevision.variantId, atMs: sql<number>`min(${variantRevision.createdAtMs})` })
    .from(variantRevision)
    .groupBy(variantRevision.variantId)
  return new Map(rows.map(({ variantId, atMs }) => [variantId, atMs]))
}

/** When a fly of each variant was last lost, but for losses that were taken back. */
export const loadLastLost = keptUntilWrite(readLastLost, [loadTallies, flyEntry, variantRevision])

async function readLastLost(db: Reader): Promise<ReadonlyMap<string, number>> {
  const undone = await db
    .selectDistinct({ revisionId: flyEntry.variantRevisionId })
    .from(flyEntry)
    .where(and(isNotNull(flyEntry.reversesEntryId), eq(flyEntry.cause, 'lost')))
  const lost = new Map<string, number>()
  for (const { variantId, cause, count, lastAtMs } of await loadTallies(db))
    if (cause === 'lost' && count < 0) lost.set(variantId, Math.max(lost.get(variantId) ?? 0, lastAtMs))
  if (undone.length === 0) return lost
  // where some were taken back the sums do not say which: their own entries do
  const revisionIds = undone.map(({ revisionId }) => revisionId)
  const reversal = alias(flyEntry, 'reversal')
  const rows = await db
    .select({ variantId: variantRevision.variantId, atMs: sql<number>`max(${flyEntry.atMs})` })
    .from(flyEntry)
    .innerJoin(variantRevision, eq(variantRevision.id, flyEntry.variantRevisionId))
    .leftJoin(reversal, eq(reversal.reversesEntryId, flyEntry.id))
    .where(
      and(
        eq(flyEntry.cause, 'lost'),
        lt(flyEntry.delta, 0),
        isNull(reversal.id),
        inArray(
          variantRevision.variantId,
          db
            .select({ id: variantRevision.variantId })
            .from(variantRevision)
            .where(inArray(variantRevision.id, revisionIds)),
        ),
      ),
    )
    .groupBy(variantRevision.variantId)
  const of = await db
    .select({ variantId: variantRevision.variantId })
    .from(variantRevision)
    .where(inArray(variantRevision.id, revisionIds))
  for (const { variantId } of of) lost.delete(variantId)
  for (const { variantId, atMs } of rows) lost.set(variantId, atMs)
  return lost
}
