import type { Reader } from './db/database.ts'
import { keptFor } from './db/kept.ts'
import { family } from './db/schema.ts'

export type FamilyRow = typeof family.$inferSelect

const keptFamilies = keptFor<Reader, { families: ReadonlyMap<string, FamilyRow> | null }>(() => ({
  families: null,
}))

/** All families by id. Nothing but the first start writes them, so they are read once for each database. */
export async function loadFamilies(db: Reader): Promise<ReadonlyMap<string, FamilyRow>> {
  const kept = keptFamilies(db)
  kept.families ??= new Map((await db.select().from(family)).map((row) => [row.id, row]))
  return kept.families
}
