import { mean, Z_80 } from '../number/index.ts'
import { newYearOf, yearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { drawSeason, FIRST_SEEN, firstDayOf, turnOf, windowOf } from './emergence/index.ts'
import type { DrawInput, EmergenceWindow, SeasonNote, WatchedReach } from './emergence/index.ts'
import { modelsOf } from './warmth/index.ts'
import type { ReadReach } from './warmth/index.ts'

/** How the forecast did so many days before what was then seen for the first time. */
export interface LeadSkill {
  readonly leadDays: number
  /** how often the 8-in-10 days for seeing the first held it */
  readonly held: number
  /** mean of how far the day that was likeliest lay off, either way */
  readonly offDays: number
}

/** How good the forecasts of a stage were at a reach, as they would have been issued. */
export interface SeasonSkill {
  /** first days that were noted there */
  readonly times: number
  readonly byLead: readonly LeadSkill[]
  /** how far a date fixed in the calendar lay off: the mean of the first days before, or the usual one of the place */
  readonly fixedOffDays: number
  /** how far the forecast a week before would have lain off, had nobody noted anything */
  readonly unlearnedOffDays: number
}

/** Days before the first day on which a forecast is made anew. */
const LEAD_DAYS = [30, 14, 7, 3, 0]
const UNLEARNED_LEAD_DAYS = 7
/** More years than this tell little more, and take their time. */
const MOST_TIMES = 6
/** First days of one brood lie no farther apart. */
const SAME_BROOD_DAYS = 45

/** A reach with what is usual of its kind, so that its year can be fitted anew to what was known on a day. */
type SkilledReach = WatchedReach & Pick<ReadReach, 'usual'>

type SkillInput = Pick<DrawInput, 'stages' | 'notes' | 'draws' | 'seed'> & {
  readonly reach: SkilledReach
  /** all reaches that notes were made at or readings are borrowed from, this one among them */
  readonly reaches: readonly SkilledReach[]
  readonly stageId: string
}

/** Reaches as they were known on a day: their readings until then, and the years that were fitted to them. */
function knownOn(reaches: readonly SkilledReach[], until: EpochDay): readonly WatchedReach[] {
  const read = reaches.map((reach) => ({ ...reach, days: reach.days.filter(({ day }) => day <= until) }))
  const models = modelsOf(read)
  return read.map((reach) => ({ ...reach, model: models.get(reach.key) ?? reach.usual }))
}

/** The window of the stage's brood that is nearest to a day of the year, as it was foretold; null where none comes. */
function* foretold(
  input: SkillInput,
  year: number,
  until: EpochDay,
  notes: readonly SeasonNote[],
  nearDay: number,
): Generator<unknown, EmergenceWindow | null> {
  const { reach, reaches, stages, draws, seed, stageId } = input
  const known = knownOn(reaches, until)
  const here = known.find(({ key }) => key === reach.key)
  if (!here) return null
  const season = yield* drawSeason({
    reach: here, reaches: known, stages, draws, seed, year,
    notes: notes.filter(({ day }) => day < until),
  }) // prettier-ignore
  const off = (window: EmergenceWindow) => Math.abs(firstDayOf(window) - nearDay)
  return season.broods
    .filter((brood) => brood.stageId === stageId)
    .flatMap((brood) => windowOf(brood) ?? [])
    .reduce<EmergenceWindow | null>((best, one) => (best && off(best) <= off(one) ? best : one), null)
}

/** Whether the days on which the first is seen, 8 in 10, hold a day: the doubt of the start, and of who sees it. */
function holds({ onset }: EmergenceWindow, seen: number): boolean {
  const [low, middle, high] = [onset[1] ?? 0, (onset[5] ?? 0) + FIRST_SEEN.lateDays, onset[9] ?? 0]
  const noted = Z_80 * FIRST_SEEN.sdDays
  const before = Math.hypot(middle - FIRST_SEEN.lateDays - low, noted)
  const after = Math.hypot(high - middle + FIRST_SEEN.lateDays, noted)
  return seen >= middle - before && seen <= middle + after
}

/**
 * How good the forecasts of a stage were at a reach: for each first day that was noted there a forecast is made 30, 14,
 * 7, 3 and 0 days before, with what was read and noted until then, and held against it. Beside it stand a date fixed in
 * the calendar, and the forecast without any notes.
 *
 * @returns null where no first day was noted there
 */
export function* skillOf(input: SkillInput): Generator<unknown, SeasonSkill | null> {
  const { reach, notes, stageId } = input
  const turn = turnOf(reach.latitudeDeg)
  const firsts = notes
    .filter((note) => note.kind === 'firstSeen' && note.stageId === stageId && note.reachKey === reach.key)
    .map(({ day }) => {
      const year = yearOf(day - turn)
      return { day, year, seen: day - turn - newYearOf(year) }
    })
    .sort((a, b) => a.day - b.day)
  const told = firsts.slice(-MOST_TIMES)
  if (told.length === 0) return null
  const offs = LEAD_DAYS.map(() => ({ held: 0, off: [] as number[] }))
  const [fixed, unlearned]: [number[], number[]] = [[], []]
  for (const { day, year, seen } of told) {
    const likeliest = seen - FIRST_SEEN.lateDays
    const off = (window: EmergenceWindow | null) => (window ? Math.abs(firstDayOf(window) - likeliest) : null)
    for (const [i, leadDays] of LEAD_DAYS.entries()) {
      const window = yield* foretold(input, year, day - leadDays, notes, likeliest)
      const [own, days] = [offs[i], off(window)]
      if (!own || !window || days === null) continue
      own.off.push(days)
      own.held += holds(window, seen) ? 1 : 0
    }
    const blind = off(yield* foretold(input, year, day - UNLEARNED_LEAD_DAYS, [], likeliest))
    if (blind !== null) unlearned.push(blind)
    const before = firsts.filter((one) => one.day < day && Math.abs(one.seen - seen) <= SAME_BROOD_DAYS)
    const usual = yield* foretold(input, year, newYearOf(year) + turn, [], likeliest)
    const date =
      before.length > 0 ? mean(before.map((one) => one.seen)) - FIRST_SEEN.lateDays : usual && firstDayOf(usual)
    if (date !== null) fixed.push(Math.abs(date - likeliest))
  }
  const meanOf = (days: readonly number[]) => (days.length > 0 ? mean(days) : 0)
  return {
    times: told.length,
    byLead: LEAD_DAYS.map((leadDays, i) => ({
      leadDays,
      held: offs[i]?.held ?? 0,
      offDays: meanOf(offs[i]?.off ?? []),
    })),
    fixedOffDays: meanOf(fixed),
    unlearnedOffDays: meanOf(unlearned),
  }
}
