import type { Table } from 'drizzle-orm'
import { getTableName, is } from 'drizzle-orm'
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core'
import * as schema from './schema.ts'

/** The table of searched words, which triggers fill. */
const SEARCHED = 'search_text'

/** Tables that triggers write to when another is written to. */
const TRIGGERED: Readonly<Record<string, readonly string[]>> = {
  fly_entry: ['fly_balance', 'fly_tally'],
  material_entry: ['material_balance'],
  pattern: [SEARCHED],
  water: [SEARCHED],
  box: [SEARCHED],
  rig: [SEARCHED],
  material: [SEARCHED],
  food_stage: [SEARCHED],
}

const tables = Object.values(schema).flatMap((member) => (is(member, SQLiteTable) ? [member] : []))

/** Names of all tables of the database. */
export const TABLE_NAMES: ReadonlySet<string> = new Set([
  ...tables.map((table) => getTableName(table)),
  SEARCHED,
])

/** Tables whose rows go when rows of another are removed. */
const goWith = new Map<string, string[]>()
for (const table of tables) {
  for (const { onDelete, reference } of getTableConfig(table).foreignKeys) {
    if (onDelete !== 'cascade') continue
    const owner = getTableName(reference().foreignTable)
    goWith.set(owner, [...(goWith.get(owner) ?? []), getTableName(table)])
  }
}

/** All tables that change when a table is written to: itself, what triggers feed from it, and with a removal what goes with it. */
export function changedWith(table: Table, how: 'insert' | 'update' | 'delete'): readonly string[] {
  const name = getTableName(table)
  const changed = new Set([name])
  // a set that grows while it is gone through is gone through to its end
  for (const one of changed) {
    for (const fed of TRIGGERED[one] ?? []) changed.add(fed)
    if (how === 'delete') for (const gone of goWith.get(one) ?? []) changed.add(gone)
  }
  return [...changed]
}
