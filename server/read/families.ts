import { getTableName } from 'drizzle-orm'
import type { SettingsBody } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptFor, noteReads } from '../db/kept.ts'
import { family, setting } from '../db/schema.ts'

/** A family as it is stored. */
export type FamilyRow = typeof family.$inferSelect

const keptFamilies = keptFor<Reader, { families: ReadonlyMap<string, FamilyRow> | null }>(() => ({
  families: null,
}))

/** A family whose nX sizes are counted as the user's makers count them. */
function counted(row: FamilyRow, steps: SettingsBody['hookSteps']): FamilyRow {
  const { hook } = row.body
  return hook ? { ...row, body: { ...row.body, hook: { ...hook, steps } } } : row
}

/**
 * All families by id, hooks with the convention of the settings. They are read once for each database, and again when one
 * is made or the settings change how sizes are counted.
 */
export async function loadFamilies(db: Reader): Promise<ReadonlyMap<string, FamilyRow>> {
  noteReads([getTableName(family), getTableName(setting)])
  const kept = keptFamilies(db)
  if (kept.families) return kept.families
  const [row] = await db.select().from(setting)
  const steps = row?.body.hookSteps ?? 'wholeSizes'
  const families = await db.select().from(family)
  kept.families = new Map(families.map((each) => [each.id, counted(each, steps)]))
  return kept.families
}

/** Lets go of the families, since the settings changed how their sizes are counted. */
export const forgetFamilies = (db: Reader): void => {
  keptFamilies(db).families = null
}
