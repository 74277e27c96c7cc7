import { getTableColumns, is, sql } from 'drizzle-orm'
import type { GetColumnData, SQL } from 'drizzle-orm'
import { SQLiteColumn } from 'drizzle-orm/sqlite-core'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'
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
type Asked = Readonly<Record<string, SQLiteColumn | Columns>>
type RowOf<Fields> = {
  -readonly [Key in keyof Fields]: Fields[Key] extends SQLiteColumn
    ? GetColumnData<Fields[Key]>
    : RowOf<Fields[Key]>
}

const isColumn = (one: SQLiteColumn | Columns): one is SQLiteColumn => is(one, SQLiteColumn)

/** The cell of a column as JSON has it. */
function cellOf(column: SQLiteColumn): SQL {
  if (column.getSQLType() === 'real') throw new Error(`${column.name} is a real, which would lose digits`)
  return column.dataType === 'json' ? sql`json(${column})` : sql`${column}`
}

/** Reads what was asked out of the cells of a row, in the order in which it names its columns, which it adds to `cells`. */
function readerOf(asked: Asked, cells: SQL[]): (row: readonly unknown[]) => unknown {
  const fields = Object.entries(asked).map(([key, one]): [string, (row: readonly unknown[]) => unknown] => {
    if (!isColumn(one)) return [key, readerOf(one, cells)]
    const at = cells.push(cellOf(one)) - 1
    const asStored =
      one.dataType === 'json' || one.mapFromDriverValue === SQLiteColumn.prototype.mapFromDriverValue
    return [key, (row) => (asStored || row[at] === null ? row[at] : one.mapFromDriverValue(row[at]))]
  })
  return (row) => {
    // filled one by one: from a list of entries it takes five times as long
    const read: Record<string, unknown> = {}
    for (const [key, valueIn] of fields) read[key] = valueIn(row)
    return read
  }
}

/**
 * Rows of some columns out of one cell, as `packedIn` has them.
 *
 * @param asked   columns, or those of a table under a name; no reals among them: JSON made by the database has fifteen of
 *                their digits
 * @param from    what follows the columns in the statement, from its `from` on
 * @param orderBy how the rows follow one another
 */
export async function packedRows<Fields extends Asked>(
  db: Pick<Reader, 'values'>,
  asked: Fields,
  from: SQL,
  orderBy: SQL,
): Promise<readonly RowOf<Fields>[]> {
  const cells: SQL[] = []
  const read = readerOf(asked, cells)
  const rows = await packedIn<readonly unknown[][]>(
    db,
    sql`select json_group_array(json_array(${sql.join(cells, sql`, `)}) order by ${orderBy}) ${from}`,
  )
  return rows.map((row) => read(row) as RowOf<Fields>)
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
