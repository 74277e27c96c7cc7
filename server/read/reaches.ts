import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { reach, water } from '../db/schema.ts'

/** A reach with its water. */
export interface LoadedReach {
  readonly reach: typeof reach.$inferSelect
  readonly water: typeof water.$inferSelect
}

/** Reaches that are not put away, river by river from low to high. */
export const loadReaches = keptUntilWrite(readReaches, [reach, water])

async function readReaches(db: Reader): Promise<readonly LoadedReach[]> {
  return db
    .select({ reach, water })
    .from(reach)
    .innerJoin(water, eq(water.id, reach.waterId))
    .where(and(isNull(reach.archivedAtMs), isNull(water.archivedAtMs)))
    .orderBy(asc(water.nameKey), asc(reach.elevationM), asc(reach.position))
}
