import { eq, inArray, or } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import { v5 } from 'uuid'
import type { ActionId, CommandBody, CompartmentId } from '../../contract/index.ts'
import { constraintCode } from '../db/errors.ts'
import {
  action,
  compartment,
  flyBalance,
  flyEntry,
  materialBalance,
  materialEntry,
  revisionMaterial,
  variant,
  variantRevision,
} from '../db/schema.ts'
import type { Reader } from '../db/database.ts'
import { ProblemError } from '../problems/problem.ts'
import { countBack } from './bench.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookFlies, bookMaterials } from './ledger.ts'
import { laterOn, touchedAgain } from './laterOn.ts'
import { imagesOf, madeRows, type Image, type TableName } from './images.ts'
import { isCounted } from '../read/standingEntries.ts'

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
  for (const materialId of new Set(materials.map((entry) => entry.materialId))) {
    if (!(await isCounted(tx, materialId)))
      await tx.delete(materialBalance).where(eq(materialBalance.materialId, materialId))
  }
}

/**
 * Patterns and boxes that an action made and the ledger names: they stay in its history, so that taking their making
 * back puts them away instead of removing them. Refused while flies of them are on hand, or lie in them.
 */
async function namedByLedger({ tx }: CommandContext, images: readonly Image[]): Promise<ReadonlySet<string>> {
  const patterns = madeRows(images, 'pattern').map(({ id }) => id)
  const boxes = madeRows(images, 'box').map(({ id }) => id)
  if (patterns.length + boxes.length === 0) return new Set()
  const rows = await tx
    .select({ patternId: variant.patternId, boxId: compartment.boxId, count: flyBalance.count })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(compartment, eq(compartment.id, flyBalance.compartmentId))
    .where(or(inArray(variant.patternId, patterns), inArray(compartment.boxId, boxes)))
  if (rows.some(({ count }) => count > 0)) {
    throw new ProblemError(
      'cannotUndo',
      'Flies of it lie in your boxes: the ledger refers to it. Undo those first.',
    )
  }
  const named = new Set<string>(rows.flatMap(({ patternId, boxId }) => [patternId, boxId]))
  return rows.length > 0 ? new Set([...patterns, ...boxes].filter((id) => named.has(id))) : new Set()
}

/** Recipes that an action made and that stay when it is taken back, with the dressings that they are of. */
interface Recipes {
  readonly revisions: ReadonlySet<string>
  readonly dressings: ReadonlySet<string>
}

/**
 * Recipes of variants that stay, and those that the ledger names: flies came under them and went again, which is history.
 * Refused while flies lie under them.
 */
async function recipesToStay(
  { tx }: CommandContext,
  images: readonly Image[],
  variants: ReadonlySet<string>,
): Promise<Recipes> {
  const made = madeRows(images, 'variantRevision')
  const balances = await tx
    .select({ id: flyBalance.variantRevisionId, count: flyBalance.count })
    .from(flyBalance)
    .where(
      inArray(
        flyBalance.variantRevisionId,
        made.map(({ id }) => id),
      ),
    )
  const staying = made.filter(
    ({ id, variantId }) => variants.has(variantId) || balances.some((balance) => balance.id === id),
  )
  if (balances.some(({ count }) => count > 0))
    throw new ProblemError('cannotUndo', 'Flies of that recipe lie in your boxes. Undo those first.')
  return {
    revisions: new Set(staying.map(({ id }) => id)),
    dressings: new Set(staying.map(({ dressingId }) => dressingId)),
  }
}

/** What belongs to a pattern or box that stays: it is put away with it, or stays as it is. */
function belongsTo(stays: ReadonlySet<string>, image: Image, recipes: Recipes): boolean {
  const { revisions, dressings } = recipes
  if (image.kind === 'serves') return stays.has(image.patternId)
  if (image.kind === 'revisionMaterials')
    return image.rows.some(({ variantRevisionId }) => revisions.has(variantRevisionId))
  if (image.kind !== 'row' || image.before || !image.after) return false
  const { id, patternId, boxId } = image.after
  switch (image.table) {
    case 'pattern':
    case 'box':
      return stays.has(id)
    case 'variant':
      return stays.has(String(patternId))
    case 'dressing':
      return stays.has(String(patternId)) || dressings.has(id)
    case 'compartment':
      return stays.has(String(boxId))
    case 'variantRevision':
      return revisions.has(id)
    // a drawer that was minted with a recipe is named by it
    case 'material':
      return revisions.size > 0
    default:
      return false
  }
}

