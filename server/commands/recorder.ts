import { and, desc, eq, sql } from 'drizzle-orm'
import * as schema from '../db/schema.ts'
import type { Tx } from '../db/database.ts'
import { keptFor } from '../db/kept.ts'
import { inserterInto } from '../db/ownWords.ts'
import { ProblemError } from '../problems/problem.ts'
import type { PatternId } from '../../contract/index.ts'
import {
  TABLES,
  type AnyRow,
  type Image,
  type NewRowOf,
  type RowOf,
  type Served,
  type TableName,
} from './images.ts'
import { restoring } from './restoring.ts'
import { insertRow, rowOf, tableOf } from './rows.ts'

const revisionMaterialsIn = keptFor((tx: Tx) => inserterInto(tx, schema.revisionMaterial))

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
  /** brings an image back; answers ids of what history names, so that it was put away and not removed */
  readonly restore: (image: Image, nowMs: number) => Promise<readonly string[]>
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

  const readRow = (table: TableName, id: string) => rowOf(tx, table, id)
  const find = async <Name extends TableName>(table: Name, id: string) =>
    (await readRow(table, id)) as RowOf<Name> | null

  async function need<Name extends TableName>(table: Name, id: string, what: string): Promise<RowOf<Name>> {
    const row = await find(table, id)
    if (!row) throw new ProblemError('unknownId', `There is no such ${what}.`)
    return row
  }

  async function insert<Name extends TableName>(table: Name, row: NewRowOf<Name>): Promise<void> {
    await insertRow(tx, table, row)
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
    for (const row of rows) await revisionMaterialsIn(tx)(row)
    images.push({ kind: 'revisionMaterials', rows })
  }

  const restore = restoring(tx, { images, keep, replaceServes, setSpoiledCause })

  return {
    images, find, need, insert, update, replaceServes, setSpoiledCause, insertRevisionMaterials, restore,
  } // prettier-ignore
}
