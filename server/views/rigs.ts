import { asc, count, eq, gte, isNull, and, sql } from 'drizzle-orm'
import type { RigsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { lineCount, outing, rig, spell } from '../db/schema.ts'

/** Rigs by name, each with how often it was fished. */
export async function rigsView(db: Reader): Promise<RigsView> {
  const rows = await db
    .select({
      rig,
      spells: count(spell.id),
      fishedMin: sql<number>`coalesce(sum(case when ${gte(outing.on, rig.knotsOn)} then ${spell.minutes} end), 0)`,
    })
    .from(rig)
    .leftJoin(spell, and(eq(spell.rigId, rig.id), isNull(spell.archivedAtMs)))
    .leftJoin(outing, eq(outing.id, spell.outingId))
    .where(isNull(rig.archivedAtMs))
    .groupBy(rig.id)
    .orderBy(asc(rig.name), asc(rig.id))
  const counts = await db
    .select()
    .from(lineCount)
    .where(isNull(lineCount.archivedAtMs))
    .orderBy(asc(lineCount.atMs))
  return {
    rigs: rows.map(({ rig: { id, version, name, way, parts, note, knotsOn }, spells, fishedMin }) => ({
      ...{ id, version, name, way, note, spells, knotsOn, fishedMin },
      parts: [...parts],
      counts: counts
        .filter(({ rigId }) => rigId === id)
        .map(({ rigId: _rigId, atMs: _atMs, archivedAtMs: _archived, ...count }) => count),
    })),
  }
}
