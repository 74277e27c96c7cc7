import { useCallback } from 'react'
import type { DragEvent } from 'react'
import type { Delivery } from '../wire/outbox/sender.ts'
import { newId, useCommand } from '../wire/useCommand.ts'
import type { Queued } from './marks.ts'

const DRAGGED = 'application/x-heavy-thistle-hole'

/** Takes a hole along under the pointer. */
export function takeHole(event: DragEvent, batch: Queued): void {
  event.dataTransfer.setData(DRAGGED, JSON.stringify(batch))
  event.dataTransfer.effectAllowed = 'copy'
}

/** Whether what is dragged is a hole of the Column. */
export const isHole = ({ dataTransfer }: DragEvent): boolean => dataTransfer.types.includes(DRAGGED)

/** What would fill the hole that is dropped. */
export const droppedHole = ({ dataTransfer }: DragEvent): Queued =>
  JSON.parse(dataTransfer.getData(DRAGGED)) as Queued

/** Puts what would fill a hole among what waits at the bench. */
export function useQueueHole(): (batch: Queued) => Promise<Delivery> {
  const command = useCommand()
  return useCallback(
    ({ variantId, count, compartmentId }) =>
      command('batchPlan', {
        batchId: newId(),
        variantId,
        plannedCount: count,
        compartmentId,
        onVise: false,
      }),
    [command],
  )
}
