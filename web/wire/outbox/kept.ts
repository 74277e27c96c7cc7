import type { Sent } from '../api.ts'

/** Why a write was turned down after it had waited, and what may be done about it. */
export interface TurnedDown {
  readonly detail: string
}

/** A write that waits, or that was refused after it had waited. */
export interface Waiting extends Sent {
  /** its place in the queue; of two the smaller goes first */
  readonly seq: number
  readonly tries: number
  /** how often the server broke over it */
  readonly faults: number
  readonly refused?: TurnedDown
}

const PREFIX = 'heavy-thistle:outbox:'
/** Where builds before this kept them, without saying for which data: to deliver them could be to the wrong ones. */
const FORMER = 'heavy-thistle:outbox'

/** Text that stands for a write's place, so that keys sort as the queue does. */
const keyOf = (dataId: string, { seq, id }: Pick<Waiting, 'seq' | 'id'>) =>
  `${PREFIX}${dataId}:${String(seq).padStart(12, '0')}:${id}`

/** Whether something that was stored is a write: another build may have kept it, or another program of this address. */
function isWaiting(stored: unknown): stored is Waiting {
  if (typeof stored !== 'object' || stored === null) return false
  const { id, kind, body, seq } = stored as Partial<Record<keyof Waiting, unknown>>
  return (
    typeof id === 'string' &&
    id !== '' &&
    typeof kind === 'string' &&
    typeof body === 'object' &&
    body !== null &&
    typeof seq === 'number'
  )
}

function parsed(text: string | null): Waiting | null {
  try {
    const stored: unknown = JSON.parse(text ?? 'null')
    return isWaiting(stored) ? { ...stored, tries: stored.tries ?? 0, faults: stored.faults ?? 0 } : null
  } catch {
    return null
  }
}

/** What could not be stored, as where the browser's storage is full: it is kept as long as the page is open. */
const unstored = new Map<string, Waiting>()

/** All that waits for the data of an id, in its order. It outlives the tab, and the server takes each once. */
export function readQueue(dataId: string): readonly Waiting[] {
  const prefix = `${PREFIX}${dataId}:`
  const found = new Map<string, Waiting>()
  for (let i = 0; i < localStorage.length; i += 1) {
    const key = localStorage.key(i)
    const waiting = key?.startsWith(prefix) ? parsed(localStorage.getItem(key)) : null
    if (key && waiting) found.set(key, waiting)
  }
  for (const [key, waiting] of unstored) if (key.startsWith(prefix)) found.set(key, waiting)
  return [...found.values()].sort((a, b) => a.seq - b.seq || (a.id < b.id ? -1 : 1))
}

/** Keeps a write, or what has become of it; answers whether it could be stored beyond this page. */
export function keep(dataId: string, waiting: Waiting): boolean {
  const key = keyOf(dataId, waiting)
  try {
    localStorage.setItem(key, JSON.stringify(waiting))
    unstored.delete(key)
    return true
  } catch {
    unstored.set(key, waiting)
    return false
  }
}

/** Lets go of a write that was delivered, refused or given up. */
export function letGo(dataId: string, waiting: Pick<Waiting, 'seq' | 'id'>): void {
  const key = keyOf(dataId, waiting)
  unstored.delete(key)
  localStorage.removeItem(key)
}

/** Writes of this page that were refused: what was shown of them before is not so. */
const refusedHere = new Set<string>()

/** Notes that a write was refused. */
export const noteRefused = (id: string): void => void refusedHere.add(id)

/** Whether a write was refused since this page was opened. */
export const wasRefused = (id: string): boolean => refusedHere.has(id)

/** As much room as an evening's counting takes. */
const ROOM = 'x'.repeat(50_000)

/** Whether there is room to keep an evening's writes, should the server go away. */
export function hasRoom(): boolean {
  localStorage.removeItem(FORMER)
  try {
    localStorage.setItem('heavy-thistle:room', ROOM)
    return true
  } catch {
    return false
  } finally {
    localStorage.removeItem('heavy-thistle:room')
  }
}
