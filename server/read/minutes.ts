import { eq, inArray } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { batch, batchEvent, variant, variantRevision } from '../db/schema.ts'
import type { PatternId } from '../../contract/index.ts'
import { median } from '../../core/index.ts'

/** Minutes for one fly that nobody has timed. */
const USUAL_MINUTES = 8
/** A fly that took longer was left on the vise overnight. */
const LONGEST_MINUTES = 60

/** Minutes of one fly of a pattern: the median over its batches, between one fly and the next. */
export const loadMinutes = keptUntilWrite(readMinutes, [batch, batchEvent, variantRevision, variant])

async function readMinutes(db: Reader) {
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
    .where(inArray(batchEvent.kind, ['done', 'step', 'station', 'pause', 'resume']))
    .orderBy(batchEvent.batchId, batchEvent.atMs)
  const taken = new Map<string, number[]>()
  // where the fly on the vise was begun; a batch id of nothing while it rests
  const begun = { batchId: '', atMs: 0 }
  for (const { patternId, batchId, atMs, kind } of events) {
    if ((kind === 'step' || kind === 'station') && begun.batchId === batchId) continue
    if (kind === 'done' && begun.batchId === batchId) {
      const minutes = (atMs - begun.atMs) / 60_000
      if (minutes > 0.5 && minutes < LONGEST_MINUTES) {
        taken.set(patternId, [...(taken.get(patternId) ?? []), minutes])
      }
    }
    begun.batchId = kind === 'pause' ? '' : batchId
    begun.atMs = atMs
  }
  return (patternId: PatternId) => {
    const timed = taken.get(patternId) ?? []
    return {
      minutesEach: timed.length > 0 ? median(timed) : USUAL_MINUTES,
      timedFlies: timed.length,
      soFar: timed,
    }
  }
}
