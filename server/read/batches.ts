import { and, asc, desc, eq, inArray, isNotNull, ne, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { COUNTS_NAMED } from '../../contract/index.ts'
import type { BatchId, EventId, PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { batch, batchEvent, compartment, pattern, variant, variantRevision } from '../db/schema.ts'

/** Batches that were ended lately. */
const LATELY = 20

const withNames = (db: Reader) =>
  db
    .select({
      batch,
      revision: variantRevision,
      label: variant.label,
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      note: pattern.note,
      compartmentLabel: compartment.label,
    })
    .from(batch)
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .innerJoin(compartment, eq(compartment.id, batch.compartmentId))

const NAMED = [batch, variantRevision, variant, pattern, compartment]

/** Batches that are planned or open, in the order in which they wait. */
export const loadOpenBatches = keptUntilWrite(
  (db: Reader) =>
    withNames(db)
      .where(inArray(batch.status, ['planned', 'open']))
      .orderBy(asc(batch.queuePosition)),
  NAMED,
)

/** Flies that are to come of batches that wait or lie on the vise, by variant. */
export const loadQueuedFlies = keptUntilWrite(
  async (db: Reader): Promise<ReadonlyMap<string, number>> => {
    const flies = new Map<string, number>()
    for (const { variantId, batch: own } of await loadOpenBatches(db))
      flies.set(variantId, (flies.get(variantId) ?? 0) + own.plannedCount)
    return flies
  },
  [loadOpenBatches],
)

/** Batches that were ended, the last first. */
export const loadEndedBatches = keptUntilWrite(
  (db: Reader) =>
    withNames(db)
      .where(inArray(batch.status, ['finished', 'abandoned']))
      .orderBy(desc(batch.endedAtMs))
      .limit(LATELY),
  NAMED,
)

/** A batch with what it is of. */
export type LoadedBatch = Awaited<ReturnType<typeof loadOpenBatches>>[number]

/** What was counted of a batch, less what was counted back. */
export interface BatchCounts {
  readonly done: number
  readonly spoiled: number
}
const NONE: BatchCounts = { done: 0, spoiled: 0 }

/** What was counted of each batch that is open or was ended lately. */
export const loadBatchCounts = keptUntilWrite(readBatchCounts, [loadOpenBatches, loadEndedBatches, batchEvent])

async function readBatchCounts(db: Reader): Promise<(batchId: BatchId) => BatchCounts> {
  const ids = [...(await loadOpenBatches(db)), ...(await loadEndedBatches(db))].map((row) => row.batch.id)
  const rows = await db
    .select({
      batchId: batchEvent.batchId,
      done: sql<number>`coalesce(sum(case ${batchEvent.kind} when 'done' then ${batchEvent.count} end), 0)`,
      spoiled: sql<number>`coalesce(sum(case ${batchEvent.kind} when 'spoiled' then ${batchEvent.count} end), 0)`,
    })
    .from(batchEvent)
    .where(inArray(batchEvent.batchId, ids))
    .groupBy(batchEvent.batchId)
  const byBatch = new Map(rows.map(({ batchId, done, spoiled }) => [batchId, { done, spoiled }]))
  return (batchId) => byBatch.get(batchId) ?? NONE
}

/** The last events of a batch by which flies were counted, taken back or not. */
export const loadCounted = keptUntilWrite(readCounted, [batchEvent])

async function readCounted(db: Reader, batchId: BatchId): Promise<readonly EventId[]> {
  const rows = await db
    .select({ id: batchEvent.id })
    .from(batchEvent)
    .where(and(eq(batchEvent.batchId, batchId), inArray(batchEvent.kind, ['done', 'spoiled', 'station'])))
    .orderBy(desc(sql`rowid`))
    .limit(COUNTS_NAMED)
  return rows.map(({ id }) => id as EventId)
}

const MOST_NOTES = 3

/** What was noted of the last batches of a pattern beside one of them, and the last picture of one. */
export const loadEarlier = keptUntilWrite(readEarlier, [batch, variantRevision, variant])

async function readEarlier(db: Reader, patternId: PatternId, batchId: BatchId) {
  const others = (isThere: SQL | undefined) =>
    db
      .select({ atMs: batch.createdAtMs, label: variant.label, note: batch.note, photoId: batch.photoId })
      .from(batch)
      .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
      .innerJoin(variant, eq(variant.id, variantRevision.variantId))
      .where(and(eq(variant.patternId, patternId), ne(batch.id, batchId), isThere))
      .orderBy(desc(batch.createdAtMs))
  const noted = await others(ne(batch.note, '')).limit(MOST_NOTES)
  const [pictured] = await others(isNotNull(batch.photoId)).limit(1)
  return {
    notes: noted.map(({ atMs, label, note }) => ({ atMs, label, note })),
    photoId: pictured?.photoId ?? null,
  }
}
