import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { BatchId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { action, batch, batchEvent, flyEntry, materialEntry } from '../db/schema.ts'
import { imagesOf, type Image } from './images.ts'
import { standingAction } from './standing.ts'
import { overlap } from './takeBack.ts'

type ActionRow = typeof action.$inferSelect

/** Later actions that are looked through at once for the one that stands in the way. */
const LOOKED_THROUGH = 500

/** Ids of the rows that an action made or changed. */
const touchedBy = (images: readonly Image[]): readonly string[] =>
  images.flatMap((image) => {
    switch (image.kind) {
      case 'row':
        return (image.after ?? image.before)?.id ?? []
      case 'serves':
        return image.patternId
      case 'batchEvents':
        return image.before.map(({ id }) => id)
      case 'spoiledCause':
        return image.eventId
      case 'revisionMaterials':
        return image.rows.map(({ variantRevisionId }) => variantRevisionId)
    }
  })

/** Names that rows had before an action, which others may have taken since. */
const takenBy = (images: readonly Image[]): readonly string[] =>
  images.flatMap((image) => {
    if (image.kind !== 'row' || !image.before) return []
    const { nameKey, labelKey } = image.before
    return [nameKey, labelKey].flatMap((key) =>
      typeof key === 'string' && key !== '' ? [JSON.stringify(key)] : [],
    )
  })

/** The batch of what was counted, what was noted of a batch, and the batch that lies on the vise where another left it. */
async function atTheVise(db: Reader, row: ActionRow): Promise<readonly string[]> {
  const counted =
    typeof row.result.eventId === 'string'
      ? await db
          .select({ id: batchEvent.batchId })
          .from(batchEvent)
          .where(eq(batchEvent.id, row.result.eventId))
      : []
  const leftIt = imagesOf(row).some(
    (image) => image.kind === 'row' && image.table === 'batch' && image.before?.onVise === true,
  )
  const batches = rowsOf(row).flatMap(({ table, before, after }) =>
    table === 'batch' ? [(after ?? before)?.id as BatchId] : [],
  )
  const noted = await db
    .select({ id: batchEvent.id })
    .from(batchEvent)
    .where(inArray(batchEvent.batchId, batches))
  const there = leftIt ? await db.select({ id: batch.id }).from(batch).where(eq(batch.onVise, true)) : []
  return [...counted, ...noted, ...there].map(({ id }) => id)
}

/** Places of flies, and drawers, that an action moved something of. */
async function bookedBy(
  db: Reader,
  actionIds: readonly ActionRow['id'][],
): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const flies = await db
    .select({
      by: flyEntry.actionId,
      what: sql<string>`${flyEntry.compartmentId} || ${flyEntry.variantRevisionId}`,
    })
    .from(flyEntry)
    .where(inArray(flyEntry.actionId, [...actionIds]))
  const goods = await db
    .select({ by: materialEntry.actionId, what: sql<string>`${materialEntry.materialId}` })
    .from(materialEntry)
    .where(inArray(materialEntry.actionId, [...actionIds]))
  const booked = new Map<string, Set<string>>()
  for (const { by, what } of [...flies, ...goods]) booked.set(by, (booked.get(by) ?? new Set()).add(what))
  return booked
}

/** Actions that stand, from the chain of who took back whom. */
function standingOf(rows: readonly ActionRow[]): readonly ActionRow[] {
  const undoneBy = new Map(
    rows.flatMap(({ id, undoesActionId }) => (undoesActionId ? [[undoesActionId, id]] : [])),
  )
  const isUndone = (id: string): boolean => {
    const by = undoneBy.get(id)
    return by !== undefined && !isUndone(by)
  }
  return rows.filter(({ id, undoesActionId }) => undoesActionId === null && !isUndone(id))
}

const after = ({ id }: ActionRow) => sql`${action}.rowid > (select rowid from action where id = ${id})`

/** Actions that stand and came after another, the last first. */
async function laterStanding(db: Reader, target: ActionRow): Promise<readonly ActionRow[]> {
  const later = await db
    .select()
    .from(action)
    .where(after(target))
    .orderBy(sql`${action}.rowid desc`)
    .limit(LOOKED_THROUGH)
  return standingOf(later).filter(({ undoable, id }) => undoable && id !== target.undoesActionId)
}

