import type { ViseMention } from '../../contract/index.ts'
import type { OwnCount } from './state.ts'
import { useAppSelector } from './store.ts'

/** What was counted here of a batch beyond what its view has: it waits, or was delivered after the view was read. */
export function useOwnCounts(batch: ViseMention | null): readonly OwnCount[] {
  const counts = useAppSelector((state) => state.view.outbox.counts)
  if (!batch) return []
  const known = new Set(batch.counted)
  return counts.filter(({ eventId, batchId }) => batchId === batch.batchId && !known.has(eventId))
}

/** Flies of the batch on the vise that are done; none where nothing lies there. */
export function useDoneCount(batch: ViseMention | null): number {
  const own = useOwnCounts(batch)
  return (batch?.done ?? 0) + own.filter(({ kind }) => kind === 'done').length
}
