import { sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { flyTally, variantRevision } from '../db/schema.ts'
import type { VariantId } from '../../contract/index.ts'

/** So many flies of a variant that were tied, lost, given or found. */
export interface Tally {
  readonly variantId: VariantId
  readonly cause: string
  readonly lossCause: string
  readonly count: number
  readonly lastAtMs: number
}

/** What became of flies, by variant and cause. */
export const loadTallies = keptUntilWrite(readTallies, [flyTally, variantRevision])

async function readTallies(db: Reader): Promise<readonly Tally[]> {
  // as one row of JSON: see loadBalances
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(r.variant_id, t.cause, t.loss_cause, t.count, t.last_at_ms)) as rows
      from fly_tally t join variant_revision r on r.id = t.variant_revision_id`,
  )
  const rows = JSON.parse(row.rows) as readonly [VariantId, string, string, number, number][]
  return rows.map(([variantId, cause, lossCause, count, lastAtMs]) => ({
    variantId,
    cause,
    lossCause,
    count,
    lastAtMs,
  }))
}

/** When the first recipe of each variant came to be known. */
export const loadSince = keptUntilWrite(readSince, [variantRevision])

async function readSince(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ variantId: variantRevision.variantId, atMs: sql<number>`min(${variantRevision.createdAtMs})` })
    .from(variantRevision)
    .groupBy(variantRevision.variantId)
  return new Map(rows.map(({ variantId, atMs }) => [variantId, atMs]))
}
