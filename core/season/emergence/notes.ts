import { epochDayOf, HALF_YEAR_DAYS, newYearOf, yearOf } from '../calendar.ts'
import type { DayReading, SeasonalModel } from '../warmth/index.ts'
import type { DatedBrood } from './emergenceWindows.ts'
import { yearAsItWas } from './emergenceWindows.ts'
import { learnedWindow, learnShift } from './learn.ts'
import type { Learned, Note } from './learn.ts'
import { leaveOneOut } from './leaveOneOut.ts'
import type { Backtest } from './leaveOneOut.ts'
import { AS_USUAL, onsetDay } from './onset.ts'
import { firstDayOf, peakDayOf } from './window.ts'
import type { EmergenceWindow } from './window.ts'

/** How much a note counts elsewhere: on another reach of its water, and on another water. */
const WEIGHT = { sameReach: 1, sameWater: 0.7, elsewhere: 0.35 }
/** A year foretells its own starts once so many of its days were read. */
const DAYS_FOR_A_YEAR = 90
/** A usual search where nobody wrote how long it was, minutes. */
const USUAL_SEARCH_MIN = 60

/** A reach with what its water's warmth is known from, and its windows before any note. */
export interface WatchedReach {
  readonly key: string
  readonly waterKey: string
  readonly latitudeDeg: number
  readonly elevationM: number
  readonly model: SeasonalModel
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  readonly windows: readonly EmergenceWindow[]
}

/** What someone saw or looked for of a stage, on a civil date at a reach. */
export interface SeenNote {
  readonly reachKey: string
  readonly stageKey: string
  readonly on: string
  readonly kind: Note['kind']
  /** null where nobody wrote how long it was looked for */
  readonly effortMinutes: number | null
}

/** A brood of a reach as foretold, and as the notes move it. */
export interface LearnedBrood {
  readonly before: EmergenceWindow
  readonly after: EmergenceWindow
  readonly learned: Learned
  readonly backtest: Backtest | null
}

/** Days by which the year of a place is turned against that of the north. */
const turnOf = (latitudeDeg: number) => (latitudeDeg < 0 ? HALF_YEAR_DAYS : 0)

/** Day within the window's year, and that year, of a date. */
function placed(on: string, latitudeDeg: number): { readonly day: number; readonly year: number } {
  const epoch = epochDayOf(on) - turnOf(latitudeDeg)
  const year = yearOf(epoch)
  return { year, day: epoch - newYearOf(year) }
}

/** The brood of a stage that a note belongs to: the one whose middle is nearest to its day. */
function nearestBrood(windows: readonly EmergenceWindow[], stageKey: string, day: number): number | null {
  const own = windows.filter((window) => window.stageKey === stageKey)
  const off = (one: EmergenceWindow) => Math.abs(peakDayOf(one) - day)
  return own.toSorted((a, b) => off(a) - off(b))[0]?.brood ?? null
}

/** The start that a year's own readings foretell, by year; null for years that were not read. */
function foretoldByYear(reach: WatchedReach, brood: DatedBrood): (year: number) => number | null {
  const byDay = new Map(reach.days.map(({ day, meanC }) => [day, meanC]))
  return (year) => {
    const first = newYearOf(year) + turnOf(reach.latitudeDeg)
    const lived = yearAsItWas(reach, (day) => byDay.get(first + day) ?? null, DAYS_FOR_A_YEAR)
    return lived && onsetDay(brood.trigger, lived, AS_USUAL)
  }
}

/** How much a note of one reach counts at another. */
function weightOf(noted: WatchedReach, reach: WatchedReach): number {
  if (noted.key === reach.key) return WEIGHT.sameReach
  return noted.waterKey === reach.waterKey ? WEIGHT.sameWater : WEIGHT.elsewhere
}

/** A note as it speaks of a window of a reach: by how much its day is off there; none where it is of another brood. */
function noteOn(
  window: EmergenceWindow,
  reach: WatchedReach,
  foretold: (year: number) => number | null,
  seen: SeenNote,
  noted: WatchedReach,
): readonly Note[] {
  const { day, year } = placed(seen.on, noted.latitudeDeg)
  const there = noted.windows.find((one) => one.stageKey === window.stageKey && one.brood === window.brood)
  if (!there || nearestBrood(noted.windows, window.stageKey, day) !== window.brood) return []
  const weight = weightOf(noted, reach)
  return [
    {
      kind: seen.kind,
      day: day + firstDayOf(window) - firstDayOf(there),
      year,
      effortMinutes: seen.effortMinutes ?? USUAL_SEARCH_MIN,
      weight,
      foretoldDay: weight === WEIGHT.sameReach ? foretold(year) : null,
    },
  ]
}

/**
 * The broods of a reach as the notes move them: its own count in full and are read against their year's own warmth,
 * those of its river and of other waters count less, each by how many days it was off at its own reach.
 *
 * @param reaches all reaches, this one among them, by key
 */
export function learnedBroods(
  reach: WatchedReach,
  reaches: ReadonlyMap<string, WatchedReach>,
  broods: readonly DatedBrood[],
  notes: readonly SeenNote[],
): readonly LearnedBrood[] {
  const byStage = groupedByStage(notes)
  return reach.windows.flatMap((before): LearnedBrood[] => {
    const brood = broods.find((one) => one.stageKey === before.stageKey && one.brood === before.brood)
    if (!brood) return []
    const seenOfIt = byStage.get(before.stageKey) ?? []
    const foretold = seenOfIt.length > 0 ? foretoldByYear(reach, brood) : () => null
    const own = seenOfIt.flatMap((seen) => {
      const noted = reaches.get(seen.reachKey)
      return noted ? noteOn(before, reach, foretold, seen, noted) : []
    })
    const learned = learnShift(before, own)
    return [{ before, after: learnedWindow(before, learned), learned, backtest: leaveOneOut(before, own) }]
  })
}

function groupedByStage(notes: readonly SeenNote[]): ReadonlyMap<string, readonly SeenNote[]> {
  const byStage = new Map<string, SeenNote[]>()
  for (const note of notes) {
    const own = byStage.get(note.stageKey)
    if (own) own.push(note)
    else byStage.set(note.stageKey, [note])
  }
  return byStage
}
