import { getTableColumns, sql } from 'drizzle-orm'
import type { GetColumnData, SQL } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import type { Reader, Tx } from './database.ts'

/**
 * Rows of a statement in our own words, each cell by its place.
 *
 * @param statement whose columns stand in the order of `Row`
 */
export async function rowsOf<Row extends readonly unknown[]>(
  db: Pick<Reader, 'values'>,
  statement: SQL,
): Promise<readonly Row[]> {
  const rows = await db.values<ArrayLike<unknown>[]>(statement)
  return rows.map((row) => Array.from(row) as unknown as Row)
}

/**
 * What a statement packs into one cell as JSON: of thousands of rows the driver would take ten times as long.
 *
 * @param statement that answers one row of one cell
 */
export async function packedIn<Rows>(db: Pick<Reader, 'values'>, statement: SQL): Promise<Rows> {
  const [row] = await rowsOf<readonly [string]>(db, statement)
  if (!row) throw new Error('a statement that packs its rows answered none')
  return JSON.parse(row[0]) as Rows
}

type Columns = Readonly<Record<string, SQLiteColumn>>
type RowOf<Asked extends Columns> = { -readonly [Key in keyof Asked]: GetColumnData<Asked[Key]> }

/**
 * Rows of some columns out of one cell, as `packedIn` has them.
 *
 * @param columns no reals among them: JSON made by the database has fifteen of their digits
 * @param from    what follows the columns in the statement, from its `from` on
 * @param orderBy how the rows follow one another
 */
export async function packedRows<Asked extends Columns>(
  db: Pick<Reader, 'values'>,
  columns: Asked,
  from: SQL,
  orderBy: SQL,
): Promise<readonly RowOf<Asked>[]> {
  const asked = Object.entries(columns)
  const real = asked.find(([, column]) => column.getSQLType() === 'real')
  if (real) throw new Error(`${real[0]} is a real, which would lose digits`)
  const cells = sql.join(
    asked.map(([, column]) => sql`${column}`),
    sql`, `,
  )
  const rows = await packedIn<readonly unknown[][]>(
    db,
    sql`select json_group_array(json_array(${cells}) order by ${orderBy}) ${from}`,
  )
  return rows.map((row) => {
    // filled one by one: from a list of entries it takes five times as long
    const read: Record<string, unknown> = {}
    for (const [at, [key, column]] of asked.entries())
      read[key] = row[at] === null ? null : column.mapFromDriverValue(row[at])
    return read as RowOf<Asked>
  })
}

/** That a column has one of some values, however many: a statement takes only so many that are named one by one. */
export const among = (column: SQLiteColumn, values: readonly string[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(values)}))`

/**
 * Puts many rows into a table one after the other, but for those that are there: the statement is built once, which takes
 * longer than to run it.
 */
export function inserterInto<Table extends SQLiteTable>(
  tx: Pick<Tx, 'insert'>,
  table: Table,
): (row: Table['$inferInsert']) => Promise<void> {
  const columns = Object.entries(getTableColumns(table))
  const named = Object.fromEntries(columns.map(([key]) => [key, sql`${sql.placeholder(key)}`]))
  const statement = tx
    .insert(table)
    .values(named as Table['$inferInsert'])
    .onConflictDoNothing()
    .prepare()
  return async (row) => {
    const given = new Map<string, unknown>(Object.entries(row))
    const cells = columns.map(([key, column]): [string, unknown] => {
      const value = given.get(key) ?? column.default ?? null
      return [key, value === null ? null : column.mapToDriverValue(value)]
    })
    await statement.run(Object.fromEntries(cells))
  }
}
