import { heldEvents } from './log.ts'
import type { Event } from './log.ts'
import type { SampledFrom } from './sample.ts'

/** What was counted of one stage from one place, by all taps that say so. */
export interface SampleOf {
  readonly ids: readonly string[]
  readonly stageKey: string
  readonly from: SampledFrom
  /** one or more */
  readonly count: number
  /** of the first tap, ms since 1970 */
  readonly atMs: number
}

/** Samples of which nothing was made yet; what was counted and taken back again is none. */
export function samplesOf(events: readonly Event[], booked: ReadonlySet<string>): readonly SampleOf[] {
  const byPlace = new Map<string, SampleOf>()
  for (const event of heldEvents(events)) {
    if (event.kind !== 'counted' || booked.has(event.id)) continue
    const { stageKey, from, count, id, atMs } = event
    const before = byPlace.get(`${stageKey} ${from}`)
    byPlace.set(
      `${stageKey} ${from}`,
      before
        ? { ...before, ids: [...before.ids, id], count: before.count + count }
        : { ids: [id], stageKey, from, count, atMs },
    )
  }
  return [...byPlace.values()].filter(({ count }) => count > 0)
}
