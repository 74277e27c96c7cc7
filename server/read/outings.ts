import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outing } from '../db/schema.ts'

/** Outings that are planned, the next one first. */
export const loadPlanned = keptUntilWrite(readPlanned, [outing])

/** Outings that are planned, the next one first. */
async function readPlanned(db: Reader) {
  return db
    .select()
    .from(outing)
    .where(and(eq(outing.status, 'planned'), isNull(outing.archivedAtMs)))
    .orderBy(asc(outing.on), desc(outing.id))
}

/** The next planned outing from a day on. */
export async function nextOuting(db: Reader, today: string) {
  const planned = await loadPlanned(db)
  return planned.find(({ on }) => on >= today) ?? null
}

/** Hour at which most outings are at their best: a little after the middle of the hours planned. */
export const outingHour = (row: typeof outing.$inferSelect): number =>
  Math.round((row.fromLocalMin + (row.toLocalMin - row.fromLocalMin) / 2) / 30) * 30
