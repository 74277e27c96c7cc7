/** Waits between tries while another program holds the database: 3 s in all. */
const PAUSES_MS = [10, 20, 40, 80, 150, 300, 600, 800, 1000]

/** The code of SQLite behind an error, as `SQLITE_BUSY`; null for anything else. */
export function sqliteCode(error: unknown): string | null {
  let cause: unknown = error
  while (cause instanceof Error) {
    const { code } = cause as Error & { code?: unknown }
    if (typeof code === 'string' && code.startsWith('SQLITE_')) return code
    cause = cause.cause
  }
  return null
}

/** Whether an error says that another program holds the database for the moment. */
export const isBusy = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test(sqliteCode(error) ?? '')

/** Whether an error says that the database was closed meanwhile, as while a copy is put in its place. */
export const isClosed = (error: unknown): boolean => {
  let cause: unknown = error
  while (cause instanceof Error) {
    if ((cause as Error & { code?: unknown }).code === 'CLIENT_CLOSED') return true
    cause = cause.cause
  }
  return false
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/**
 * Does what may find the database held by another program, and tries again for 3 s.
 *
 * @param work   leaves nothing behind where it fails
 * @param afresh run after each refusal: the driver's connection keeps a refused statement open and can never commit again
 */
export async function patiently<T>(work: () => Promise<T>, afresh: () => unknown): Promise<T> {
  for (const ms of PAUSES_MS) {
    try {
      return await work()
    } catch (error) {
      if (!isBusy(error)) throw error
      await afresh()
      await pause(ms)
    }
  }
  try {
    return await work()
  } catch (error) {
    if (isBusy(error)) await afresh()
    throw error
  }
}
