import { waitingWrites } from './outbox/sender.ts'
import { useAppSelector } from './store.ts'

/** What was counted of a batch here and has not reached the server yet. */
export function useUnsent(batchId: string): { readonly done: number; readonly spoiled: number } {
  const waiting = useAppSelector((state) => state.view.outbox.waiting)
  if (waiting === 0) return { done: 0, spoiled: 0 }
  const mine = waitingWrites().flatMap(({ kind, body }) => {
    const count = body as { readonly batchId?: string; readonly kind?: string }
    return kind === 'batchCount' && count.batchId === batchId ? [count.kind] : []
  })
  return {
    done: mine.filter((kind) => kind === 'done').length,
    spoiled: mine.filter((kind) => kind === 'spoiled').length,
  }
}
