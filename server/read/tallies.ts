import { and, eq, gt, inArray, isNull, lt, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/sqlite-core'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { packedIn } from '../db/ownWords.ts'
import { flyEntry, flyTally, variantRevision } from '../db/schema.ts'
import { recipeOwners } from './recipeOwners.ts'
import type { VariantId, VariantRevisionId } from '../../contract/index.ts'

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
  const rows = await packedIn<readonly (readonly [VariantRevisionId, string, string, number, number])[]>(
    db,
    sql`select json_group_array(json_array(variant_revision_id, cause, loss_cause, count, last_at_ms)) from fly_tally`,
  )
  const ownerOf = await recipeOwners(
    db,
    rows.map(([revisionId]) => revisionId),
  )
  return rows.flatMap(([revisionId, cause, lossCause, count, lastAtMs]) => {
    const variantId = ownerOf.get(revisionId)
    return variantId ? [{ variantId, cause, lossCause, count, lastAtMs }] : []
  })
}

/** How many flies of each variant were lost. */
export const loadLost = keptUntilWrite(readLost, [loadTallies])

async function readLost(db: Reader): Promise<ReadonlyMap<string, number>> {
  const lost = new Map<string, number>()
  for (const { variantId, cause, count } of await loadTallies(db))
    if (cause === 'lost') lost.set(variantId, (lost.get(variantId) ?? 0) - count)
  return lost
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
    // by a range, which has the index used: "not null" has the whole ledger read
    .where(and(gt(flyEntry.reversesEntryId, ''), eq(flyEntry.cause, 'lost')))
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
