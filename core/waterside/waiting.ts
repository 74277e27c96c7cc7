import { standingAfter } from './log.ts'
import type { Event, Lost } from './log.ts'
import { readingsOf } from './readingsOf.ts'
import type { ReadingOf } from './readingsOf.ts'
import { samplesOf } from './samplesOf.ts'
import type { SampleOf } from './samplesOf.ts'
import { spellsOf } from './spells.ts'
import type { NotedSpell } from './spells.ts'

/** What of a log waits to be made something of. */
export interface Waiting {
  readonly spells: readonly NotedSpell[]
  readonly losses: readonly Lost[]
  readonly samples: readonly SampleOf[]
  readonly readings: readonly ReadingOf[]
}

/** What was noted and nothing was made of yet. */
export interface LogToUse {
  readonly events: readonly Event[]
  /** ids of events that something was made of */
  readonly booked: ReadonlySet<string>
  /** whether it is known at which reach: else samples and readings say nothing of the season */
  readonly hasReach: boolean
  /** whether an instant lies on the outing's own day: a reading of another is none of it */
  readonly isOnDay: (atMs: number) => boolean
}

/** Spells that have ended, losses, samples and readings of which nothing was made yet. */
export function waitingOf({ events, booked, hasReach, isOnDay }: LogToUse): Waiting {
  const standing = standingAfter(events)
  const isLeft = ({ id }: { readonly id: string }) => !booked.has(id)
  return {
    spells: spellsOf(standing).filter(isLeft),
    losses: standing.lost.filter(isLeft),
    samples: hasReach ? samplesOf(events, booked) : [],
    readings: hasReach ? readingsOf(events, booked).filter(({ atMs }) => isOnDay(atMs)) : [],
  }
}
