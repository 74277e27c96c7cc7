import { isNull } from 'drizzle-orm'
import type { drill } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { drillAnswer } from '../db/schema.ts'
import { grouped } from './grouped.ts'

async function readAnswers(db: Reader): Promise<ReadonlyMap<drill.Drill, readonly drill.Answered[]>> {
  const rows = await db.select().from(drillAnswer).where(isNull(drillAnswer.archivedAtMs))
  return grouped(rows, (row) => row.drill)
}

/** What was answered in drills, by drill. */
export const loadDrillAnswers = keptUntilWrite(readAnswers, [drillAnswer])
