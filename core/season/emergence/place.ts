import { HALF_YEAR_DAYS } from '../calendar.ts'
import { clamp } from '../../number/index.ts'
import { sunTimes } from '../sun.ts'
import { amplitudeC, curveRow, usualModel, yearBetween } from '../warmth/index.ts'
import type { SeasonalModel } from '../warmth/index.ts'
import { AS_USUAL, onsetDay } from './onset.ts'
import type { Year } from './onset.ts'
import { dayOfMonthDay } from './trigger.ts'
import type { DatedTrigger } from './trigger.ts'

/** A reach as its years are drawn. */
export interface SeasonReach {
  readonly key: string
  readonly model: SeasonalModel
  readonly latitudeDeg: number
  readonly elevationM: number
  /** usual day on which its ice has gone, MM-DD; null where it does not freeze, or nobody noted it */
  readonly iceOffOn: string | null
}

/** A year reaches so far into the next one: fry of a winter's eggs swim up in July. */
export const ROW_DAYS = 600
/** Where the dates of the larder were written for, degrees north. */
const HOME_DEG = 54
/** A year that swings less than the first, °C, gives no sign of the season; more than the second, all of it. */
const STEADY_C = [2, 4] as const
/** Water that is colder than this at its coldest freezes over, °C. */
const FREEZES_C = 1
/** Ice has gone, where nobody noted the day, once the water is this warm, °C. */
const ICE_GONE_C = 4.2
const NOON = { longitudeDeg: 0, utcOffsetMinutes: 0 }
/** An epoch day that is 1 January of a common year. */
const SOME_NEW_YEAR = 19_358
/** A population has come half the way from what is usual of its kind to what its own water gives at the usual date. */
const AT_HOME_SHARE = 0.5
/** Further than this no strain has moved, °C, and no sum by more than this share. */
const FARTHEST = { strainC: 3, sumShare: 0.6 }

/** Days by which the year of a place is turned against that of the north. */
export const turnOf = (latitudeDeg: number): number => (latitudeDeg < 0 ? HALF_YEAR_DAYS : 0)

/**
 * Warmest of the day's air through the year: 20 °C on average at 40° and half a degree less for each degree polewards,
 * 6.5 less for each 1,000 m up (ICAO standard lapse), swinging by 8 about the end of July. By judgement from climate
 * normals; good to two degrees.
 */
function airModelAt(latitudeDeg: number, elevationM: number, water: SeasonalModel): SeasonalModel {
  const meanC = 20 - 0.5 * (Math.abs(latitudeDeg) - 40) - 0.0065 * elevationM
  const peak = (2 * Math.PI * 205) / 365.25
  const swingC = 8
  return {
    ...water,
    meanC,
    cos1C: swingC * Math.cos(peak),
    sin1C: swingC * Math.sin(peak),
    cos2C: 0,
    sin2C: 0,
    noiseSdC: 3,
    persistence: 0.7,
  }
}

/** Hours from sunrise to sunset, day by day; a day without either counts as whole or as none. */
function daylightAt(latitudeDeg: number, days: number): Float32Array {
  return Float32Array.from({ length: days }, (_, day) => {
    const { sunriseLocalMin, sunsetLocalMin } = sunTimes(
      { latitudeDeg: Math.abs(latitudeDeg), ...NOON },
      SOME_NEW_YEAR + (day % 365),
    )
    if (sunriseLocalMin !== null && sunsetLocalMin !== null) return (sunsetLocalMin - sunriseLocalMin) / 60
    return day % 365 > 80 && day % 365 < 265 ? 24 : 0
  })
}

/** What the years of a reach share: usual water and air day by day, and a year to be filled. */
export interface Scene {
  readonly reach: SeasonReach
  readonly water: Float32Array
  readonly air: Float32Array
  readonly airModel: SeasonalModel
  readonly year: Year
}

/** The scene of a reach; in the south its days are turned by half a year. */
export function sceneOf(reach: SeasonReach): Scene {
  const { model, latitudeDeg, elevationM, iceOffOn } = reach
  const water = curveRow(model, ROW_DAYS, turnOf(latitudeDeg))
  const airModel = airModelAt(latitudeDeg, elevationM, model)
  const air = curveRow(airModel, ROW_DAYS)
  const [least, most] = STEADY_C
  const year: Year = {
    waterC: Float32Array.from(water),
    airC: Float32Array.from(air),
    daylightH: daylightAt(latitudeDeg, ROW_DAYS),
    freezes: iceOffOn !== null || Math.min(...water) < FREEZES_C,
    // the warmth that the water usually has on the day when its ice is noted to have gone
    iceGoneC: iceOffOn === null ? ICE_GONE_C : (water[dayOfMonthDay(iceOffOn)] ?? ICE_GONE_C),
    signShare: clamp((amplitudeC(model) - least) / (most - least), 0, 1),
    warmestC: Math.max(...water),
  }
  return { reach, water, air, airModel, year }
}

