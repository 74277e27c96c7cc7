import { eq } from 'drizzle-orm'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'
import type * as schema from '../db/schema.ts'
import type { Tx } from '../db/database.ts'
import { TABLES } from './images.ts'
import type { AnyRow, TableName } from './images.ts'

type WithId = SQLiteTable & { id: typeof schema.setting.id; version: typeof schema.pattern.version }
/** A table that actions write to, by its name. */
export const tableOf = (name: TableName) => TABLES[name] as unknown as WithId

/** A row by its id; null where there is none. */
export async function rowOf(tx: Tx, table: TableName, id: string): Promise<AnyRow | null> {
  const rows = await tx
    .select()
    .from(tableOf(table))
    .where(eq(tableOf(table).id, id))
  return (rows[0] as AnyRow | undefined) ?? null
}
