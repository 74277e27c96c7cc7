import { hourWeight } from '../hours.ts'
import { newYearOf, yearOf } from '../calendar.ts'
import type { EpochDay } from '../calendar.ts'
import type { FoodStage } from '../foodStage.ts'
import type { Spot } from '../sun.ts'
import { turnOf } from './place.ts'

/** What someone saw or looked for of a stage, on a day at a reach. */
export interface SeasonNote {
  readonly reachKey: string
  readonly stageId: string
  readonly day: EpochDay
  /** null where nobody wrote the time */
  readonly localMin: number | null
  readonly kind: 'firstSeen' | 'thick' | 'lastSeen' | 'absent' | 'counted'
  readonly count: number | null
  /** null where nobody wrote how long it was looked for */
  readonly effortMinutes: number | null
}

/** A note as it speaks of a stage on a reach. */
export interface PlacedNote {
  readonly note: SeasonNote
  readonly stage: FoodStage
  /** year of the reach's seasons, and day within it */
  readonly year: number
  readonly day: number
  /** how much it counts here: 1 of this reach, less of its water, least of another */
  readonly weight: number
  /** chance that a search finds what is about: by its length, and by whether it was its hour */
  readonly found: number
}

/** How much a note counts elsewhere: on another reach of its water, and on another water. */
const WEIGHT = { sameReach: 1, sameWater: 0.7, elsewhere: 0.35 }
/** A usual search where nobody wrote how long it was, minutes. */
const USUAL_SEARCH_MIN = 60
/** An hour of looking finds what is about in this share of cases. */
const FOUND_IN_AN_HOUR = 0.75

/** Where a note was made, and where it is asked for. */
interface Place {
  readonly key: string
  readonly waterKey: string
  readonly latitudeDeg: number
}

/** A note as it counts at a reach. */
export function placeNote(note: SeasonNote, stage: FoodStage, noted: Place & Spot, here: Place): PlacedNote {
  const turned = note.day - turnOf(noted.latitudeDeg)
  const year = yearOf(turned)
  const minutes = note.effortMinutes ?? USUAL_SEARCH_MIN
  const seeable = note.localMin === null ? 1 : hourWeight(stage, noted, note.day, note.localMin, 'any')
  return {
    note,
    stage,
    year,
    day: turned - newYearOf(year),
    weight:
      noted.key === here.key
        ? WEIGHT.sameReach
        : noted.waterKey === here.waterKey
          ? WEIGHT.sameWater
          : WEIGHT.elsewhere,
    found: (1 - (1 - FOUND_IN_AN_HOUR) ** (minutes / 60)) * seeable,
  }
}

/** Whether a note says that it was there. */
export const saw = ({ note }: PlacedNote): boolean =>
  note.kind === 'counted' ? (note.count ?? 1) > 0 : note.kind !== 'absent'
