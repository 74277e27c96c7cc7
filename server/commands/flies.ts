import { eq } from 'drizzle-orm'
import type { CommandBody, CompartmentId, VariantId } from '../../contract/index.ts'
import { pattern, variant } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookFlies, checkCapacity, lotsIn, takeFlies } from './ledger.ts'

async function nameOf({ tx }: CommandContext, variantId: VariantId): Promise<string> {
  const [row] = await tx
    .select({ label: variant.label, name: pattern.name })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(eq(variant.id, variantId))
  if (!row) throw new ProblemError('unknownId', 'There is no such fly.')
  return `${row.name} ${row.label}`
}

/** Takes lost flies out of their compartments, all or none. */
export const fliesLose: Handler<CommandBody<'fliesLose'>> = async (context, { outingId, losses }) => {
  if (outingId) await context.recorder.need('outing', outingId, 'outing')
  const names: string[] = []
  let lost = 0
  for (const [i, { compartmentId, variantId, count, cause }] of losses.entries()) {
    names.push(await nameOf(context, variantId))
    const taken = await takeFlies(context, { compartmentId, variantId, count }, `losses.${i}.count`)
    lost += count
    await bookFlies(
      context,
      taken.map(({ subject, delta }) => ({
        compartmentId,
        variantRevisionId: subject,
        delta,
        cause: cause === 'given' ? 'given' : 'lost',
        lossCause: cause,
        outingId,
      })),
    )
  }
  return { label: { code: 'fliesLost', subject: [...new Set(names)].join(', '), count: lost } }
}

/** Makes the balance what was seen, the ledger saying by how much it was off. */
export async function countFlies(
  context: CommandContext,
  seen: { readonly compartmentId: CompartmentId; readonly variantId: VariantId; readonly counted: number },
  anyway: boolean | undefined,
): Promise<void> {
  const { compartmentId, variantId, counted } = seen
  const row = await context.recorder.need('variant', variantId, 'variant')
  const onHand = (await lotsIn(context, compartmentId, variantId)).reduce((sum, lot) => sum + lot.onHand, 0)
  if (counted > onHand) {
    await checkCapacity(context, compartmentId, counted - onHand, anyway)
    const variantRevisionId = row.currentRevisionId
    await bookFlies(context, [
      { compartmentId, variantRevisionId, delta: counted - onHand, cause: 'counted', counted },
    ])
  } else if (counted < onHand) {
    const taken = await takeFlies(context, { compartmentId, variantId, count: onHand - counted }, 'counted')
    await bookFlies(
      context,
      taken.map(({ subject, delta }) => ({
        compartmentId,
        variantRevisionId: subject,
        delta,
        cause: 'counted',
        counted,
      })),
    )
  }
}

/** "I count 7". */
export const fliesCount: Handler<CommandBody<'fliesCount'>> = async (context, { anyway, ...seen }) => {
  const place = await context.recorder.need('compartment', seen.compartmentId, 'compartment')
  await countFlies(context, seen, anyway)
  return {
    label: {
      code: 'fliesCounted',
      subject: await nameOf(context, seen.variantId),
      count: seen.counted,
      place: place.label,
    },
  }
}

/** Moves flies from one compartment to another: two rows of one action. */
export const fliesMove: Handler<CommandBody<'fliesMove'>> = async (context, body) => {
  const to = await context.recorder.need('compartment', body.toCompartmentId, 'compartment')
  if (body.fromCompartmentId === body.toCompartmentId) {
    throw new ProblemError('invalidInput', 'They lie there already. Choose another compartment.')
  }
  const flies = [{ variantId: body.variantId, count: body.count }, ...(body.also ?? [])]
  const count = flies.reduce((sum, fly) => sum + fly.count, 0)
  await checkCapacity(context, to.id, count, body.anyway)
  for (const { variantId, count: moving } of flies) {
    const from = { compartmentId: body.fromCompartmentId, variantId, count: moving }
    for (const { subject, delta } of await takeFlies(context, from, 'count')) {
      const moved = { variantRevisionId: subject, cause: 'moved' as const }
      await bookFlies(context, [
        { ...moved, compartmentId: body.fromCompartmentId, delta },
        { ...moved, compartmentId: to.id, delta: -delta },
      ])
    }
  }
  const first = await nameOf(context, body.variantId)
  const others = flies.length - 1
  return {
    label: {
      code: 'fliesMoved',
      subject: others === 0 ? first : `${first} and ${others} other${others === 1 ? '' : 's'}`,
      count,
      place: to.label,
    },
  }
}
