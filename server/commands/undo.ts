import { eq } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import { v5 } from 'uuid'
import type { CommandBody } from '../../contract/index.ts'
import { constraintCode } from '../db/errors.ts'
import {
  action,
  flyBalance,
  flyEntry,
  materialEntry,
  revisionMaterial,
  variant,
  variantRevision,
} from '../db/schema.ts'
import type { Reader } from '../db/database.ts'
import { ProblemError } from '../problem.ts'
import { countBack } from './bench.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookFlies, bookMaterials } from './ledger.ts'
import type { Image } from './recorder.ts'

type ActionRow = typeof action.$inferSelect

/**
 * The action that has to be reversed to take an action back: itself, or, after it was undone and redone, its redo.
 * Null where it is undone already.
 */
export async function standingAction(db: Reader, id: string): Promise<ActionRow | null> {
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

async function reverseLedgers(context: CommandContext, target: ActionRow): Promise<void> {
  const { tx } = context
  const flies = await tx.select().from(flyEntry).where(eq(flyEntry.actionId, target.id))
  await bookFlies(
    context,
    flies
      .map(({ id, actionId: _action, atMs: _at, ...entry }) => ({
        ...entry,
        delta: -entry.delta,
        reversesEntryId: id,
      }))
      .sort((a, b) => b.delta - a.delta),
  )
  const materials = await tx.select().from(materialEntry).where(eq(materialEntry.actionId, target.id))
  await bookMaterials(
    context,
    materials.map(({ id, actionId: _action, atMs: _at, ...entry }) => ({
      ...entry,
      delta: -entry.delta,
      reversesEntryId: id,
    })),
  )
}

/** The pattern that an action made, by its images; null where it made none. */
const madePattern = (images: readonly Image[]): string | null =>
  images.flatMap((image) =>
    image.kind === 'row' && image.table === 'pattern' && !image.before ? (image.after?.id ?? []) : [],
  )[0] ?? null

/**
 * A pattern of which flies were tied stays in the ledger's history, so taking back its making puts it away instead of
 * removing it; refused while some of its flies are on hand.
 */
async function setAside({ tx, recorder, nowMs }: CommandContext, images: readonly Image[]): Promise<boolean> {
  const patternId = madePattern(images)
  if (!patternId) return false
  const rows = await tx
    .select({ count: flyBalance.count })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .where(eq(variant.patternId, patternId))
  if (rows.length === 0) return false
  if (rows.some(({ count }) => count > 0)) {
    throw new ProblemError(
      'cannotUndo',
      'Flies of it lie in your boxes: the ledger refers to it. Undo those first.',
    )
  }
  await recorder.update('pattern', patternId, null, { archivedAtMs: nowMs })
  return true
}

/** Reverses all that an action did; answers the event that counts back, where it was a count. */
async function reverse(context: CommandContext, target: ActionRow): Promise<string | undefined> {
  const images = target.before as readonly Image[]
  if (await setAside(context, images)) return undefined
  await reverseLedgers(context, target)
  const noted = target.result.eventId
  const eventId = typeof noted === 'string' ? v5(context.actionId, noted) : undefined
  if (typeof noted === 'string' && eventId) await countBack(context, noted, eventId)
  for (const image of [...images].reverse()) await context.recorder.restore(image)
  await restoreRevisionMaterials(context)
  return eventId
}

/** A redo that brings a recipe back brings back what it refers to; rows that went with it are gone by cascade. */
async function restoreRevisionMaterials({ recorder, tx }: CommandContext): Promise<void> {
  for (const image of recorder.images) {
    if (image.kind !== 'revisionMaterials') continue
    const [first] = image.rows
    if (!first) continue
    const [there] = await tx
      .select({ id: variantRevision.id })
      .from(variantRevision)
      .where(eq(variantRevision.id, first.variantRevisionId))
    if (there)
      await tx
        .insert(revisionMaterial)
        .values([...image.rows])
        .onConflictDoNothing()
  }
}

const REFUSALS: Readonly<Record<string, string>> = {
  SQLITE_CONSTRAINT_FOREIGNKEY: 'Something made later refers to it. Undo that first.',
  SQLITE_CONSTRAINT_CHECK: 'Some of those flies have gone since. Count the compartment instead.',
  SQLITE_CONSTRAINT_UNIQUE: 'Its name or place is taken since.',
}

/** Takes an action back by a new one: ledger rows get reversing rows, edited rows return to what they were. */
export const undo: Handler<CommandBody<'undo'>> = async (context, { actionId }) => {
  const target = await standingAction(context.tx, actionId)
  if (!target) throw new ProblemError('cannotUndo', 'It is undone already.')
  if (!target.undoable) throw new ProblemError('cannotUndo', 'This cannot be undone.')
  try {
    const eventId = await reverse(context, target)
    return {
      label: { code: 'undone', subject: wording.actionSentence(target.label) },
      undoes: target.id,
      ...(eventId ? { eventId } : {}),
    }
  } catch (error) {
    const refusal = REFUSALS[constraintCode(error) ?? '']
    if (refusal) throw new ProblemError('cannotUndo', refusal)
    throw error
  }
}
