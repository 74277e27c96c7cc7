import type { SQL } from 'drizzle-orm'
import type { Reader } from './database.ts'

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
