import type { Estimate } from '../uncertainty/index.ts'
import { HALF_YEAR_DAYS, placeInYear, throughMonths } from './calendar.ts'
import { chanceOnDayOfYear, firstDayOf, lastDayOf } from './emergence/index.ts'
import type { EmergenceWindow } from './emergence/index.ts'
import type { EpochDay } from './calendar.ts'
import type { FoodStage, StageHours, StageMonth, WaterKind } from './foodStage.ts'
import { sunTimes } from './sun.ts'
import type { Spot, SunTimes } from './sun.ts'

/** What the season engine knows of a reach. */
export interface ReachSeason {
  /** by stage, its broods with what was learned */
  readonly windows: ReadonlyMap<string, readonly EmergenceWindow[]>
  /** days of earlier years, MM-DD, on which a stage was seen here */
  readonly seenOn: ReadonlyMap<string, readonly string[]>
  readonly waterTempC: number
  /** over the last week; null where it was not read */
  readonly trendCPerDay: number | null
  /** whether the reach has readings of its own */
  readonly measured: boolean
}

/** A reach as the season knows it. */
export interface ReachState extends Spot {
  readonly waterKind: WaterKind
  /** null where its windows have not been worked out: then the months speak */
  readonly season?: ReachSeason | null
}

/** Why a stage is likely or not, as a code with values; wording makes the sentence. */
export type LikelihoodReason =
  | {
      readonly code: 'month' | 'notThisMonth' | 'wrongWater' | 'lessAtHome' | 'hourGood' | 'hourPoor'
      readonly share: number
    }
  | { readonly code: 'warmth'; readonly tempC: number; readonly trendCPerDay: number | null }
  | { readonly code: 'notYet' | 'over'; readonly days: number }
  | { readonly code: 'seenHere'; readonly on: readonly string[] }
  | { readonly code: 'kindOnly' }

/** Chance to meet a stage in numbers at a moment, with the length it then has. */
export interface StageLikelihood {
  readonly likelihood: Estimate
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
  readonly reasons: readonly LikelihoodReason[]
}

export type Weather = 'any' | 'bright' | 'dull' | 'windy' | 'calm'

const SEASONS = ['winter', 'winter', 'spring', 'spring', 'spring', 'summer', 'summer', 'summer', 'autumn', 'autumn', 'autumn', 'winter'] as const // prettier-ignore
/** Shipped likelihoods are judgement: ± 0.2 at 80 %; less where the reach was read, and less where it was watched. */
const LIKELIHOOD_DOUBT = { months: 0.2, kind: 0.25, read: 0.15, watched: 0.1 }
/** Below this a kind of water is not where a stage is at home. */
const AT_HOME = 0.75
/** What is left of a stage outside its hours: stragglers. */
const OUTSIDE_HOURS = 0.1

/** Months of a stage on this side of the equator: six months on in the south. */
function monthsAt(stage: FoodStage, latitudeDeg: number): readonly (StageMonth | null)[] {
  return latitudeDeg >= 0 ? stage.months : [...stage.months.slice(6), ...stage.months.slice(0, 6)]
}

const anchorMinute = (sun: SunTimes, anchor: StageHours['anchor']) =>
  anchor === 'solarNoon'
    ? sun.solarNoonLocalMin
    : anchor === 'sunrise'
      ? sun.sunriseLocalMin
      : sun.sunsetLocalMin

/** Weight of an hour for a stage, 0 to 1: the best of the windows that apply; 1 where it has none. */
export function hourWeight(
  stage: FoodStage,
  reach: ReachState,
  day: EpochDay,
  localMin: number,
  weather: Weather,
): number {
  if (stage.hours.length === 0) return 1
  const sun = sunTimes(reach, day)
  const month = (placeInYear(day).month + (reach.latitudeDeg < 0 ? 6 : 0)) % 12
  const season = SEASONS[month] ?? 'summer'
  return stage.hours
    .filter((hours) => hours.seasons.includes(season) && (hours.weather === 'any' || hours.weather === weather))
    .reduce((best, hours) => {
      const anchor = anchorMinute(sun, hours.anchor)
      if (anchor === null) return best
      const inside = localMin >= anchor + hours.fromMin && localMin <= anchor + hours.toMin
      return inside ? Math.max(best, hours.weight) : best
    }, OUTSIDE_HOURS)
}

/** What a day of the year says of a stage: chance to meet it in numbers where it is at home, its doubt, and why. */
interface OfDay {
  readonly chance: number
  readonly doubt: number
  readonly reasons: readonly LikelihoodReason[]
}

function byMonths(months: readonly (StageMonth | null)[], day: EpochDay): OfDay {
  const chance = throughMonths(
    months.map((entry) => entry?.likelihood ?? 0),
    day,
  )
  const reason = { code: chance > 0 ? ('month' as const) : ('notThisMonth' as const), share: chance }
  return { chance, doubt: LIKELIHOOD_DOUBT.months, reasons: [reason] }
}

