import { sql } from 'drizzle-orm'
import type { BatchId, EventId, PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { packedIn } from '../db/ownWords.ts'
import { batch, batchEvent, variant, variantRevision } from '../db/schema.ts'

/** What tells events at the vise that stand from those that were taken back, and from what took them back. */
const STAND = sql.raw(`e.undoes_event_id is null and e.id not in
  (select undoes_event_id from batch_event where undoes_event_id is not null)`)

/** How far a batch has come at the vise, by the events that stand. */
export interface Progress {
  /** flies that each step was done to, where a batch is tied step by step */
  readonly throughStep: Readonly<Record<string, number>>
  /** spoiled flies of which no cause was said, the last first */
  readonly spoiledUnsaid: readonly EventId[]
  /** the step that was gone to last */
  readonly stepKey: string | null
  /** whether a fly was finished since then */
  readonly doneSinceStep: boolean
  readonly paused: boolean
}

/** How far a batch has come; added up in the database, since an evening's taps are many. */
export const loadProgress = keptUntilWrite(readProgress, [batchEvent])

async function readProgress(db: Reader, batchId: BatchId): Promise<Progress> {
  const { throughStep, spoiledUnsaid, stepKey, lastStep, lastDone, lastRest } = await packedIn<
    Pick<Progress, 'throughStep' | 'spoiledUnsaid' | 'stepKey'> & {
      readonly lastStep: number
      readonly lastDone: number
      readonly lastRest: string | null
    }
  >(
    db,
    sql`with own as (select e.*, e.rowid as nth from batch_event e where e.batch_id = ${batchId} and ${STAND})
      select json_object(
        'throughStep', json((select json_group_object(step_key, n) from
          (select step_key, sum(count) as n from own where kind = 'station' and step_key is not null group by step_key))),
        'spoiledUnsaid', json((select json_group_array(id) from
          (select id from own where kind = 'spoiled' and count > 0 and spoiled_cause is null order by nth desc))),
        'stepKey', (select step_key from own where kind = 'step' order by nth desc limit 1),
        'lastStep', (select coalesce(max(nth), 0) from own where kind = 'step'),
        'lastDone', (select coalesce(max(nth), 0) from own where kind = 'done'),
        'lastRest', (select kind from own where kind in ('pause', 'resume') order by nth desc limit 1))`,
  )
  return {
    throughStep,
    spoiledUnsaid,
    stepKey,
    doneSinceStep: lastDone > lastStep,
    paused: lastRest === 'pause',
  }
}

/** An event by which the time at the vise is told. */
export interface TimedEvent {
  readonly patternId: PatternId
  readonly batchId: BatchId
  readonly atMs: number
  readonly kind: 'done' | 'step' | 'station' | 'pause' | 'resume'
}

/**
 * The events by which time is told and that stand, batch by batch in the order of time. Of the many steps only those
 * are among them that begin the count: the first of a batch, and the first after a rest.
 */
export const loadTimedEvents = keptUntilWrite(readTimedEvents, [batchEvent, batch, variantRevision, variant])

async function readTimedEvents(db: Reader): Promise<readonly TimedEvent[]> {
  type Row = [PatternId, BatchId, number, TimedEvent['kind']]
  const rows = await packedIn<readonly Row[]>(
    db,
    sql`select json_group_array(json_array(pattern_id, batch_id, at_ms, kind))
      from (select v.pattern_id, e.batch_id, e.at_ms, e.kind from
          (select e.batch_id, e.at_ms, e.kind, e.rowid as nth,
              lag(e.kind, 1, 'pause') over (partition by e.batch_id order by e.at_ms, e.rowid) as before
            from batch_event e
            where e.kind in ('done', 'step', 'station', 'pause', 'resume') and ${STAND}) e
        join batch b on b.id = e.batch_id
        join variant_revision r on r.id = b.variant_revision_id
        join variant v on v.id = r.variant_id
        where e.kind not in ('step', 'station') or e.before = 'pause'
        order by e.batch_id, e.at_ms, e.nth)`,
  )
  return rows.map(([patternId, batchId, atMs, kind]) => ({ patternId, batchId, atMs, kind }))
}
