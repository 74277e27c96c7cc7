import { isNull } from 'drizzle-orm'
import type { OutingId, TapId, WatersideTap } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outingTap } from '../db/schema.ts'
import { grouped } from './grouped.ts'

/** What was noted on an outing, in order, and of which of it a spell or a loss was made. */
export interface Noted {
  readonly taps: readonly WatersideTap[]
  readonly booked: readonly TapId[]
}

async function readTaps(db: Reader): Promise<ReadonlyMap<OutingId, Noted>> {
  const rows = await db
    .select()
    .from(outingTap)
    .where(isNull(outingTap.archivedAtMs))
    .orderBy(outingTap.atMs, outingTap.id)
  const byOuting = grouped(rows, ({ outingId }) => outingId)
  return new Map(
    [...byOuting].map(([outingId, own]) => [
      outingId,
      {
        taps: own.map(({ id, atMs, said }): WatersideTap => ({ ...said, id, atMs })),
        booked: own.filter(({ booked }) => booked).map(({ id }) => id),
      },
    ]),
  )
}

/** What was noted at the water, by outing. */
export const loadTaps = keptUntilWrite(readTaps, [outingTap])
