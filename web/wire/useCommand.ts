import { useCallback } from 'react'
import { v7 } from 'uuid'
import type { CommandInput, CommandKind, CommandResult, Problem } from '../../contract/index.ts'
import { api, toFailure } from './api.ts'
import type { Sent } from './api.ts'
import { dropFromOutbox, keepInOutbox, readOutbox } from './outbox.ts'
import { setTrouble, setWaiting } from './state.ts'
import { store, useAppDispatch } from './store.ts'

/** A new id, as text of the brand that is wanted. */
export const newId = <Id extends string>(): Id => v7() as Id

/** What became of a write: done, refused with a problem, or kept until the server answers again. */
export type Delivery =
  | { readonly kind: 'done'; readonly result: CommandResult }
  | { readonly kind: 'refused'; readonly problem: Problem }
  | { readonly kind: 'waiting' }

async function deliver(sent: Sent): Promise<Delivery> {
  keepInOutbox(sent)
  const answered = await store.dispatch(api.endpoints.command.initiate(sent))
  if (answered.data) {
    dropFromOutbox(sent.id)
    return { kind: 'done', result: answered.data }
  }
  const failure = toFailure(answered.error)
  if (failure.kind === 'unreachable') return { kind: 'waiting' }
  dropFromOutbox(sent.id)
  return { kind: 'refused', problem: failure.problem }
}

/** Sends what waits in the outbox, in its order; stops at the first that cannot be delivered. */
export async function flushOutbox(): Promise<void> {
  for (const sent of readOutbox()) {
    const delivery = await deliver(sent)
    if (delivery.kind === 'waiting') break
    if (delivery.kind === 'refused') store.dispatch(setTrouble(delivery.problem.detail))
  }
  store.dispatch(setWaiting(readOutbox().length))
}

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
      const delivery = await deliver({ id: newId(), kind, body } as Sent)
      if (delivery.kind === 'refused' && !options.quietly) dispatch(setTrouble(delivery.problem.detail))
      if (delivery.kind === 'waiting')
        dispatch(setTrouble('The server does not answer. This is kept here and sent when it does.'))
      dispatch(setWaiting(readOutbox().length))
      return delivery
    },
    [dispatch],
  )
}
