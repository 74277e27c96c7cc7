import { heldEvents } from './log.ts'
import type { Event } from './log.ts'

/** What a thermometer showed, by the taps that it was set with. */
export interface ReadingOf {
  readonly ids: readonly string[]
  readonly tempC: number
  /** of the last of its taps, ms since 1970 */
  readonly atMs: number
}

/** Taps that follow one another within so long set one reading, ms. */
const SET_WITHIN_MS = 120_000

/** Readings of the water of which nothing was made yet: a figure that is set step by step is one. */
export function readingsOf(events: readonly Event[], booked: ReadonlySet<string>): readonly ReadingOf[] {
  const found: ReadingOf[] = []
  for (const event of heldEvents(events)) {
    if (event.kind !== 'waterTemp' || booked.has(event.id)) continue
    const { id, tempC, atMs } = event
    const last = found.at(-1)
    if (last && atMs - last.atMs <= SET_WITHIN_MS)
      found[found.length - 1] = { ids: [...last.ids, id], tempC, atMs }
    else found.push({ ids: [id], tempC, atMs })
  }
  return found
}
