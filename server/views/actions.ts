import { sql } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import type { ActionId, ActionsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { action } from '../db/schema.ts'

const LATEST_ACTIONS = 40

/** Latest actions, newest first; whether one stands follows the chain of its undos and redos. */
export async function actionsView(db: Reader): Promise<ActionsView> {
  const rows = await db
    .select({
      id: action.id,
      atMs: action.atMs,
      label: action.label,
      undoable: action.undoable,
      undoesActionId: action.undoesActionId,
    })
    .from(action)
    .orderBy(sql`rowid desc`)
    .limit(LATEST_ACTIONS)
  const undoneBy = new Map(rows.flatMap((row) => (row.undoesActionId ? [[row.undoesActionId, row.id]] : [])))
  /** The action at the end of the chain of its undos and redos, where that took it back. */
  const tipAgainst = (id: ActionId): ActionId | null => {
    const by = undoneBy.get(id)
    if (by === undefined) return null
    const redone = undoneBy.get(by)
    return redone === undefined ? by : tipAgainst(redone)
  }
  return {
    actions: rows
      .filter(({ undoable }) => undoable)
      .map((row) => ({
        actionId: row.id,
        label: wording.actionSentence(row.label),
        atMs: row.atMs,
        undoneBy: tipAgainst(row.id),
        isUndo: row.undoesActionId !== null,
      })),
  }
}
