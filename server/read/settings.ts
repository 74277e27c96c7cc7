import { usableZone } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { setting } from '../db/schema.ts'

/** The settings row; a data directory has one from its first start. */
export const loadSettings = keptUntilWrite(readSettings, [setting])

/** The settings, with a zone that works here. */
async function readSettings(db: Reader) {
  const [row] = await db.select().from(setting)
  if (!row) throw new Error('the settings row is missing')
  const zone = usableZone(row.body.timeZone)
  return {
    ...row,
    body: { ...row.body, timeZone: zone },
    /** the zone that was chosen where this machine does not know it */
    unknownZone: zone === row.body.timeZone ? null : row.body.timeZone,
  }
}
