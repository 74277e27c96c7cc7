import type { VariantId, VariantRevisionId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptFor } from '../db/kept.ts'
import { among } from '../db/ownWords.ts'
import { variantRevision } from '../db/schema.ts'

const keptOwners = keptFor<Reader, Map<VariantRevisionId, VariantId>>(() => new Map())

/**
 * Which variant each recipe is of: of those asked for, and of others that were. A recipe stays with its variant for good,
 * so what was read is kept: joined to each count anew, rows as long as recipes would be most of what a count costs.
 */
export async function recipeOwners(
  db: Reader,
  revisionIds: readonly VariantRevisionId[],
): Promise<ReadonlyMap<VariantRevisionId, VariantId>> {
  const kept = keptOwners(db)
  const unknown = new Set(revisionIds.filter((id) => !kept.has(id)))
  if (unknown.size > 0) {
    const rows = await db
      .select({ id: variantRevision.id, variantId: variantRevision.variantId })
      .from(variantRevision)
      .where(among(variantRevision.id, [...unknown]))
    for (const { id, variantId } of rows) kept.set(id, variantId)
  }
  return kept
}
