import { useCallback } from 'react'
import { v7 } from 'uuid'
import type { CommandInput, CommandKind } from '../../contract/index.ts'
import type { Sent } from './api.ts'
import { post } from './outbox/sender.ts'
import type { Delivery } from './outbox/sender.ts'
import { forgetOwn, noteOwn } from './ownActions.ts'
import { countUnderWay, setTrouble } from './state.ts'
import { useAppDispatch } from './store.ts'

/** A new id, as text of the brand that is wanted. */
export const newId = <Id extends string>(): Id => v7() as Id

/** Writes. A refusal that the caller does not show at a field stands in the tray. */
export function useCommand() {
  const dispatch = useAppDispatch()
  return useCallback(
    async <Kind extends CommandKind>(
      kind: Kind,
      body: CommandInput<Kind>,
      options: { quietly?: boolean } = {},
    ): Promise<Delivery> => {
      dispatch(setTrouble(null))
      const sent = { id: newId(), kind, body } as Sent
      if (kind !== 'undo') noteOwn(sent.id)
      dispatch(countUnderWay(1))
      const delivery = await post(sent).finally(() => dispatch(countUnderWay(-1)))
      if (delivery.kind === 'refused' || (delivery.kind === 'done' && !delivery.result.undoable))
        forgetOwn(sent.id)
      if (delivery.kind === 'refused' && !options.quietly) dispatch(setTrouble(delivery.problem.detail))
      return delivery
    },
    [dispatch],
  )
}
