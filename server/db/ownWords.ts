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
  if (column.dataType === 'json') return sql`json(${column})`
  if (column.mapFromDriverValue !== SQLiteColumn.prototype.mapFromDriverValue)
    throw new Error(`${column.name} is read otherwise than it is stored`)
  return sql`${column}`
}

/** An object of what was asked. */
function objectOf(asked: Asked): SQL {
  const fields = Object.entries(asked).map(
    ([key, one]) => sql`${sql.raw(`'${key}'`)}, ${isColumn(one) ? cellOf(one) : objectOf(one)}`,
  )
  return sql`json_object(${sql.join(fields, sql`, `)})`
}

/**
 * Rows of some columns out of one cell, as `packedIn` has them. The database makes the objects: out of lists of values
 * that takes longer than to read them.
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
  // ordered apart: a server that keeps the database for us may be too old to order within an aggregate
  const rows = sql`select ${objectOf(asked)} packed ${from} order by ${orderBy}`
  return packedIn(db, sql`select json_group_array(json(packed)) from (${rows})`)
}

/** That a column has one of some values, however many: a statement takes only so many that are named one by one. */
export const among = (column: SQLiteColumn, values: readonly string[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(values)}))`

/**
 * Puts many rows into a table one after the other: the statement is built once, which takes longer than to run it.
 *
 * @param ifThere what becomes of a row that is there already: it is refused, or left as it is
 */
export function inserterInto<Table extends SQLiteTable>(
  tx: Pick<Tx, 'insert'>,
  table: Table,
  ifThere: 'refused' | 'left' = 'refused',
): (row: Table['$inferInsert']) => Promise<void> {
  const columns = Object.entries(getTableColumns(table))
  const named = Object.fromEntries(columns.map(([key]) => [key, sql`${sql.placeholder(key)}`]))
  const insert = tx.insert(table).values(named as Table['$inferInsert'])
  const statement = (ifThere === 'left' ? insert.onConflictDoNothing() : insert).prepare()
  return async (row) => {
    const given = new Map<string, unknown>(Object.entries(row))
    const cells = columns.map(([key, column]): [string, unknown] => {
      const said = given.get(key)
      const value = said === undefined ? (column.default ?? null) : said
      return [key, value === null ? null : column.mapToDriverValue(value)]
    })
    await statement.run(Object.fromEntries(cells))
  }
}
