import { sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import type { MaterialId } from '../../contract/index.ts'

/**
 * Entries of stores that stand: of a chain of entries, each taking back the one before, the last says whether the first
 * stands, by how long the chain is. A table expression named `standing` of material ids.
 */
export const STANDING = sql`chain (id, material_id, depth) as (
    select id, material_id, 0 from material_entry where reverses_entry_id is null
    union all
    select e.id, e.material_id, c.depth + 1 from material_entry e join chain c on e.reverses_entry_id = c.id
  ),
  standing (material_id) as (
    select material_id from chain c where depth % 2 = 0
      and not exists (select 1 from material_entry e where e.reverses_entry_id = c.id)
  )`

/** Whether anything was ever counted, bought or used of a drawer that was not taken back. */
export async function isCounted(db: Reader, materialId: MaterialId): Promise<boolean> {
  const rows = await db.values(
    sql`with recursive ${STANDING} select 1 from standing where material_id = ${materialId} limit 1`,
  )
  return rows.length > 0
}
