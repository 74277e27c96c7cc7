import { COUNTS_NAMED } from '../../../contract/countsNamed.ts'
import type { CommandBody } from '../../../contract/index.ts'
import type { Sent } from '../api.ts'
import type { OwnCount } from '../state.ts'

/** What a write counts at the vise; null where it counts nothing. */
function countOf({ id, kind, body }: Sent): OwnCount | null {
  if (kind !== 'batchCount') return null
  const { eventId, batchId, kind: counts, stepKey } = body as CommandBody<'batchCount'>
  return counts === 'done' || counts === 'spoiled' || counts === 'station'
    ? { writeId: id, eventId, batchId, kind: counts, stepKey }
    : null
}

/** The action that a write takes back; null where it takes none. */
const takenBackBy = ({ kind, body }: Sent): string | null =>
  kind === 'undo' ? (body as CommandBody<'undo'>).actionId : null

/**
 * What was counted here and no view may know of yet: what was delivered lately and what waits, less what writes that
 * wait take back.
 */
export function countsHere(delivered: readonly OwnCount[], queue: readonly Sent[]): readonly OwnCount[] {
  const isTakenBack = (id: string): boolean =>
    queue.some((sent) => takenBackBy(sent) === id && !isTakenBack(sent.id))
  return [...delivered, ...queue.flatMap((sent) => countOf(sent) ?? [])].filter(
    ({ writeId }) => !isTakenBack(writeId),
  )
}

/** So many are remembered: a view names these beside as many of other tabs, and of what was taken back. */
export const REMEMBERED = COUNTS_NAMED / 4

/** What was delivered, after a write more: the last counts, and none that was taken back. */
export function afterDelivery(delivered: readonly OwnCount[], sent: Sent): readonly OwnCount[] {
  const others = delivered.filter(({ writeId }) => writeId !== sent.id && writeId !== takenBackBy(sent))
  const count = countOf(sent)
  return count ? [...others, count].slice(-REMEMBERED) : others
}
