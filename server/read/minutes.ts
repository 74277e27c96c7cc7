import { and, eq, inArray } from 'drizzle-orm'
import { minutesTaken, paceOf } from '../../core/index.ts'
import type { Pace, ViseEvent } from '../../core/index.ts'
import type { PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { batch, batchEvent, variant, variantRevision } from '../db/schema.ts'
import { grouped } from './grouped.ts'
import { stands } from './standingEvents.ts'

const TIMED: readonly ViseEvent['kind'][] = ['done', 'step', 'station', 'pause', 'resume']

/** How long one fly of a pattern takes, from all its batches, the one on the vise among them. */
export const loadMinutes = keptUntilWrite(readMinutes, [batch, batchEvent, variantRevision, variant])

async function readMinutes(db: Reader): Promise<(patternId: PatternId) => Pace> {
  const events = await db
    .select({
      patternId: variant.patternId,
      batchId: batchEvent.batchId,
      atMs: batchEvent.atMs,
      kind: batchEvent.kind,
    })
    .from(batchEvent)
    .innerJoin(batch, eq(batch.id, batchEvent.batchId))
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .where(and(inArray(batchEvent.kind, [...TIMED]), stands(db)))
    .orderBy(batchEvent.batchId, batchEvent.atMs)
  const byPattern = grouped(events, ({ patternId }) => patternId)
  const paces = new Map(
    [...byPattern].map(([patternId, own]) => [patternId, paceOf(minutesTaken(own as readonly ViseEvent[]))]),
  )
  return (patternId) => paces.get(patternId) ?? paceOf([])
}
