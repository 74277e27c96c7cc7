import type { Sent } from './api.ts'

const KEY = 'heavy-thistle:outbox'

/** Whether something that was stored is a write: another build may have kept it, or another program of this address. */
function isSent(stored: unknown): stored is Sent {
  if (typeof stored !== 'object' || stored === null) return false
  const { id, kind, body } = stored as Partial<Record<keyof Sent, unknown>>
  return (
    typeof id === 'string' && id !== '' && typeof kind === 'string' && typeof body === 'object' && body !== null
  )
}

/** Writes that could not be delivered yet, in their order. They outlive the tab, and the server takes each of them once. */
export function readOutbox(): readonly Sent[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(stored) ? stored.filter(isSent) : []
  } catch {
    return []
  }
}

const write = (waiting: readonly Sent[]) => localStorage.setItem(KEY, JSON.stringify(waiting))

/** Keeps a write until it is delivered; kept again, it goes to the end. */
export const keepInOutbox = (sent: Sent): void =>
  write([...readOutbox().filter(({ id }) => id !== sent.id), sent])

/** Lets go of a write that was delivered or refused. */
export const dropFromOutbox = (id: string): void => write(readOutbox().filter((sent) => sent.id !== id))
