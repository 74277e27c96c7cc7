import { useState } from 'react'
import { api } from '../../wire/api.ts'
import { askOnce } from '../../wire/askOnce.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { newId, useCommand } from '../../wire/useCommand.ts'
import { draftOf, toCommand } from '../../recipe/draft.ts'
import type { AheadBatch } from './ahead.ts'
import type { Newcomer } from './useNewcomers.ts'

/** Puts batches of the plan in the bench's queue, and makes the variants that are not made yet. */
export function useQueue(trayId: string | undefined) {
  const command = useCommand()
  const dispatch = useAppDispatch()
  const [refused, setRefused] = useState<string | null>(null)

  /** What keeps a variant from being made; null where nothing does. */
  const make = async ({
    patternId,
    variantId,
    label,
    hookMaterialId,
    swaps,
  }: Newcomer): Promise<string | null> => {
    const { data: pattern } = await askOnce(
      dispatch(api.endpoints.pattern.initiate(patternId, { forceRefetch: true })),
    )
    if (!pattern) return 'The pattern is not there any more.'
    const draft = draftOf(pattern)
    if (draft.variants.some(({ id }) => id === variantId)) return null
    const variant = { id: variantId, label, hookMaterialId, swaps, parCount: null, homeCompartmentId: null }
    const delivery = await command(
      'patternSave',
      toCommand({ ...draft, variants: [...draft.variants, variant] }),
      { quietly: true },
    )
    return delivery.kind === 'refused' ? delivery.problem.detail : null
  }

  const queueOne = async ({ variant, newcomer, count }: AheadBatch, tray: string): Promise<string | null> => {
    const fault = newcomer ? await make(newcomer) : null
    if (fault) return fault
    const delivery = await command(
      'batchPlan',
      {
        batchId: newId(),
        variantId: variant.variantId,
        plannedCount: count,
        compartmentId: variant.compartmentId ?? tray,
        onVise: false,
      },
      { quietly: true },
    )
    return delivery.kind === 'refused' ? delivery.problem.detail : null
  }

  const queue = async (batches: readonly AheadBatch[]) => {
    if (!trayId) return
    setRefused(null)
    for (const batch of batches) {
      const fault = await queueOne(batch, trayId)
      if (fault) {
        setRefused(fault)
        return
      }
    }
  }
  return { queue, refused }
}
