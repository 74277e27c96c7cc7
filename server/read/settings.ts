import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { setting } from '../db/schema.ts'

/** The settings row; a data directory has one from its first start. */
export const loadSettings = keptUntilWrite(readSettings, [setting])

async function readSettings(db: Reader) {
  const [row] = await db.select().from(setting)
  if (!row) throw new Error('the settings row is missing')
  return row
}
