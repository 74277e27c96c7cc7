import { and, isNotNull, isNull, notInArray } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { batchEvent } from '../db/schema.ts'

/** What tells events at the vise that stand from those that were taken back, and from what took them back. */
export const stands = (db: Reader) =>
  and(
    isNull(batchEvent.undoesEventId),
    notInArray(
      batchEvent.id,
      db.select({ id: batchEvent.undoesEventId }).from(batchEvent).where(isNotNull(batchEvent.undoesEventId)),
    ),
  )
