import { asc, count, eq, isNull, and } from 'drizzle-orm'
import type { RigsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { rig, spell } from '../db/schema.ts'

/** Rigs by name, each with how often it was fished. */
export async function rigsView(db: Reader): Promise<RigsView> {
  const rows = await db
    .select({ rig, spells: count(spell.id) })
    .from(rig)
    .leftJoin(spell, and(eq(spell.rigId, rig.id), isNull(spell.archivedAtMs)))
    .where(isNull(rig.archivedAtMs))
    .groupBy(rig.id)
    .orderBy(asc(rig.name), asc(rig.id))
  return {
    rigs: rows.map(({ rig: { id, version, name, way, parts, note }, spells }) => ({
      ...{ id, version, name, way, note, spells },
      parts: [...parts],
    })),
  }
}
