import { useCallback } from 'react'
import { v7 } from 'uuid'
import type { CommandInput, CommandKind } from '../../contract/index.ts'
import type { Sent } from './api.ts'
import { post } from './outbox/sender.ts'
import type { Delivery } from './outbox/sender.ts'
import { forgetOwn, noteOwn } from './ownActions.ts'
import { noteMinted, onePress } from './pressedTwice.ts'
import { countUnderWay, setTrouble } from './state.ts'
import { useAppDispatch } from './store.ts'

/** A new id, as text of the brand that is wanted. */
export function newId<Id extends string>(): Id {
  const id = v7()
  noteMinted(id)
  return id as Id
}

/** Writes that come as fast as they are pressed: flies counted, actions taken back one after the other. */
const AS_OFTEN: ReadonlySet<CommandKind> = new Set<CommandKind>(['batchCount', 'undo'])

/** Writes. A refusal that the caller does not show at a field stands in the tray. */
export function useCommand() {
  const dispatch = useAppDispatch()
  return useCallback(
    <Kind extends CommandKind>(
      kind: Kind,
      body: CommandInput<Kind>,
      options: { quietly?: boolean } = {},
    ): Promise<Delivery> => {
      const write = async (): Promise<Delivery> => {
        dispatch(setTrouble(null))
        const sent = { id: newId(), kind, body } as Sent
        if (kind !== 'undo') noteOwn(sent.id)
        dispatch(countUnderWay(1))
        const delivery = await post(sent).finally(() => dispatch(countUnderWay(-1)))
        if (delivery.kind === 'refused' || (delivery.kind === 'done' && !delivery.result.undoable))
          forgetOwn(sent.id)
        if (delivery.kind === 'refused' && !options.quietly) dispatch(setTrouble(delivery.problem.detail))
        return delivery
      }
      return AS_OFTEN.has(kind) ? write() : onePress(kind, body, write)
    },
    [dispatch],
  )
}
