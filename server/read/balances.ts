import { sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { packedIn } from '../db/ownWords.ts'
import { flyBalance, variantRevision } from '../db/schema.ts'
import { recipeOwners } from './recipeOwners.ts'
import type { CompartmentId, VariantId, VariantRevisionId } from '../../contract/index.ts'

/** Flies of a recipe that lie in a compartment: at least one. */
export interface Balance {
  readonly compartmentId: CompartmentId
  readonly revisionId: VariantRevisionId
  readonly variantId: VariantId
  readonly count: number
}

/** All that lies in boxes. It is as long as there are flies of different recipes in different places, however old the ledger. */
export const loadBalances = keptUntilWrite(readBalances, [flyBalance, variantRevision])

async function readBalances(db: Reader): Promise<readonly Balance[]> {
  const rows = await packedIn<readonly (readonly [CompartmentId, VariantRevisionId, number])[]>(
    db,
    sql`select json_group_array(json_array(compartment_id, variant_revision_id, count)) from fly_balance where count > 0`,
  )
  const ownerOf = await recipeOwners(
    db,
    rows.map(([, revisionId]) => revisionId),
  )
  return rows.flatMap(([compartmentId, revisionId, count]) => {
    const variantId = ownerOf.get(revisionId)
    return variantId ? [{ compartmentId, revisionId, variantId, count }] : []
  })
}
