import { eq, inArray } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import { v5 } from 'uuid'
import type { CommandBody, CompartmentId } from '../../contract/index.ts'
import { constraintCode } from '../db/errors.ts'
import type { action } from '../db/schema.ts'
import {
  flyEntry,
  materialBalance,
  materialEntry,
  revisionMaterial,
  variant,
  variantRevision,
} from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import { countBack } from './bench.ts'
import type { CommandContext, Handler } from './context.ts'
import { cameBackToTakenName } from './families.ts'
import { bookFlies, bookMaterials } from './ledger.ts'
import { imagesOf, madeRows, mayBePutAway, TABLES, type TableName } from './images.ts'
import { laterOn, laterWith, touchedAgain } from './laterOn.ts'
import { standingAction } from './standing.ts'
import { belongsTo, madeBy, whatStays } from './staying.ts'
import { isCounted } from '../read/standingEntries.ts'

type ActionRow = typeof action.$inferSelect

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

const PUT_AWAY: ReadonlySet<TableName> = new Set(['pattern', 'box', 'compartment'])

/** What is planned, packed or measured is of these. */
const FLIES: ReadonlySet<TableName> = new Set(['variant', 'variantRevision'])
/** What else is put away where history names it. Of patterns and boxes that is known before: no fly may lie there. */
const MAY_STAY = (Object.keys(TABLES) as TableName[]).filter((table) => mayBePutAway(table) && !PUT_AWAY.has(table) && !FLIES.has(table)) // prettier-ignore

/**
 * Brings back what rows were before an action; what history names is put away instead of removed. Refused while anything
 * that stands has to do with what is put away: where nothing refers to it any more the database would have let it go.
 */
async function restoreImages(context: CommandContext, target: ActionRow): Promise<void> {
  const { recorder, tx, nowMs, pace } = context
  const images = imagesOf(target)
  const made = await madeBy(context, target)
  const staying = await whatStays(context, images, made)
  const [away, flies] = [new Set<string>(), new Set<string>()]
  for (const image of [...images].reverse()) {
    await pace.breathe()
    if (!belongsTo(staying, image)) {
      for (const id of await recorder.restore(image, nowMs)) away.add(id)
    } else if (image.kind === 'row' && image.after) {
      if (FLIES.has(image.table)) flies.add(image.after.id)
      if (PUT_AWAY.has(image.table))
        await recorder.update(image.table, image.after.id, null, { archivedAtMs: nowMs })
    }
  }
  await leaveHomes(
    context,
    madeRows(images, 'compartment').flatMap(({ id, boxId }) => (staying.boxes.has(boxId) ? [id] : [])),
  )
  const own = new Set(
    images.flatMap((image) => (image.kind === 'row' && !image.before ? [image.after?.id] : [])),
  )
  for (const id of MAY_STAY.flatMap(made)) if (!own.has(id)) away.add(id)
  const later = await laterWith(tx, target, { named: new Set([...away, ...flies]), booked: away })
  if (later) refuseBecauseOf(later)
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
  await restoreImages(context, target)
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

const NAME_TAKEN = 'Its name or place is taken since.'
const REFUSALS: Readonly<Record<string, string>> = {
  SQLITE_CONSTRAINT_FOREIGNKEY: 'Something made later refers to it. Undo that first.',
  SQLITE_CONSTRAINT_CHECK: 'Some of those flies have gone since. Count the compartment instead.',
  SQLITE_CONSTRAINT_UNIQUE: NAME_TAKEN,
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
    if (await cameBackToTakenName(context)) throw new ProblemError('cannotUndo', NAME_TAKEN)
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
