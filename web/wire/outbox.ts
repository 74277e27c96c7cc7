import type { Sent } from './api.ts'

const KEY = 'heavy-thistle:outbox'

/** Writes that could not be delivered yet. They outlive the tab, and the server takes each of them once. */
export function readOutbox(): readonly Sent[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(stored) ? (stored as Sent[]) : []
  } catch {
    return []
  }
}

const write = (waiting: readonly Sent[]) => localStorage.setItem(KEY, JSON.stringify(waiting))

export const keepInOutbox = (sent: Sent): void =>
  write([...readOutbox().filter(({ id }) => id !== sent.id), sent])
export const dropFromOutbox = (id: string): void => write(readOutbox().filter((sent) => sent.id !== id))