const PUT_AWAY: ReadonlySet<TableName> = new Set(['pattern', 'box', 'compartment'])

/** Brings back what rows were before an action; what the ledger names is put away instead of removed. */
async function restoreImages(context: CommandContext, images: readonly Image[]): Promise<void> {
  const stays = await namedByLedger(context, images)
  const variants = new Set(
    madeRows(images, 'variant').flatMap(({ id, patternId }) => (stays.has(patternId) ? [id] : [])),
  )
  const recipes = await recipesToStay(context, images, variants)
  for (const image of [...images].reverse()) {
    await context.pace.breathe()
    if (!belongsTo(stays, image, recipes)) await context.recorder.restore(image)
    else if (image.kind === 'row' && image.after && PUT_AWAY.has(image.table))
      await context.recorder.update(image.table, image.after.id, null, { archivedAtMs: context.nowMs })
  }
  await leaveHomes(
    context,
    madeRows(images, 'compartment').flatMap(({ id, boxId }) => (stays.has(boxId) ? [id] : [])),
  )
}

/** Flies that got their place in compartments that are put away have none any more. */
async function leaveHomes(
  { tx, recorder }: CommandContext,
  compartmentIds: readonly CompartmentId[],
): Promise<void> {
  if (compartmentIds.length === 0) return
  const rows = await tx
    .select({ id: variant.id })
    .from(variant)
    .where(inArray(variant.homeCompartmentId, [...compartmentIds]))
  for (const { id } of rows) await recorder.update('variant', id, null, { homeCompartmentId: null })
}

/** Reverses all that an action did; answers the event that counts back, where it was a count. */
async function reverse(context: CommandContext, target: ActionRow): Promise<string | undefined> {
  await reverseLedgers(context, target)
  const noted = target.result.eventId
  const eventId =
    typeof noted === 'string' ? await countBack(context, noted, v5(context.actionId, noted)) : undefined
  await restoreImages(context, imagesOf(target))
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

/** Refuses with the action that stands in the way, where one is found, for the page to offer it. */
async function refuseFor({ tx }: CommandContext, target: ActionRow, detail: string): Promise<never> {
  const inTheWay = await laterOn(tx, target)
  if (!inTheWay) throw new ProblemError('cannotUndo', detail)
  return refuseBecauseOf(inTheWay)
}

function refuseBecauseOf(inTheWay: ActionRow): never {
  const label = wording.actionSentence(inTheWay.label)
  throw new ProblemError('cannotUndo', `“${label}” came after it. Undo that first.`, [], {
    inTheWay: { actionId: inTheWay.id, label },
  })
}

/** Takes an action back by a new one: ledger rows get reversing rows, edited rows return to what they were. */
export const undo: Handler<CommandBody<'undo'>> = async (context, { actionId }) => {
  const target = await standingAction(context.tx, actionId)
  if (!target) throw new ProblemError('cannotUndo', 'It is undone already.')
  if (!target.undoable) throw new ProblemError('cannotUndo', 'This cannot be undone.')
  const again = await touchedAgain(context.tx, target)
  if (again) return refuseBecauseOf(again)
  try {
    const eventId = await reverse(context, target)
    return {
      label: { code: 'undone', subject: wording.actionSentence(target.label) },
      undoes: target.id,
      ...(eventId ? { eventId } : {}),
    }
  } catch (error) {
    const refusal = REFUSALS[constraintCode(error) ?? '']
    if (refusal) return refuseFor(context, target, refusal)
    if (error instanceof ProblemError && error.code === 'cannotUndo')
      return refuseFor(context, target, error.message)
    throw error
  }
}
