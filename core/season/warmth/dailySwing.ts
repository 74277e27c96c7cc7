import { clamp } from '../../number/index.ts'
import type { EpochDay } from '../calendar.ts'
import { isStillwater } from '../foodStage.ts'
import type { WaterKind } from '../foodStage.ts'
import { noonSine } from '../sun.ts'
import type { DayReading } from './fitSeasonal.ts'

/** Where a thermometer hangs, as its daily swing depends on it. */
export interface SwingPlace {
  readonly waterKind: WaterKind
  readonly latitudeDeg: number
  /** below the surface */
  readonly depthMm: number
}

/** How far water swings about the mean of its day, at one place and depth. */
export interface DailySwing {
  readonly latitudeDeg: number
  /** half of what lies between the coldest and the warmest of a day at midsummer, °C */
  readonly midsummerC: number
  /** doubt of it as a share of it, sd */
  readonly doubt: number
}

/** Readings of a day, summed up with where in the day they were taken. */
export interface DaySum {
  readonly day: EpochDay
  readonly count: number
  /** mean of what was read, °C */
  readonly meanC: number
  /** means over the readings of {@link swingShape}, of its square, and of it times what was read */
  readonly shape: number
  readonly shapeSq: number
  readonly shapeTempC: number
}

/** Water is warmest at this minute of the clock: some four hours after the sun stands highest. */
export const WARMEST_MIN = 17 * 60
const DAY_MIN = 1440

/**
 * Half the daily range at midsummer just below the surface, °C, by judgement; small streams under trees and springs
 * swing less than open rivers, what comes out of a dam least (order after Caissie 2006, Freshwater Biology 51).
 */
const USUAL_C: Readonly<Record<WaterKind, number>> = {
  freestone: 1.4, springFed: 1.2, tailwater: 0.6, smallStream: 1.1, lowlandStillwater: 0.9, uplandTarn: 0.8, reservoir: 0.6,
} // prettier-ignore
/** A water may swing so much more or less than is usual of its kind, and a day than its season, sd as a share. */
const DOUBT = { kind: 0.4, day: 0.5 }

/** In water that stands the swing falls to 1/e over this depth, mm. */
const FADES_MM = 1200
/** Readings that cover less of a day's swing than this say nothing of it; a full day of them has 0.5. */
const LEAST_SPREAD = 0.1
const FULL_SPREAD = 0.5
const MOST_TIMES_USUAL = 3
/** A plain thermometer, sd, °C. */
const THERMOMETER_SD_C = 0.2

/** Whether days that were read through have a say in it, or only its kind of water. */
export const isReadThrough = ({ doubt }: DailySwing): boolean => doubt < DOUBT.kind

/** Where in its daily swing water is at a minute of the clock: 1 at its warmest, −1 at its coldest. */
export const swingShape = (localMin: number): number =>
  Math.cos((2 * Math.PI * (localMin - WARMEST_MIN)) / DAY_MIN)

const DAYS_OF_YEAR = 365
const highestNoon = (latitudeDeg: number): number =>
  Math.max(noonSine(latitudeDeg, 171), noonSine(latitudeDeg, 171 + Math.round(DAYS_OF_YEAR / 2)))

/** Half the range of a day, °C: as the sun stands at noon. */
export const swingOnC = ({ latitudeDeg, midsummerC }: DailySwing, day: EpochDay): number =>
  (midsummerC * noonSine(latitudeDeg, day)) / highestNoon(latitudeDeg)

/** How much warmer than the mean of its day water is at a minute, °C. */
export const aboveDayMeanC = (swing: DailySwing, day: EpochDay, localMin: number): number =>
  swingOnC(swing, day) * swingShape(localMin)

/** What is usual of a place that nobody has read by hours. */
export function usualSwing({ waterKind, latitudeDeg, depthMm }: SwingPlace): DailySwing {
  const faded = isStillwater(waterKind) ? Math.exp(-depthMm / FADES_MM) : 1
  return { latitudeDeg, midsummerC: USUAL_C[waterKind] * faded, doubt: DOUBT.kind }
}

/** The swing of a place from the days with readings through their hours; days with one reading say nothing of it. */
export function fitSwing(usual: DailySwing, days: readonly DaySum[]): DailySwing {
  let precision = 1 / usual.doubt ** 2
  let weighted = precision
  for (const { day, meanC, shape, shapeSq, shapeTempC } of days) {
    const spread = shapeSq - shape ** 2
    const usualC = swingOnC(usual, day)
    if (spread < LEAST_SPREAD || usualC <= 0) continue
    const times = (shapeTempC - shape * meanC) / (spread * usualC)
    const sd = Math.hypot(DOUBT.day, THERMOMETER_SD_C / usualC) / Math.sqrt(Math.min(spread / FULL_SPREAD, 1))
    precision += 1 / sd ** 2
    weighted += times / sd ** 2
  }
  const times = clamp(weighted / precision, 0, MOST_TIMES_USUAL)
  return {
    ...usual,
    midsummerC: usual.midsummerC * times,
    doubt: times > 0 ? 1 / Math.sqrt(precision) / times : usual.doubt,
  }
}

/** The mean of a day from readings at some hours of it, with its doubt. */
export function dayMeanOf(swing: DailySwing, { day, meanC, shape }: DaySum): DayReading {
  const aboveC = swingOnC(swing, day) * shape
  const hourSdC = Math.abs(aboveC) * swing.doubt
  return {
    day,
    meanC: Math.max(meanC - aboveC, 0),
    sdC: Math.hypot(THERMOMETER_SD_C, hourSdC, aboveC * DOUBT.day),
    hourSdC,
  }
}
