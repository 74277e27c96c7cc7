import { eq } from 'drizzle-orm'
import type { ActionId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { action } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'

type ActionRow = typeof action.$inferSelect

/**
 * The action that has to be reversed to take an action back: itself, or, after it was undone and redone, its redo.
 * Null where it is undone already.
 */
export async function standingAction(db: Reader, id: ActionId): Promise<ActionRow | null> {
  const [start] = await db.select().from(action).where(eq(action.id, id))
  if (!start) throw new ProblemError('unknownId', 'There is no such action.')
  let tip = start
  let stands = true
  for (;;) {
    const [next] = await db.select().from(action).where(eq(action.undoesActionId, tip.id))
    if (!next) return stands ? tip : null
    tip = next
    stands = !stands
  }
}

/** The action that a chain of undoing and redoing began with: what was done in the first place. */
export async function firstOf(db: Reader, row: ActionRow): Promise<ActionRow> {
  let first = row
  while (first.undoesActionId !== null) {
    const [before] = await db
      .select()
      .from(action)
      .where(eq(action.id, first.undoesActionId as ActionId))
    if (!before) break
    first = before
  }
  return first
}
