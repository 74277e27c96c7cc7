import { desc, eq, sql } from 'drizzle-orm'
import type { PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { dressing, pattern } from '../db/schema.ts'

/** The dressing by which a pattern is tied now; the latest where the one that it names is gone, as after an undo of old. */
export async function currentDressing(
  db: Reader,
  patternId: PatternId,
): Promise<typeof dressing.$inferSelect | undefined> {
  const [found] = await db
    .select({ dressing })
    .from(dressing)
    .innerJoin(pattern, eq(pattern.id, dressing.patternId))
    .where(eq(dressing.patternId, patternId))
    .orderBy(desc(sql`${dressing.id} = ${pattern.currentDressingId}`), desc(dressing.revision))
    .limit(1)
  return found?.dressing
}
