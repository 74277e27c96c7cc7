import { and, desc, eq, isNotNull, isNull, lte } from 'drizzle-orm'
import type { ReachId, ReachSeasonView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { reading, readingImport } from '../db/schema.ts'

/** The latest level of a reach, and what it was about a day before. */
export async function latestLevel(db: Reader, reachId: ReachId): Promise<ReachSeasonView['level']> {
  const ofReach = and(
    eq(readingImport.reachId, reachId),
    isNull(readingImport.archivedAtMs),
    isNotNull(reading.levelMm),
  )
  const [latest] = await db
    .select({ reading, source: readingImport.source })
    .from(reading)
    .innerJoin(readingImport, eq(readingImport.id, reading.importId))
    .where(ofReach)
    .orderBy(desc(reading.day), desc(reading.localMin))
    .limit(1)
  if (!latest || latest.reading.levelMm === null) return null
  const { day, localMin, levelMm, clarityMm } = latest.reading
  const [before] = await db
    .select({ levelMm: reading.levelMm })
    .from(reading)
    .innerJoin(readingImport, eq(readingImport.id, reading.importId))
    .where(and(ofReach, eq(reading.day, day - 1), lte(reading.localMin, localMin)))
    .orderBy(desc(reading.localMin))
    .limit(1)
  return { day, localMin, levelMm, clarityMm, dayBeforeMm: before?.levelMm ?? null, source: latest.source }
}
