/** Actions of this tab that can be taken back, the last at the end: as many as an evening takes. */
const MOST = 200
const KEY = 'heavy-thistle:own'

function read(): readonly string[] {
  try {
    const stored: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? '[]')
    return Array.isArray(stored) ? stored.filter((id) => typeof id === 'string') : []
  } catch {
    return []
  }
}

function write(ids: readonly string[]): void {
  try {
    sessionStorage.setItem(KEY, JSON.stringify(ids.slice(-MOST)))
  } catch {
    // without room the last action of all tabs is what Ctrl+Z takes back
  }
}

/** Notes that this tab wrote something. */
export const noteOwn = (id: string): void => write([...read(), id])

/** Forgets what was refused, or cannot be taken back. */
export const forgetOwn = (id: string): void => write(read().filter((own) => own !== id))

/** The last action of this tab, which is no longer counted among them; null where there is none. */
export function takeLastOwn(): string | null {
  const ids = read()
  write(ids.slice(0, -1))
  return ids.at(-1) ?? null
}
