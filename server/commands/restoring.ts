import { eq, sql } from 'drizzle-orm'
import type { BatchId, ReachId } from '../../contract/index.ts'
import type { Tx } from '../db/database.ts'
import { constraintCode } from '../db/errors.ts'
import { canonicalJson } from '../db/ids.ts'
import * as schema from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import { COUNTED } from './counted.ts'
import { mayBePutAway, TABLES } from './images.ts'
import type { AnyRow, BatchEvent, Image, Served, TableName } from './images.ts'
import type { Recorder } from './recorder.ts'
import { insertRow, rowOf, tableOf } from './rows.ts'
import { CHANGED_SINCE, takeBack } from './takeBack.ts'

/** What a row says, whatever its version: an undo in between counts a version up and changes nothing. */
function unversioned(row: AnyRow | null): Readonly<Record<string, unknown>> | null {
  if (!row) return null
  const { version: _version, ...said } = row
  return said
}

const servesKey = (rows: readonly Served[]): string =>
  canonicalJson(rows.map(({ foodStageId, weight }) => [foodStageId, weight]).sort())

const changedSince = () => new ProblemError('cannotUndo', 'It was changed again since. Undo that first.')

/** What is derived of a reach never keeps it: it goes with it, and is worked out anew should the reach come back. */
async function dropDerived(tx: Tx, reachId: ReachId): Promise<void> {
  await tx.delete(schema.readingDay).where(eq(schema.readingDay.reachId, reachId))
}

/** What restoring needs of the recorder that it restores for. */
type Keeping = Pick<Recorder, 'replaceServes' | 'setSpoiledCause'> & {
  readonly images: Image[]
  readonly keep: (table: TableName, before: AnyRow | null, after: AnyRow | null) => void
}

/** Brings images of an action back to what they were before it, and keeps images of that in turn. */
export function restoring(
  tx: Tx,
  { images, keep, replaceServes, setSpoiledCause }: Keeping,
): Recorder['restore'] {
  /** Brings what a pattern serves back, if it was not changed since. */
  async function restoreServes({ patternId, before, after }: Image & { kind: 'serves' }): Promise<void> {
    const now = await tx
      .select()
      .from(schema.patternServes)
      .where(eq(schema.patternServes.patternId, patternId))
    if (servesKey(now) !== servesKey(after)) throw changedSince()
    await replaceServes(patternId, before)
  }

  /** What was noted at the vise of a batch goes with it, where all that was counted was counted back. */
  async function takeEvents(batchId: BatchId): Promise<void> {
    const where = eq(schema.batchEvent.batchId, batchId)
    const events = await tx
      .select()
      .from(schema.batchEvent)
      .where(where)
      .orderBy(sql`rowid`)
    if (events.length === 0) return
    const undone = new Set(events.map(({ undoesEventId }) => undoesEventId))
    if (
      events.some(
        ({ id, kind, undoesEventId }) => COUNTED.has(kind) && undoesEventId === null && !undone.has(id),
      )
    )
      throw new ProblemError('cannotUndo', 'Something was counted of it at the vise since. Undo that first.')
    await tx.delete(schema.batchEvent).where(where)
    images.push({ kind: 'batchEvents', before: events, after: [] })
  }

  async function putEvents(events: readonly BatchEvent[]): Promise<void> {
    if (events.length === 0) return
    await tx.insert(schema.batchEvent).values([...events])
    images.push({ kind: 'batchEvents', before: [], after: events })
  }

  /** Removes a row; not one that can be put away and that others name. */
  async function removed(table: TableName, id: string): Promise<boolean> {
    try {
      await tx.delete(TABLES[table]).where(eq(tableOf(table).id, id))
    } catch (error) {
      if (!mayBePutAway(table) || constraintCode(error) !== 'SQLITE_CONSTRAINT_FOREIGNKEY') throw error
      return false
    }
    if (table === 'reach') await dropDerived(tx, id as ReachId)
    return true
  }

  /** Brings one row back to what it was before: the fields that its action touched, if nothing has changed them since. */
  async function restoreRow({ table, before, after }: Image & { kind: 'row' }, nowMs: number) {
    const id = (after ?? before)?.id ?? ''
    const now = await rowOf(tx, table, id)
    const back = takeBack(unversioned(before), unversioned(after), unversioned(now))
    if (back === CHANGED_SINCE) throw changedSince()
    let isNamed = false
    if (back === null) {
      if (table === 'batch') await takeEvents(id as BatchId)
      isNamed = !(await removed(table, id))
      if (isNamed)
        await tx
          .update(TABLES[table])
          .set({ archivedAtMs: nowMs, version: (now?.version ?? 0) + 1 } as never)
          .where(eq(tableOf(table).id, id))
    } else if (now) {
      await tx
        .update(TABLES[table])
        .set({ ...back, version: (now.version ?? 0) + 1 } as never)
        .where(eq(tableOf(table).id, id))
    } else if (before) {
      await insertRow(tx, table, before)
    }
    keep(table, now, await rowOf(tx, table, id))
    return isNamed ? [id] : []
  }

  async function restore(image: Image, nowMs: number): Promise<readonly string[]> {
    if (image.kind === 'row') return restoreRow(image, nowMs)
    if (image.kind === 'serves') await restoreServes(image)
    else if (image.kind === 'batchEvents') await putEvents(image.before)
    else if (image.kind === 'spoiledCause') await setSpoiledCause(image.eventId, image.before)
    else images.push(image)
    return []
  }

  return restore
}