/** The valley that the larder's dates were written in. */
const HOME: Scene = sceneOf({
  key: 'home',
  model: usualModel(yearBetween(3.2, 15.8, false)),
  latitudeDeg: HOME_DEG,
  elevationM: 120,
  iceOffOn: null,
})

const usualDates = new WeakMap<DatedTrigger, number | null>()

/** The day on which a trigger usually starts where the larder was written; null where that valley never brings it. */
export function usualStart(trigger: DatedTrigger): number | null {
  const known = usualDates.get(trigger)
  if (known !== undefined) return known
  const start = trigger.steadyStartOn
    ? dayOfMonthDay(trigger.steadyStartOn) + (trigger.lagDays ?? 0)
    : onsetDay(trigger, HOME.year, AS_USUAL)
  usualDates.set(trigger, start)
  return start
}

const monthDayAt = (dayOfYear: number): string => {
  const date = new Date(Date.UTC(2023, 0, 1 + Math.round(clamp(dayOfYear, 0, 364))))
  return date.toISOString().slice(5, 10)
}

/** Days by which dates come sooner nearer the equator than home. */
const soonerDays = (latitudeDeg: number) => clamp(2 * (HOME_DEG - Math.abs(latitudeDeg)), 0, 30)

const movedDate = (monthDay: string, byDays: number) => monthDayAt(dayOfMonthDay(monthDay) + byDays)

/** Hours of light that are the same share, between the shortest and the longest day, of another latitude's year. */
function hoursAt(hours: number, daylightH: Float32Array): number {
  const range = (row: Float32Array) => [Math.min(...row), Math.max(...row)] as const
  const [shortest, longest] = range(HOME.year.daylightH)
  const [from, to] = range(daylightH)
  return from + ((hours - shortest) / (longest - shortest)) * (to - from)
}

/** Later dates of what waits for the shortening day: two days for each degree nearer the equator, one earlier polewards. */
const laterWithAutumn = (latitudeDeg: number) => {
  const nearer = HOME_DEG - Math.abs(latitudeDeg)
  return nearer >= 0 ? 2 * nearer : nearer
}

/**
 * A trigger as the population of a reach has it: dates by latitude, light as a share of the local year, and its
 * threshold half way to what the reach's own year gives at the usual date.
 */
export function triggerAt(trigger: DatedTrigger, { reach, water, air, year }: Scene): DatedTrigger {
  const { latitudeDeg } = reach
  const sooner = soonerDays(latitudeDeg)
  const polewards = Math.max(Math.abs(latitudeDeg) - HOME_DEG, 0)
  const dates = {
    ...(trigger.steadyStartOn ? { steadyStartOn: movedDate(trigger.steadyStartOn, -sooner) } : {}),
    ...(trigger.latest ? { latest: movedDate(trigger.latest, polewards - sooner) } : {}),
  }
  const usual = usualStart(trigger)
  const usualHere = usual === null ? null : Math.max(Math.round(usual - sooner - (trigger.lagDays ?? 0)), 0)
  const strain = (row: Float32Array, thresholdC: number) =>
    usualHere === null
      ? 0
      : clamp(
          AT_HOME_SHARE * ((row[usualHere] ?? thresholdC) - thresholdC),
          -FARTHEST.strainC,
          FARTHEST.strainC,
        )
  switch (trigger.kind) {
    case 'waterTemp': {
      const notBefore = movedDate(trigger.notBefore, -sooner)
      return {
        ...trigger,
        ...dates,
        notBefore,
        thresholdC: trigger.thresholdC + strain(water, trigger.thresholdC),
      }
    }
    case 'airTemp': {
      const moved = strain(air, trigger.thresholdC)
      const notBefore = movedDate(trigger.notBefore, -sooner)
      return {
        ...trigger,
        ...dates,
        notBefore,
        thresholdC: trigger.thresholdC + moved,
        lowC: trigger.lowC + moved,
      }
    }
    case 'degreeDays': {
      if (usualHere === null) return { ...trigger, ...dates }
      const from = dayOfMonthDay(trigger.startOn)
      let sum = 0
      for (let day = from; day <= (usualHere < from ? usualHere + 365 : usualHere); day += 1)
        sum += Math.max((water[day] ?? 0) - trigger.baseC, 0)
      const share = clamp((AT_HOME_SHARE * (sum - trigger.degreeDays)) / trigger.degreeDays, -FARTHEST.sumShare, FARTHEST.sumShare) // prettier-ignore
      return { ...trigger, ...dates, degreeDays: trigger.degreeDays * (1 + share) }
    }
    case 'dayLength': {
      const hours = hoursAt(trigger.hours, year.daylightH)
      const later = trigger.direction === 'falling' ? laterWithAutumn(latitudeDeg) : 0
      return { ...trigger, ...dates, hours, lagDays: (trigger.lagDays ?? 0) + later }
    }
    case 'iceOff':
      return { ...trigger, ...dates }
  }
}