const YEAR_DAYS = 365

/** Best month of a brood, for how likely it is while it is about. */
function bestMonth(stage: FoodStage, brood: number): number {
  const own = stage.broods[brood]?.months
  const likelihoods = stage.months.map((entry, month) =>
    !own || own.includes(month + 1) ? (entry?.likelihood ?? 0) : 0,
  )
  return Math.max(...likelihoods)
}

function byWindows(
  stage: FoodStage,
  windows: readonly EmergenceWindow[],
  season: ReachSeason,
  dayOfYear: number,
): OfDay {
  const chances = windows.map((window) => ({
    window,
    chance: chanceOnDayOfYear(window, dayOfYear) * bestMonth(stage, window.brood),
  }))
  const best = chances.reduce((a, b) => (b.chance > a.chance ? b : a))
  const reasons: LikelihoodReason[] = []
  if (best.chance >= 0.05) {
    reasons.push({ code: 'warmth', tempC: season.waterTempC, trendCPerDay: season.trendCPerDay })
  } else {
    const ahead = chances.map(({ window }) => firstDayOf(window) - dayOfYear)
    const coming = Math.min(...ahead.map((days) => (days < 0 ? days + YEAR_DAYS : days)))
    const past = Math.min(
      ...chances.map(({ window }) => dayOfYear - lastDayOf(window)).filter((days) => days >= 0),
      Infinity,
    )
    reasons.push(past < coming ? { code: 'over', days: past } : { code: 'notYet', days: coming })
  }
  const seen = season.seenOn.get(stage.id) ?? []
  if (seen.length > 0) reasons.push({ code: 'seenHere', on: seen })
  else if (!season.measured) reasons.push({ code: 'kindOnly' })
  const { watched, read, kind } = LIKELIHOOD_DOUBT
  return { chance: best.chance, doubt: seen.length > 0 ? watched : season.measured ? read : kind, reasons }
}

function ofDay(stage: FoodStage, reach: ReachState, day: EpochDay): OfDay {
  const windows = reach.season?.windows.get(stage.id)
  if (!reach.season || !windows || windows.length === 0)
    return byMonths(monthsAt(stage, reach.latitudeDeg), day)
  const { dayOfYear } = placeInYear(day)
  const turned = reach.latitudeDeg < 0 ? (dayOfYear + YEAR_DAYS - HALF_YEAR_DAYS) % YEAR_DAYS : dayOfYear
  return byWindows(stage, windows, reach.season, turned)
}

/**
 * Likelihood of a stage at a moment: that of its window on the reach (or of its months, where it has none or the
 * reach's windows are not known), times how typical it is of the kind of water, times the weight of the hour.
 */
export function stageLikelihood(
  stage: FoodStage,
  reach: ReachState,
  day: EpochDay,
  localMin: number,
  weather: Weather,
): StageLikelihood {
  const months = monthsAt(stage, reach.latitudeDeg)
  const { month } = placeInYear(day)
  const found = ofDay(stage, reach, day)
  const typical = stage.waterKinds[reach.waterKind] ?? 0
  const hour = hourWeight(stage, reach, day, localMin, weather)
  const value = found.chance * typical * hour
  const doubt = found.doubt * typical * (value > 0 ? 1 : 0)
  const present = months[month] ?? months[(month + 1) % 12] ?? months[(month + 11) % 12]
  const reasons = [...found.reasons]
  if (typical > 0 && typical < AT_HOME) reasons.push({ code: 'lessAtHome', share: typical })
  if (typical === 0) reasons.push({ code: 'wrongWater', share: 0 })
  else reasons.push({ code: hour > 0.5 ? 'hourGood' : 'hourPoor', share: hour })
  return {
    likelihood: {
      value,
      low: Math.max(value - doubt, 0),
      high: Math.min(value + doubt, 1),
      basis: ['catalogue'],
    },
    lengthMmLow: present?.lengthMmLow ?? 0,
    lengthMmHigh: present?.lengthMmHigh ?? 0,
    reasons,
  }
}

/** Chance to meet a stage in numbers on a day, at its hours, with its doubt. */
export interface DayChance {
  readonly value: number
  readonly high: number
}

/** The same without the hour: how a stage's year looks on a reach. */
export function chanceOfDay(stage: FoodStage, reach: ReachState, day: EpochDay): DayChance {
  const { chance, doubt } = ofDay(stage, reach, day)
  const typical = stage.waterKinds[reach.waterKind] ?? 0
  const value = chance * typical
  return { value, high: value > 0.005 ? Math.min(value + doubt * typical * Math.min(chance * 3, 1), 1) : value }
}
