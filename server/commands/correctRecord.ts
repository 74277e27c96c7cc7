import type { VariantId } from '../../contract/index.ts'
import type { CommandContext } from './context.ts'
import { bookFlies, lotsOf } from './ledger.ts'

/**
 * Says of the flies that lie anywhere under an older recipe of these variants that they were tied as it is written now:
 * they leave the ledger under the one and come into it under the other, where they lie.
 *
 * @returns how many flies
 */
export async function correctRecord(
  context: CommandContext,
  variantIds: readonly VariantId[],
): Promise<number> {
  let flies = 0
  for (const id of variantIds) {
    const { currentRevisionId } = await context.recorder.need('variant', id, 'variant')
    for (const { compartmentId, variantRevisionId, count } of await lotsOf(context, id)) {
      if (variantRevisionId === currentRevisionId) continue
      const corrected = { compartmentId, cause: 'corrected' as const }
      await bookFlies(context, [
        { ...corrected, variantRevisionId, delta: -count },
        { ...corrected, variantRevisionId: currentRevisionId, delta: count },
      ])
      flies += count
    }
  }
  return flies
}
