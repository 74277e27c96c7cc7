import { placeInYear } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { clamp } from '../number/index.ts'
import type { FoodStage, StageHours } from './foodStage.ts'
import { sunTimes } from './sun.ts'
import type { Spot, SunTimes } from './sun.ts'

/** Weather of an hour as the windows of a stage know it; any where nobody said. */
export type Weather = 'any' | 'bright' | 'dull' | 'windy' | 'calm' | 'rain'

const SEASONS = ['winter', 'winter', 'spring', 'spring', 'spring', 'summer', 'summer', 'summer', 'autumn', 'autumn', 'autumn', 'winter'] as const // prettier-ignore
/** What is left of a stage outside its hours: stragglers. */
const OUTSIDE_HOURS = 0.02
/** A hatch or a fall swells and fades over so many minutes. */
const EDGE_MIN = 40
const HALF_DAY_MIN = 720

/** Where the sun does not set, its lowest stands for both. */
const anchorMinute = (
  { sunriseLocalMin, solarNoonLocalMin, sunsetLocalMin }: SunTimes,
  anchor: StageHours['anchor'],
) =>
  // prettier-ignore
  anchor === 'solarNoon'
    ? solarNoonLocalMin
    : anchor === 'sunrise'
      ? (sunriseLocalMin ?? solarNoonLocalMin - HALF_DAY_MIN)
      : (sunsetLocalMin ?? solarNoonLocalMin + HALF_DAY_MIN)

/** How far into a window a minute is: half at its edges, 0 and 1 half an edge outside and within. */
function within(localMin: number, fromMin: number, toMin: number): number {
  const rising = clamp((localMin - fromMin) / EDGE_MIN + 0.5, 0, 1)
  const falling = clamp((toMin - localMin) / EDGE_MIN + 0.5, 0, 1)
  return Math.min(rising, falling)
}

const DAY_MIN = 1440

/**
 * Weight of an hour for a stage, 0 to 1: the best of the windows that apply; 1 where it has none.
 *
 * @param weather any for what is not known: then windows of a weather do not count
 */
export function hourWeight(
  stage: Pick<FoodStage, 'hours'>,
  spot: Spot,
  day: EpochDay,
  localMin: number,
  weather: Weather,
): number {
  if (stage.hours.length === 0) return 1
  const sun = sunTimes(spot, day)
  const month = (placeInYear(day).month + (spot.latitudeDeg < 0 ? 6 : 0)) % 12
  const season = SEASONS[month] ?? 'summer'
  let best = OUTSIDE_HOURS
  for (const hours of stage.hours) {
    if (!hours.seasons.includes(season) || (hours.weather !== 'any' && hours.weather !== weather)) continue
    const anchor = anchorMinute(sun, hours.anchor)
    // a window past midnight belongs to the night before
    const inside = Math.max(
      ...[0, DAY_MIN, -DAY_MIN].map((shift) =>
        within(localMin + shift, anchor + hours.fromMin, anchor + hours.toMin),
      ),
    )
    best = Math.max(best, OUTSIDE_HOURS + (hours.weight - OUTSIDE_HOURS) * inside)
  }
  return best
}
