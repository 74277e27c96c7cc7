import type { CommandInput, CommandKind } from '../../contract/index.ts'
import type { Sent } from '../wire/api.ts'
import { post } from '../wire/outbox/sender.ts'
import { newId } from '../wire/useCommand.ts'

/** A write as another place of the page sends it; answers the action that it was. */
export async function write<Kind extends CommandKind>(
  kind: Kind,
  body: CommandInput<Kind>,
): Promise<Sent['id']> {
  const sent = { id: newId(), kind, body } as Sent
  const delivery = await post(sent)
  if (delivery.kind !== 'done') throw new Error(`${kind} was not done: ${JSON.stringify(delivery)}`)
  return sent.id
}
