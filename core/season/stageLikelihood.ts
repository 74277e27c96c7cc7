import type { Estimate } from '../uncertainty/index.ts'
import { placeInYear, throughMonths } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import type { FoodStage, StageHours, StageMonth, WaterKind } from './foodStage.ts'
import { sunTimes } from './sun.ts'
import type { Spot, SunTimes } from './sun.ts'

/** A reach as the season knows it. */
export interface ReachState extends Spot {
  readonly waterKind: WaterKind
}

/** Why a stage is likely or not, as a code with values; wording makes the sentence. */
export interface LikelihoodReason {
  readonly code: 'month' | 'notThisMonth' | 'wrongWater' | 'lessAtHome' | 'hourGood' | 'hourPoor'
  readonly share: number
}

/** Chance to meet a stage in numbers at a moment, with the length it then has. */
export interface StageLikelihood {
  readonly likelihood: Estimate
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
  readonly reasons: readonly LikelihoodReason[]
}

export type Weather = 'any' | 'bright' | 'dull' | 'windy' | 'calm'

const SEASONS = ['winter', 'winter', 'spring', 'spring', 'spring', 'summer', 'summer', 'summer', 'autumn', 'autumn', 'autumn', 'winter'] as const // prettier-ignore
/** Shipped likelihoods are judgement: ± 0.2 at 80 %. */
const LIKELIHOOD_DOUBT = 0.2
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

/**
 * Likelihood of a stage at a moment: that of its months, drawn between their middles, times how typical it is of the
 * kind of water, times the weight of the hour. Nothing here knows temperature yet; the band says so.
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
  const ofMonth = throughMonths(
    months.map((entry) => entry?.likelihood ?? 0),
    day,
  )
  const typical = stage.waterKinds[reach.waterKind] ?? 0
  const hour = hourWeight(stage, reach, day, localMin, weather)
  const value = ofMonth * typical * hour
  const doubt = LIKELIHOOD_DOUBT * typical * (value > 0 ? 1 : 0)
  const present = months[month] ?? months[(month + 1) % 12] ?? months[(month + 11) % 12]
  const reasons: LikelihoodReason[] = [{ code: ofMonth > 0 ? 'month' : 'notThisMonth', share: ofMonth }]
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
