import { clamp, Z_80 } from '../../number/index.ts'
import { placeInYear } from '../calendar.ts'
import type { EpochDay } from '../calendar.ts'
import type { Estimate } from '../../uncertainty/index.ts'
import { curveC, curveSdOn } from './seasonalModel.ts'
import type { SeasonalModel } from './seasonalModel.ts'
import { aboveDayMeanC } from './dailySwing.ts'
import type { DailySwing } from './dailySwing.ts'
import type { DayReading } from './fitSeasonal.ts'

/** A day's mean, as one or a few readings of a plain thermometer at some hour have it: sd, °C. */
const READING_SD_C = 0.4

/**
 * Temperature of a day ahead: it starts from the latest reading's anomaly and relaxes to the season, the doubt growing
 * from that of a thermometer read at some hour to that of any day of any year.
 *
 * @param latest null where there is none: then the season alone speaks
 */
export function forecastC(model: SeasonalModel, latest: DayReading | null, day: EpochDay): Estimate {
  const usual = curveC(model, placeInYear(day).dayOfYear)
  const { noiseSdC, persistence, yearSdC } = model
  const curveSdC = curveSdOn(model, placeInYear(day).dayOfYear)
  const apart = latest ? Math.abs(day - latest.day) : Infinity
  const left = Number.isFinite(apart) ? persistence ** apart : 0
  const anomaly = latest ? latest.meanC - curveC(model, placeInYear(latest.day).dayOfYear) : 0
  const value = Math.max(usual + anomaly * left, 0)
  const seasonSd = Math.hypot(yearSdC, curveSdC) * (1 - left)
  const sd = Math.hypot(noiseSdC * Math.sqrt(1 - left ** 2), seasonSd, (latest?.sdC ?? READING_SD_C) * left)
  return {
    value,
    low: Math.max(value - Z_80 * sd, 0),
    high: value + Z_80 * sd,
    basis: [model.basis === 'kind' ? 'kindDefault' : 'entered'],
  }
}

/** How warm a reach is: its year, the latest day that was read, and how it swings within a day. */
export interface KnownWarmth {
  readonly model: SeasonalModel
  readonly latest: DayReading | null
  readonly swing: DailySwing
}

const FREEZES_C = 0
const WARMEST_C = 30

/** What a thermometer just below the surface would show at a minute of a day, °C in tenths, 0 to 30. */
export function waterAtC({ model, latest, swing }: KnownWarmth, day: EpochDay, localMin: number): number {
  const tempC = forecastC(model, latest, day).value + aboveDayMeanC(swing, day, localMin)
  return Math.round(clamp(tempC, FREEZES_C, WARMEST_C) * 10) / 10
}

/** Change over the last days of a row of readings, °C a day, by least squares; null where there are too few. */
export function trendCPerDay(readings: readonly DayReading[], until: EpochDay, days = 7): number | null {
  const recent = readings.filter(({ day }) => day > until - days && day <= until)
  if (recent.length < Math.ceil(days / 2)) return null
  const mean = (of: (reading: DayReading) => number) =>
    recent.reduce((sum, reading) => sum + of(reading), 0) / recent.length
  const [x, y] = [mean(({ day }) => day), mean(({ meanC }) => meanC)]
  const spread = recent.reduce((sum, { day }) => sum + (day - x) ** 2, 0)
  return recent.reduce((sum, { day, meanC }) => sum + (day - x) * (meanC - y), 0) / spread
}
