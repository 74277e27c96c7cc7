import type { CommandResult, Problem } from '../../../contract/index.ts'

/** What an attempt to send came to. */
export type Attempt =
  | { readonly kind: 'done'; readonly result: CommandResult }
  /** settled: the same would be refused again */
  | { readonly kind: 'refused'; readonly problem: Problem }
  /** not settled: it is tried again; `fault` where the server broke over it */
  | { readonly kind: 'wait'; readonly detail: string | null; readonly fault: boolean }

/** Answers that would be the same a second time. */
const SETTLED: ReadonlySet<number> = new Set([400, 404, 409, 413, 415, 422])

const isProblem = (data: unknown): data is Problem =>
  typeof data === 'object' && data !== null && 'code' in data && 'detail' in data

/** What a failed attempt means, by its status; anything that is no answer of the server at all waits. */
export function attemptOf(error: unknown): Attempt {
  const { status, data } = (error ?? {}) as { status?: unknown; data?: unknown }
  if (typeof status !== 'number') return { kind: 'wait', detail: null, fault: false }
  if (SETTLED.has(status) && isProblem(data)) return { kind: 'refused', problem: data }
  return { kind: 'wait', detail: isProblem(data) ? data.detail : null, fault: status >= 500 }
}

const FIRST_PAUSE_MS = 500
const LONGEST_PAUSE_MS = 10_000

/** How long to wait after so many tries in vain: twice as long each time, 10 s at most. */
export const pauseAfter = (tries: number): number =>
  Math.min(FIRST_PAUSE_MS * 2 ** Math.max(tries - 1, 0), LONGEST_PAUSE_MS)

/** Faults of one write after which the user is asked whether the others should go on without it. */
export const FAULTS_BEFORE_ASKING = 5
