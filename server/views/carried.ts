import type { Carried, OutingId } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { loadSettings } from '../read/settings.ts'
import { alongView } from './along.ts'
import { warmthAlong } from './alongWarmth.ts'
import { drawingsOf } from './drawings.ts'

/** What the page that goes along carries: its outing, and the flies of it drawn; null where there is no such outing. */
export async function carriedAlong(
  db: Reader,
  clock: Clock,
  { outingId, dataId, home = null }: Pick<Carried, 'dataId'> & { outingId: OutingId; home?: string | null },
): Promise<Carried | null> {
  const along = await alongView(db, clock, outingId)
  if (!along) return null
  const keys = along.flies.flatMap(({ aboard, drawingKey }) => (aboard > 0 && drawingKey ? [drawingKey] : []))
  const { sketches } = await drawingsOf(db, keys)
  const { units } = (await loadSettings(db)).body
  return { dataId, units, sketches, along, warmth: await warmthAlong(db, along), home }
}
