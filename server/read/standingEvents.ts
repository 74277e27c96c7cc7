import { sql } from 'drizzle-orm'
import type { BatchId, EventId, PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { batch, batchEvent, variant, variantRevision } from '../db/schema.ts'

/** What tells events at the vise that stand from those that were taken back, and from what took them back. */
const STAND = sql.raw(`e.undoes_event_id is null and e.id not in
  (select undoes_event_id from batch_event where undoes_event_id is not null)`)

/** An event at the vise that stands. */
export type BatchEvent = Pick<typeof batchEvent.$inferSelect, 'kind' | 'stepKey' | 'count' | 'spoiledCause'> & {
  readonly id: EventId
}

/** The events of a batch that stand, as they came in. */
export const loadEvents = keptUntilWrite(readEvents, [batchEvent])

async function readEvents(db: Reader, batchId: BatchId): Promise<readonly BatchEvent[]> {
  // as one row of JSON: see loadBalances
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(id, kind, step_key, count, spoiled_cause)) as rows
      from (select e.* from batch_event e where e.batch_id = ${batchId} and ${STAND} order by e.rowid)`,
  )
  type Row = [EventId, BatchEvent['kind'], string | null, number, string | null]
  const rows = JSON.parse(row.rows) as readonly Row[]
  return rows.map(([id, kind, stepKey, count, spoiledCause]) => ({ id, kind, stepKey, count, spoiledCause }))
}

/** An event by which the time at the vise is told. */
export interface TimedEvent {
  readonly patternId: PatternId
  readonly batchId: BatchId
  readonly atMs: number
  readonly kind: 'done' | 'step' | 'station' | 'pause' | 'resume'
}

/** All events by which time is told and that stand, batch by batch in the order of time. */
export const loadTimedEvents = keptUntilWrite(readTimedEvents, [batchEvent, batch, variantRevision, variant])

async function readTimedEvents(db: Reader): Promise<readonly TimedEvent[]> {
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(pattern_id, batch_id, at_ms, kind)) as rows
      from (select v.pattern_id, e.batch_id, e.at_ms, e.kind from batch_event e
        join batch b on b.id = e.batch_id
        join variant_revision r on r.id = b.variant_revision_id
        join variant v on v.id = r.variant_id
        where e.kind in ('done', 'step', 'station', 'pause', 'resume') and ${STAND}
        order by e.batch_id, e.at_ms)`,
  )
  type Row = [PatternId, BatchId, number, TimedEvent['kind']]
  const rows = JSON.parse(row.rows) as readonly Row[]
  return rows.map(([patternId, batchId, atMs, kind]) => ({ patternId, batchId, atMs, kind }))
}
