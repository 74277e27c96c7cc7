import type { ChosenMoment } from './state.ts'

const KEY = 'heavy-thistle moment'

const isMoment = (value: unknown): value is ChosenMoment => {
  const { reachId, on, localMin } = (value ?? {}) as Record<string, unknown>
  return typeof reachId === 'string' && typeof on === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(on) && Number.isInteger(localMin) // prettier-ignore
}

/** The moment that was chosen in this tab before it was loaded anew; null where none was. */
export function keptMoment(): ChosenMoment | null {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? 'null')
    return isMoment(kept) ? kept : null
  } catch {
    return null
  }
}

/** Keeps the chosen moment for when this tab is loaded anew. */
export function keepMoment(moment: ChosenMoment | null): void {
  try {
    if (moment) sessionStorage.setItem(KEY, JSON.stringify(moment))
    else sessionStorage.removeItem(KEY)
  } catch {
    // a browser without storage forgets it
  }
}
