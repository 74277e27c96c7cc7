import { and, eq, isNull } from 'drizzle-orm'
import type { CommandBody, OutingId } from '../../contract/index.ts'
import { flyBalance, packing, water } from '../db/schema.ts'
import { newId } from '../db/ids.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookFlies, checkCapacity, takeFlies } from './ledger.ts'

async function waterOf({ tx, recorder }: CommandContext, outingId: OutingId): Promise<string> {
  const row = await recorder.need('outing', outingId, 'outing')
  const [found] = await tx.select({ name: water.name }).from(water).where(eq(water.id, row.waterId))
  return found?.name ?? ''
}

/** Moves flies into the compartment that goes along, and notes where they came from. */
export const outingPack: Handler<CommandBody<'outingPack'>> = async (context, body) => {
  const { recorder } = context
  const { outingId, toCompartmentId, flies, anyway } = body
  const to = await recorder.need('compartment', toCompartmentId, 'compartment')
  const packed = flies.reduce((sum, { count }) => sum + count, 0)
  await checkCapacity(context, to.id, packed, anyway)
  for (const [i, fly] of flies.entries()) {
    const { fromCompartmentId } = fly
    if (fromCompartmentId === toCompartmentId) {
      throw new ProblemError('invalidInput', 'They lie there already. Leave them out.', [
        { path: `flies.${i}`, message: 'They lie there already.' },
      ])
    }
    const from = { compartmentId: fromCompartmentId, variantId: fly.variantId, count: fly.count }
    for (const { subject, delta } of await takeFlies(context, from, `flies.${i}.count`)) {
      const moved = { variantRevisionId: subject, cause: 'moved' as const, outingId }
      await bookFlies(context, [
        { ...moved, compartmentId: fromCompartmentId, delta },
        { ...moved, compartmentId: to.id, delta: -delta },
      ])
      await recorder.insert('packing', {
        id: newId(),
        outingId,
        variantRevisionId: subject,
        fromCompartmentId,
        toCompartmentId,
        count: -delta,
      })
    }
  }
  return { label: { code: 'outingPacked', subject: await waterOf(context, outingId), count: packed } }
}

/** Puts what is left of the packed flies back where each came from. */
export const outingUnpack: Handler<CommandBody<'outingUnpack'>> = async (context, { outingId }) => {
  const { tx, recorder, nowMs } = context
  const rows = await tx
    .select()
    .from(packing)
    .where(and(eq(packing.outingId, outingId), isNull(packing.archivedAtMs)))
  if (rows.length === 0) throw new ProblemError('invalidInput', 'Nothing is packed for that outing.')
  let back = 0
  for (const row of rows) {
    const [left] = await tx
      .select({ count: flyBalance.count })
      .from(flyBalance)
      .where(
        and(
          eq(flyBalance.compartmentId, row.toCompartmentId),
          eq(flyBalance.variantRevisionId, row.variantRevisionId),
        ),
      )
    const count = Math.min(row.count, left?.count ?? 0)
    if (count > 0) {
      const moved = { variantRevisionId: row.variantRevisionId, cause: 'moved' as const, outingId }
      await bookFlies(context, [
        { ...moved, compartmentId: row.toCompartmentId, delta: -count },
        { ...moved, compartmentId: row.fromCompartmentId, delta: count },
      ])
      back += count
    }
    await recorder.update('packing', row.id, null, { archivedAtMs: nowMs })
  }
  return { label: { code: 'outingUnpacked', subject: await waterOf(context, outingId), count: back } }
}