const rowsOf = (row: ActionRow) => imagesOf(row).flatMap((image) => (image.kind === 'row' ? [image] : []))
const servesOf = (row: ActionRow) => imagesOf(row).flatMap((image) => (image.kind === 'serves' ? [image] : []))
const keyOf = ({ table, before, after }: Image & { kind: 'row' }) => `${table} ${(after ?? before)?.id}`
/** Whether an action put a batch on the vise or took one off it: the vise is one place, and holds one batch. */
const changedVise = (row: ActionRow) =>
  rowsOf(row).some(
    ({ table, before, after }) => table === 'batch' && Boolean(before?.onVise) !== Boolean(after?.onVise),
  )
const unversioned = (image: Image & { kind: 'row' }) => ({
  before: image.before && { ...image.before, version: 0 },
  after: image.after && { ...image.after, version: 0 },
})

/**
 * The last action that stands, came after another and touched the same fields of the same record, even where these have
 * come back to what the other left: to take the other back first would not end where it began. Null where there is none.
 */
export async function touchedAgain(db: Reader, target: ActionRow): Promise<ActionRow | null> {
  const rows = new Map(rowsOf(target).map((image) => [keyOf(image), image]))
  const serves = new Set(servesOf(target).map(({ patternId }) => patternId))
  const vise = changedVise(target)
  const later = await laterStanding(db, target)
  return (
    later.find(
      (row) =>
        (vise && changedVise(row)) ||
        servesOf(row).some(({ patternId }) => serves.has(patternId)) ||
        rowsOf(row).some((image) => {
          const mine = rows.get(keyOf(image))
          return mine !== undefined && overlap(unversioned(mine), unversioned(image))
        }),
    ) ?? null
  )
}

/** Whatever looks like an id in what an action kept. */
const IDS = /[0-9a-f]{8}-[0-9a-f-]{27}/g

/**
 * The last action that stands, came after another and names one of some rows, or booked something of some, however long
 * ago that was. Null where there is none.
 */
export async function laterWith(
  db: Reader,
  target: ActionRow,
  { named, booked }: { readonly named: ReadonlySet<string>; readonly booked: ReadonlySet<string> },
): Promise<ActionRow | null> {
  if (named.size + booked.size === 0) return null
  for (let page = 0; ; page += 1) {
    const later = await db
      .select()
      .from(action)
      .where(and(after(target), isNull(action.undoesActionId)))
      .orderBy(sql`${action}.rowid desc`)
      .limit(LOOKED_THROUGH)
      .offset(page * LOOKED_THROUGH)
    const moved = await bookedBy(
      db,
      later.map(({ id }) => id),
    )
    const has = (ids: ReadonlySet<string>, text: string) => (text.match(IDS) ?? []).some((id) => ids.has(id))
    for (const row of later) {
      const isWith =
        has(named, JSON.stringify(row.before)) ||
        [...(moved.get(row.id) ?? [])].some((what) => has(booked, what))
      if (isWith && (await standingAction(db, row.id))) return row
    }
    if (later.length < LOOKED_THROUGH) return null
  }
}

/**
 * The last action that stands, came after another and touched what that one touched: it has to be taken back first.
 * Null where none is found.
 */
export async function laterOn(db: Reader, target: ActionRow): Promise<ActionRow | null> {
  const candidates = await laterStanding(db, target)
  const ids = new Set([
    ...touchedBy(imagesOf(target)),
    ...takenBy(imagesOf(target)),
    ...(await atTheVise(db, target)),
  ])
  const booked = await bookedBy(db, [target.id, ...candidates.map(({ id }) => id)])
  const mine = booked.get(target.id) ?? new Set()
  return (
    candidates.find((row) => {
      const text = JSON.stringify(row.before) + JSON.stringify(row.result)
      const moved = [...(booked.get(row.id) ?? [])]
      return (
        [...ids].some((id) => text.includes(id) || moved.some((what) => what.includes(id))) ||
        moved.some((what) => mine.has(what))
      )
    }) ?? null
  )
}
