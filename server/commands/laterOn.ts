import { inArray, sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { action, flyEntry, materialEntry } from '../db/schema.ts'
import type { Image } from './recorder.ts'

type ActionRow = typeof action.$inferSelect

/** Later actions that are looked through for the one that stands in the way. */
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

/**
 * The last action that stands, came after another and touched what that one touched: it has to be taken back first.
 * Null where none is found.
 */
export async function laterOn(db: Reader, target: ActionRow): Promise<ActionRow | null> {
  const later = await db
    .select()
    .from(action)
    .where(sql`${action}.rowid > (select rowid from action where id = ${target.id})`)
    .orderBy(sql`${action}.rowid desc`)
    .limit(LOOKED_THROUGH)
  const candidates = standingOf(later).filter(({ undoable, id }) => undoable && id !== target.undoesActionId)
  const ids = new Set(touchedBy(target.before as readonly Image[]))
  const booked = await bookedBy(db, [target.id, ...candidates.map(({ id }) => id)])
  const mine = booked.get(target.id) ?? new Set()
  return (
    candidates.find((row) => {
      const text = JSON.stringify(row.before)
      return (
        [...ids].some((id) => text.includes(id)) ||
        [...(booked.get(row.id) ?? [])].some((what) => mine.has(what))
      )
    }) ?? null
  )
}
