import { integer, text } from 'drizzle-orm/sqlite-core'

/** Columns of every row that people edit. */
export const editable = {
  version: integer('version').notNull().default(1),
  archivedAtMs: integer('archived_at_ms'),
}

/** The id of a row: a UUID, minted by whoever creates it. */
export const id = <Id extends string = string>() => text('id').$type<Id>().primaryKey()

/** A column of JSON. */
export const json = <T>(column: string) => text(column, { mode: 'json' }).$type<T>()
