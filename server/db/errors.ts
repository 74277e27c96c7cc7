/** What an error's causes say of themselves, from the outside in: codes as `SQLITE_BUSY`, or `CLIENT_CLOSED`. */
function* codes(error: unknown): Generator<string> {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause) {
    if ('extendedCode' in cause && typeof cause.extendedCode === 'string') yield cause.extendedCode
    if ('code' in cause && typeof cause.code === 'string') yield cause.code
  }
}

const firstOf = (error: unknown, start: string): string | null =>
  [...codes(error)].find((code) => code.startsWith(start)) ?? null

/** The extended code of a refused statement, as `SQLITE_CONSTRAINT_UNIQUE`; null for anything else. */
export const constraintCode = (error: unknown): string | null => firstOf(error, 'SQLITE_CONSTRAINT')

/** The code of SQLite behind an error, as `SQLITE_BUSY`; null for anything else. */
export const sqliteCode = (error: unknown): string | null => firstOf(error, 'SQLITE_')

/** Whether an error says that another program holds the database for the moment. */
export const isBusy = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test(sqliteCode(error) ?? '')

/** Whether an error says that there is no room left. */
export const isFull = (error: unknown): boolean =>
  [...codes(error)].some((code) => code === 'ENOSPC' || code.startsWith('SQLITE_FULL'))

/** Whether an error says that the server that keeps the database does not answer. */
export const isAway = (error: unknown): boolean =>
  [...codes(error)].some((code) => /^(ECONN|ENOTFOUND|EAI_|ETIMEDOUT|UND_ERR|SERVER_ERROR)/.test(code))

/** Whether an error says that the database was closed meanwhile, as while a copy is put in its place. */
export const isClosed = (error: unknown): boolean => firstOf(error, 'CLIENT_CLOSED') !== null
