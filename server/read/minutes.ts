import { minutesTaken, paceOf } from '../../core/index.ts'
import type { Pace } from '../../core/index.ts'
import type { PatternId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { grouped } from './grouped.ts'
import { loadTimedEvents } from './standingEvents.ts'

/** How long one fly of a pattern takes, from all its batches, the one on the vise among them. */
export const loadMinutes = keptUntilWrite(readMinutes, [loadTimedEvents])

async function readMinutes(db: Reader): Promise<(patternId: PatternId) => Pace> {
  const byPattern = grouped(await loadTimedEvents(db), ({ patternId }) => patternId)
  const paces = new Map([...byPattern].map(([patternId, own]) => [patternId, paceOf(minutesTaken(own))]))
  return (patternId) => paces.get(patternId) ?? paceOf([])
}
