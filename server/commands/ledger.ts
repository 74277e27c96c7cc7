import { and, eq, gt, inArray, sum } from 'drizzle-orm'
import { takeOldest } from '../../core/index.ts'
import {
  compartment,
  flyBalance,
  flyEntry,
  materialBalance,
  materialEntry,
  variant,
  variantRevision,
} from '../db/schema.ts'
import type { Tx } from '../db/database.ts'
import { newId } from '../db/ids.ts'
import { keptFor } from '../db/kept.ts'
import { inserterInto } from '../db/ownWords.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext } from './context.ts'
import type { CompartmentId, MaterialId, VariantId } from '../../contract/index.ts'

type FlyEntry = Omit<typeof flyEntry.$inferInsert, 'id' | 'actionId' | 'atMs'>
type MaterialEntry = Omit<typeof materialEntry.$inferInsert, 'id' | 'actionId' | 'atMs'>

const flyEntriesIn = keptFor((tx: Tx) => inserterInto(tx, flyEntry))
const materialEntriesIn = keptFor((tx: Tx) => inserterInto(tx, materialEntry))

/** Writes fly entries of this action. */
export async function bookFlies(
  { tx, actionId, nowMs, pace }: CommandContext,
  entries: readonly FlyEntry[],
): Promise<void> {
  for (const entry of entries) {
    await flyEntriesIn(tx)({ ...entry, id: newId(), actionId, atMs: nowMs })
    await pace.breathe()
  }
}

/** Writes material entries of this action. */
export async function bookMaterials(
  { tx, actionId, nowMs, pace }: CommandContext,
  entries: readonly MaterialEntry[],
): Promise<void> {
  for (const entry of entries) {
    await materialEntriesIn(tx)({ ...entry, id: newId(), actionId, atMs: nowMs })
    await pace.breathe()
  }
}

/** Recipes of a variant that lie in a compartment, with how many of each. */
export async function lotsIn({ tx }: CommandContext, compartmentId: CompartmentId, variantId: VariantId) {
  return tx
    .select({
      subject: flyBalance.variantRevisionId,
      onHand: flyBalance.count,
      tiedAtMs: variantRevision.createdAtMs,
    })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .where(and(eq(flyBalance.compartmentId, compartmentId), eq(variantRevision.variantId, variantId)))
}

/** All that lies anywhere of a variant. */
export async function lotsOf({ tx }: CommandContext, variantId: VariantId) {
  return tx
    .select({
      compartmentId: flyBalance.compartmentId,
      variantRevisionId: flyBalance.variantRevisionId,
      count: flyBalance.count,
    })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .where(and(eq(variantRevision.variantId, variantId), gt(flyBalance.count, 0)))
}

/** Takes flies of a variant out of a compartment, the oldest recipe first; refuses in words where there are too few. */
export async function takeFlies(
  context: CommandContext,
  from: { readonly compartmentId: CompartmentId; readonly variantId: VariantId; readonly count: number },
  field: string,
) {
  const taking = takeOldest(await lotsIn(context, from.compartmentId, from.variantId), from.count)
  if (taking.kind === 'taken') return taking.entries
  const [row] = await context.tx
    .select({ label: variant.label })
    .from(variant)
    .where(eq(variant.id, from.variantId))
  if (!row) throw new ProblemError('unknownId', 'There is no such fly.')
  const detail = `There are ${taking.onHand} of ${row.label} in that compartment, not ${from.count}. Count it now if that is wrong.`
  throw new ProblemError('tooFewFlies', detail, [{ path: field, message: detail }])
}

/** Refuses to put more into a compartment than it holds, unless the user wants it so. */
export async function checkCapacity(
  { tx }: CommandContext,
  compartmentId: CompartmentId,
  more: number,
  anyway = false,
): Promise<void> {
  const [place] = await tx.select().from(compartment).where(eq(compartment.id, compartmentId))
  if (!place) throw new ProblemError('unknownId', 'There is no such compartment.')
  if (place.capacity === null || anyway) return
  const [held] = await tx
    .select({ count: sum(flyBalance.count).mapWith(Number) })
    .from(flyBalance)
    .where(eq(flyBalance.compartmentId, compartmentId))
  const now = held?.count ?? 0
  if (now + more <= place.capacity) return
  const detail = `${place.label} holds ${place.capacity} and has ${now}: no room for ${more} more. Choose another compartment, move some, or put them in anyway.`
  throw new ProblemError('overCapacity', detail, [{ path: 'compartmentId', message: detail }])
}

/** Balances of some materials; what has none was never counted. */
export async function materialBalances(
  { tx }: CommandContext,
  ids: readonly MaterialId[],
): Promise<ReadonlyMap<string, number>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(materialBalance)
    .where(inArray(materialBalance.materialId, [...ids]))
  return new Map(rows.map(({ materialId, amount }) => [materialId, amount]))
}
