import { and, eq, inArray, isNull, sql } from 'drizzle-orm'
import type { ReachId, VariantId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { outing, packing, variantRevision } from '../db/schema.ts'

/** Flies that are packed for an outing to a reach on a day, by variant; none where none is planned there. */
export async function packedFor(
  db: Reader,
  { reachId, on }: { readonly reachId: ReachId; readonly on: string },
): Promise<ReadonlyMap<VariantId, number>> {
  const rows = await db
    .select({ variantId: variantRevision.variantId, count: sql<number>`sum(${packing.count})` })
    .from(packing)
    .innerJoin(variantRevision, eq(variantRevision.id, packing.variantRevisionId))
    .innerJoin(outing, eq(outing.id, packing.outingId))
    .where(
      and(
        isNull(packing.archivedAtMs),
        isNull(outing.archivedAtMs),
        eq(outing.reachId, reachId),
        eq(outing.on, on),
        inArray(outing.status, ['planned']),
      ),
    )
    .groupBy(variantRevision.variantId)
  return new Map(rows.map(({ variantId, count }) => [variantId, count]))
}
