import { useCallback, useRef } from 'react'
import type { ActionId } from '../../contract/index.ts'
import { dropUntried } from './outbox/sender.ts'
import type { Delivery } from './outbox/sender.ts'
import { forgetOwn, takeLastOwn } from './ownActions.ts'
import { useCommand } from './useCommand.ts'

/**
 * Takes actions back. What was never sent is dropped; anything else is undone by a write of its own, which waits behind
 * the write that it takes back.
 */
export function useUndo(): (actionId: string) => Promise<Delivery> {
  const command = useCommand()
  return useCallback(
    async (actionId) => {
      forgetOwn(actionId)
      return (await dropUntried(actionId))
        ? { kind: 'waiting' }
        : command('undo', { actionId: actionId as ActionId })
    },
    [command],
  )
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
