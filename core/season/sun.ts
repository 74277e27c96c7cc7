import { placeInYear } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { radians } from '../number/index.ts'

/** Where and in which time of day a water is reckoned. */
export interface Spot {
  readonly latitudeDeg: number
  readonly longitudeDeg: number
  /** minutes that local time is ahead of UTC on the day */
  readonly utcOffsetMinutes: number
}

/** Minutes of the local day; sunrise and sunset are null where the sun does not rise or set. */
export interface SunTimes {
  readonly sunriseLocalMin: number | null
  readonly solarNoonLocalMin: number
  readonly sunsetLocalMin: number | null
}

/** Centre of the sun 50 minutes of arc below the horizon: refraction and its half width. */
const HORIZON_DEG = -0.833

/** Declination of the sun on a day, radians; Spencer 1971. */
function declinationOn(day: EpochDay): number {
  const g = (2 * Math.PI * placeInYear(day).dayOfYear) / 365
  return (
    0.006918 -
    0.399912 * Math.cos(g) +
    0.070257 * Math.sin(g) -
    0.006758 * Math.cos(2 * g) +
    0.000907 * Math.sin(2 * g) -
    0.002697 * Math.cos(3 * g) +
    0.00148 * Math.sin(3 * g)
  )
}

/** Sine of the sun's height at noon: what a square metre gets of it; never below 0. */
export const noonSine = (latitudeDeg: number, day: EpochDay): number =>
  Math.max(Math.cos(radians(latitudeDeg) - declinationOn(day)), 0)

/** Sun times after the low-accuracy series of Spencer 1971; good to about two minutes between 65° N and S. */
export function sunTimes(spot: Spot, day: EpochDay): SunTimes {
  const g = (2 * Math.PI * placeInYear(day).dayOfYear) / 365
  const equationMin =
    229.18 *
    (0.000075 +
      0.001868 * Math.cos(g) -
      0.032077 * Math.sin(g) -
      0.014615 * Math.cos(2 * g) -
      0.040849 * Math.sin(2 * g))
  const declination = declinationOn(day)
  const solarNoonLocalMin = 720 - 4 * spot.longitudeDeg - equationMin + spot.utcOffsetMinutes
  const latitude = radians(spot.latitudeDeg)
  const cosine =
    (Math.sin(radians(HORIZON_DEG)) - Math.sin(latitude) * Math.sin(declination)) /
    (Math.cos(latitude) * Math.cos(declination))
  if (Math.abs(cosine) > 1) return { sunriseLocalMin: null, solarNoonLocalMin, sunsetLocalMin: null }
  const halfDayMin = (4 * Math.acos(cosine) * 180) / Math.PI
  return {
    sunriseLocalMin: solarNoonLocalMin - halfDayMin,
    solarNoonLocalMin,
    sunsetLocalMin: solarNoonLocalMin + halfDayMin,
  }
}
