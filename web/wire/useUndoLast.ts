import { useCallback, useRef } from 'react'
import type { ActionId, Problem } from '../../contract/index.ts'
import { dropUntried } from './outbox/sender.ts'
import type { Delivery } from './outbox/sender.ts'
import { forgetOwn, takeLastOwn } from './ownActions.ts'
import { offerUndoFirst } from './state.ts'
import { useAppDispatch } from './store.ts'
import { useCommand } from './useCommand.ts'

/**
 * Takes actions back. What was never sent is dropped; anything else is undone by a write of its own, which waits behind
 * the write that it takes back.
 */
export function useUndo(): (actionId: string) => Promise<Delivery> {
  const command = useCommand()
  const dispatch = useAppDispatch()
  return useCallback(
    async (actionId) => {
      forgetOwn(actionId)
      if (await dropUntried(actionId)) return { kind: 'waiting' }
      const delivery = await command('undo', { actionId: actionId as ActionId })
      const first = delivery.kind === 'refused' ? inTheWay(delivery.problem) : null
      if (first !== null) dispatch(offerUndoFirst(first))
      return delivery
    },
    [command, dispatch],
  )
}

/** The action that a refusal names as the one to take back first. */
function inTheWay({ current }: Problem): string | null {
  const first = (current as { readonly inTheWay?: { readonly actionId?: unknown } } | undefined)?.inTheWay
  return typeof first?.actionId === 'string' ? first.actionId : null
}

/**
 * Takes back the last action of this tab, each time it is called the one before; where the tab has none (any more), the
 * last action of all, once.
 */
export function useUndoLast(lastOfAll: string | null): () => void {
  const undo = useUndo()
  const taken = useRef(new Set<string>())
  return useCallback(() => {
    const id = takeLastOwn() ?? (lastOfAll !== null && !taken.current.has(lastOfAll) ? lastOfAll : null)
    if (id === null) return
    taken.current.add(id)
    void undo(id)
  }, [undo, lastOfAll])
}
