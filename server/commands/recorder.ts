import { and, desc, eq, sql } from 'drizzle-orm'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'
import * as schema from '../db/schema.ts'
import type { Tx } from '../db/database.ts'
import { canonicalJson } from '../db/ids.ts'
import { ProblemError } from '../problems/problem.ts'
import type { BatchId, PatternId, ReachId } from '../../contract/index.ts'
import { COUNTED } from './counted.ts'
import {
  TABLES,
  type AnyRow,
  type BatchEvent,
  type Image,
  type NewRowOf,
  type RowOf,
  type Served,
  type TableName,
} from './images.ts'
import { CHANGED_SINCE, takeBack } from './takeBack.ts'

type WithId = SQLiteTable & { id: typeof schema.setting.id; version: typeof schema.pattern.version }
const tableOf = (name: TableName) => TABLES[name] as unknown as WithId

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

/** When a row was last changed; null where no action says so. */
async function lastChangedAt(tx: Tx, id: string): Promise<number | null> {
  const [last] = await tx
    .select({ atMs: schema.action.atMs })
    .from(schema.action)
    .where(sql`instr(${schema.action.before}, ${id}) > 0`)
    .orderBy(desc(schema.action.atMs))
    .limit(1)
  return last?.atMs ?? null
}

/** Makes changes in a transaction and keeps the images that undo needs. */
export interface Recorder {
  readonly images: readonly Image[]
  readonly find: <Name extends TableName>(table: Name, id: string) => Promise<RowOf<Name> | null>
  /** the row, or a problem that names what is missing */
  readonly need: <Name extends TableName>(table: Name, id: string, what: string) => Promise<RowOf<Name>>
  readonly insert: <Name extends TableName>(table: Name, row: NewRowOf<Name>) => Promise<void>
  /** changes a row that is still at this version; null changes it whatever its version */
  readonly update: <Name extends TableName>(
    table: Name,
    id: string,
    expectedVersion: number | null,
    change: Partial<NewRowOf<Name>>,
  ) => Promise<void>
  readonly replaceServes: (patternId: PatternId, rows: readonly Served[]) => Promise<void>
  /** says what spoiled a fly; events at the vise are never changed but for that */
  readonly setSpoiledCause: (eventId: string, cause: string | null) => Promise<void>
  readonly insertRevisionMaterials: (
    rows: readonly (typeof schema.revisionMaterial.$inferInsert)[],
  ) => Promise<void>
  readonly restore: (image: Image) => Promise<void>
}

/** A recorder over a transaction. */
export function makeRecorder(tx: Tx): Recorder {
  const images: Image[] = []
  /** where the image of a row stands */
  const at = new Map<string, number>()

  /** One image a row: what it was before the action, and what it is after all of it. */
  function keep(table: TableName, before: AnyRow | null, after: AnyRow | null): void {
    const key = `${table} ${(before ?? after)?.id}`
    const known = at.get(key)
    const earlier = known === undefined ? undefined : images[known]
    if (known !== undefined && earlier?.kind === 'row') images[known] = { ...earlier, after }
    else at.set(key, images.push({ kind: 'row', table, before, after }) - 1)
  }

  async function readRow(table: TableName, id: string): Promise<AnyRow | null> {
    const rows = await tx
      .select()
      .from(tableOf(table))
      .where(eq(tableOf(table).id, id))
    return (rows[0] as AnyRow | undefined) ?? null
  }
  const find = async <Name extends TableName>(table: Name, id: string) =>
    (await readRow(table, id)) as RowOf<Name> | null

  async function need<Name extends TableName>(table: Name, id: string, what: string): Promise<RowOf<Name>> {
    const row = await find(table, id)
    if (!row) throw new ProblemError('unknownId', `There is no such ${what}.`)
    return row
  }

  async function insert<Name extends TableName>(table: Name, row: NewRowOf<Name>): Promise<void> {
    await tx.insert(TABLES[table]).values(row as never)
    keep(table, null, await readRow(table, row.id))
  }

  async function update<Name extends TableName>(
    table: Name,
    id: string,
    expectedVersion: number | null,
    change: Partial<NewRowOf<Name>>,
  ): Promise<void> {
    const before = await readRow(table, id)
    if (!before) throw new ProblemError('unknownId', 'This is not here any more.')
    if (expectedVersion !== null && before.version !== expectedVersion) {
      throw new ProblemError('staleVersion', 'It was changed elsewhere since you opened it.', [], {
        ...before,
        changedAtMs: await lastChangedAt(tx, id),
      })
    }
    const target = tableOf(table)
    await tx
      .update(TABLES[table])
      .set({ ...change, version: sql`${target.version} + 1` } as never)
      .where(and(eq(target.id, id)))
    keep(table, before, await readRow(table, id))
  }

  async function replaceServes(patternId: PatternId, rows: readonly Served[]): Promise<void> {
    const mine = eq(schema.patternServes.patternId, patternId)
    const before = await tx
      .select()
      .from(schema.patternServes)
      .where(mine)
      .orderBy(sql`rowid`)
    await tx.delete(schema.patternServes).where(mine)
    if (rows.length > 0) await tx.insert(schema.patternServes).values([...rows])
    images.push({ kind: 'serves', patternId, before, after: rows })
  }

  async function setSpoiledCause(eventId: string, cause: string | null): Promise<void> {
    const where = eq(schema.batchEvent.id, eventId)
    const [event] = await tx.select().from(schema.batchEvent).where(where)
    if (!event) throw new ProblemError('unknownId', 'There is no such spoiled fly.')
    await tx.update(schema.batchEvent).set({ spoiledCause: cause }).where(where)
    images.push({ kind: 'spoiledCause', eventId, before: event.spoiledCause, after: cause })
  }

  async function insertRevisionMaterials(rows: readonly (typeof schema.revisionMaterial.$inferInsert)[]) {
    if (rows.length > 0) await tx.insert(schema.revisionMaterial).values([...rows])
    images.push({ kind: 'revisionMaterials', rows })
  }

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

  /** Brings one image back to what it was before: the fields that its action touched, if nothing has changed them since. */
  async function restore(image: Image): Promise<void> {
    if (image.kind === 'serves') return restoreServes(image)
    if (image.kind === 'batchEvents') return putEvents(image.before)
    if (image.kind === 'spoiledCause') return setSpoiledCause(image.eventId, image.before)
    if (image.kind === 'revisionMaterials') {
      images.push(image)
      return
    }
    const { table, before, after } = image
    const id = (after ?? before)?.id ?? ''
    const now = await readRow(table, id)
    const back = takeBack(unversioned(before), unversioned(after), unversioned(now))
    if (back === CHANGED_SINCE) throw changedSince()
    if (back === null) {
      if (table === 'reach') await dropDerived(tx, id as ReachId)
      if (table === 'batch') await takeEvents(id as BatchId)
      await tx.delete(TABLES[table]).where(eq(tableOf(table).id, id))
    } else if (!now) {
      await tx.insert(TABLES[table]).values(before as never)
    } else {
      await tx
        .update(TABLES[table])
        .set({ ...back, version: (now.version ?? 0) + 1 } as never)
        .where(eq(tableOf(table).id, id))
    }
    keep(table, now, await readRow(table, id))
  }

  return {
    images, find, need, insert, update, replaceServes, setSpoiledCause, insertRevisionMaterials, restore,
  } // prettier-ignore
}
