import { sql } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import type { ActionsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { action } from '../db/schema.ts'

const LATEST_ACTIONS = 40

/** Latest actions, newest first; whether one stands follows the chain of its undos and redos. */
export async function actionsView(db: Reader): Promise<ActionsView> {
  const rows = await db
    .select()
    .from(action)
    .orderBy(sql`rowid desc`)
    .limit(LATEST_ACTIONS)
  const undoneBy = new Map(rows.flatMap((row) => (row.undoesActionId ? [[row.undoesActionId, row.id]] : [])))
  const isUndone = (id: string): boolean => {
    const by = undoneBy.get(id)
    return by !== undefined && !isUndone(by)
  }
  return {
    actions: rows
      .filter(({ undoable }) => undoable)
      .map((row) => ({
        actionId: row.id,
        label: wording.actionSentence(row.label),
        atMs: row.atMs,
        undone: isUndone(row.id),
        isUndo: row.undoesActionId !== null,
      })),
  }
}
