import { dayOfMonthDay } from './trigger.ts'
import type { DatedTrigger } from './trigger.ts'
import { clamp } from '../../number/index.ts'

/** A year as a stage meets it; days from 1 January, or in the south from 1 July. */
export interface Year {
  /** daily mean of the water, °C; reaches into the next year */
  readonly waterC: Float32Array
  /** warmest of the day's air, °C */
  readonly airC: Float32Array
  /** hours from sunrise to sunset */
  readonly daylightH: Float32Array
  /** whether the water freezes over in an ordinary winter */
  readonly freezes: boolean
  /** how warm the water is when its ice has gone, °C; looked for from 1 February */
  readonly iceGoneC: number
  /** how far warmth gives a sign: 0 where the year hardly swings and the usual date counts alone, to 1 */
  readonly signShare: number
  /** its warmest in a usual summer, °C */
  readonly warmestC: number
}

/** How one year, or one water, differs from what is usual of a trigger. */
export interface Deviation {
  /** of the threshold, °C */
  readonly thresholdC: number
  /** of the start, days */
  readonly days: number
}

export const AS_USUAL: Deviation = { thresholdC: 0, days: 0 }

/** A threshold is looked for this long after it may first be met, days. */
const SEARCHED_DAYS = 240
const FIRST_OF_FEBRUARY = 31

/** First day from one on at which a row has risen to, or fallen to, a limit. */
function firstDay(from: number, values: Float32Array, limit: number, rising: boolean): number | null {
  const end = Math.min(from + SEARCHED_DAYS, values.length)
  // rows are searched some hundred thousand times: signs turned once are cheaper than a question for each day
  const sign = rising ? 1 : -1
  const least = sign * limit
  for (let day = from; day < end; day += 1) if (sign * (values[day] ?? 0) >= least) return day
  return null
}

/** First day on which the warmth above a base, summed from a day on, is enough. */
function summedDay(from: number, baseC: number, wanted: number, values: Float32Array): number | null {
  let sum = 0
  const end = Math.min(from + SEARCHED_DAYS, values.length)
  for (let day = from; day < end; day += 1) {
    const above = (values[day] ?? 0) - baseC
    if (above > 0) sum += above
    if (sum >= wanted) return day
  }
  return null
}

function startOf(trigger: DatedTrigger, year: Year, offC: number): number | null {
  switch (trigger.kind) {
    case 'waterTemp':
      return firstDay(
        dayOfMonthDay(trigger.notBefore),
        year.waterC,
        trigger.thresholdC + offC,
        trigger.direction === 'rising',
      )
    case 'degreeDays':
      return summedDay(dayOfMonthDay(trigger.startOn), trigger.baseC + offC, trigger.degreeDays, year.waterC)
    case 'dayLength':
      return firstDay(
        dayOfMonthDay(trigger.notBefore),
        year.daylightH,
        trigger.hours,
        trigger.direction === 'rising',
      )
    case 'airTemp':
      return firstDay(dayOfMonthDay(trigger.notBefore), year.airC, trigger.thresholdC + offC, true)
    case 'iceOff': {
      const limit = (year.freezes ? year.iceGoneC : trigger.withoutIceC) + offC
      const day = firstDay(FIRST_OF_FEBRUARY, year.waterC, limit, true)
      if (day === null) return null
      return Math.max(day + trigger.offsetDays, trigger.notBefore ? dayOfMonthDay(trigger.notBefore) : 0)
    }
  }
}

/** A water whose warmest is this near to a threshold has a stage by its latest date, °C. */
const NEAR_C = 3
/** And one by whose latest date this share of a sum is there. */
const NEAR_SUM = 0.5

/** Whether a water comes near enough to what a trigger waits for to have the stage by its latest date. */
function comesNear(trigger: DatedTrigger, year: Year, latest: number): boolean {
  if (trigger.kind === 'waterTemp')
    return trigger.direction === 'falling' || year.warmestC >= trigger.thresholdC - NEAR_C
  if (trigger.kind !== 'degreeDays') return false
  const half = summedDay(
    dayOfMonthDay(trigger.startOn),
    trigger.baseC,
    NEAR_SUM * trigger.degreeDays,
    year.waterC,
  )
  return half !== null && half <= latest
}

/** What warmth, light or ice say, at the latest on the day by which it starts anyhow. */
function bySign(trigger: DatedTrigger, year: Year, thresholdC: number): number | null {
  const start = startOf(trigger, year, thresholdC)
  if (!trigger.latest) return start
  const latest = dayOfMonthDay(trigger.latest)
  if (start !== null && start <= latest) return start
  return comesNear(trigger, year, latest) ? latest : start
}

/**
 * The day on which a stage starts in a year, or null where the year never brings what it waits for. The less a year
 * swings, the more the date counts that is usual there.
 */
export function onsetDay(trigger: DatedTrigger, year: Year, { thresholdC, days }: Deviation): number | null {
  const usual = trigger.steadyStartOn ? dayOfMonthDay(trigger.steadyStartOn) : null
  const share = usual === null ? 1 : year.signShare
  const sign = share > 0 ? bySign(trigger, year, thresholdC) : null
  const start =
    usual === null || share === 1 ? sign : sign === null ? usual : share * sign + (1 - share) * usual
  return start === null ? null : Math.max(start + (trigger.lagDays ?? 0) + days, 0)
}

/** A spell colder than the season stretches an emergence, a warm one shortens it: by this share for each °C. */
const STRETCH_PER_C = 0.08
const STRETCH = { least: 0.6, most: 1.7 }

/** Sums of how far each day was from what is usual, °C days: the first entry is nought. */
export function anomalySums(year: Year, usualC: Float32Array, into: Float64Array): void {
  let sum = 0
  for (let day = 0; day < usualC.length; day += 1) {
    into[day] = sum
    sum += (year.waterC[day] ?? 0) - (usualC[day] ?? 0)
  }
  into[usualC.length] = sum
}

/** Days until the highest air of the day no longer reaches a limit for the last time, at most so many. */
function untilCold(airC: Float32Array, start: number, most: number, lowC: number): number {
  const from = Math.round(start)
  for (let day = Math.min(from + Math.round(most), airC.length - 1); day > from; day -= 1)
    if ((airC[day] ?? 0) >= lowC) return day - from
  return 1
}

/** How long a stage lasts from its start, days: stretched by a cold spell, shortened by a warm one; cold ends land insects. */
export function durationFrom(trigger: DatedTrigger, year: Year, sums: Float64Array, start: number): number {
  if (trigger.kind === 'airTemp') return untilCold(year.airC, start, trigger.durationDays, trigger.lowC)
  const from = Math.min(Math.round(start), sums.length - 2)
  const to = Math.min(from + Math.max(Math.round(trigger.durationDays), 1), sums.length - 1)
  const anomaly = ((sums[to] ?? 0) - (sums[from] ?? 0)) / (to - from)
  const stretch = Math.exp(-STRETCH_PER_C * anomaly)
  return trigger.durationDays * clamp(stretch, STRETCH.least, STRETCH.most)
}
