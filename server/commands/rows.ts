import { eq, sql } from 'drizzle-orm'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'
import type * as schema from '../db/schema.ts'
import type { Tx } from '../db/database.ts'
import { keptFor } from '../db/kept.ts'
import { inserterInto } from '../db/ownWords.ts'
import { TABLES } from './images.ts'
import type { AnyRow, TableName } from './images.ts'

type WithId = SQLiteTable & { id: typeof schema.setting.id; version: typeof schema.pattern.version }
/** A table that actions write to, by its name. */
export const tableOf = (name: TableName) => TABLES[name] as unknown as WithId

const finderIn = (tx: Tx, table: WithId) =>
  tx
    .select()
    .from(table)
    .where(eq(table.id, sql.placeholder('id')))
    .prepare()

/** Statements of a transaction by table: an import runs each of them thousands of times. */
const finders = keptFor((_tx: Tx) => new Map<TableName, ReturnType<typeof finderIn>>())
const inserters = keptFor((_tx: Tx) => new Map<TableName, (row: AnyRow) => Promise<void>>())

function kept<Made>(known: Map<TableName, Made>, table: TableName, make: (table: WithId) => Made): Made {
  const made = known.get(table) ?? make(tableOf(table))
  known.set(table, made)
  return made
}

/** A row by its id; null where there is none. */
export async function rowOf(tx: Tx, table: TableName, id: string): Promise<AnyRow | null> {
  const rows = await kept(finders(tx), table, (one) => finderIn(tx, one)).all({ id })
  return (rows[0] as AnyRow | undefined) ?? null
}

/** Puts a row into a table. */
export const insertRow = (tx: Tx, table: TableName, row: AnyRow): Promise<void> =>
  kept(inserters(tx), table, (one) => inserterInto(tx, one) as (row: AnyRow) => Promise<void>)(row)
