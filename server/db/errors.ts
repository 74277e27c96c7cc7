/** The extended code of a refused statement, as `SQLITE_CONSTRAINT_UNIQUE`; null for anything else. */
export function constraintCode(error: unknown): string | null {
  let cause: unknown = error
  while (cause instanceof Error) {
    const { extendedCode, code } = cause as Error & { extendedCode?: string; code?: string }
    if (extendedCode?.startsWith('SQLITE_CONSTRAINT')) return extendedCode
    if (code?.startsWith('SQLITE_CONSTRAINT')) return code
    cause = cause.cause
  }
  return null
}
