import { normalsFrom, randomFrom } from '../../uncertainty/index.ts'
import { sunTimes } from '../sun.ts'
import { amplitudeC, curveC, curveRow, simulateYear } from '../warmth/index.ts'
import type { SeasonalModel } from '../warmth/index.ts'
import { anomalySums, AS_USUAL, durationFrom, onsetDay } from './onset.ts'
import type { Deviation, Year } from './onset.ts'
import { dayOfMonthDay } from './trigger.ts'
import type { DatedTrigger } from './trigger.ts'
import { quantilesOf } from './window.ts'
import type { EmergenceWindow } from './window.ts'
import { Z_80 } from '../../number/index.ts'
import { HALF_YEAR_DAYS } from '../calendar.ts'

/** A reach to be simulated. */
export interface SimulatedReach {
  readonly key: string
  readonly model: SeasonalModel
  readonly latitudeDeg: number
  readonly elevationM: number
  /** usual day on which its ice has gone, MM-DD; null where it does not freeze, or nobody noted it */
  readonly iceOffOn?: string | null
}

/** A brood of a stage, with what starts it. */
export interface DatedBrood {
  readonly stageKey: string
  readonly brood: number
  readonly trigger: DatedTrigger
}

/** A Monte Carlo of some reaches. */
export interface SeasonInput {
  readonly reaches: readonly SimulatedReach[]
  readonly broods: readonly DatedBrood[]
  readonly years: number
  readonly seed: number
}

/** Windows of one reach. */
export interface ReachWindows {
  readonly reachKey: string
  readonly windows: readonly EmergenceWindow[]
}

export interface SeasonProgress {
  /** 0 to 1 */
  readonly done: number
  /** reaches that are through */
  readonly soFar: readonly ReachWindows[]
}

/** A year reaches so far into the next one: a winter brood begins in November. */
const ROW_DAYS = 500
/** A spring-fed year swings less than this, °C, and gives no sign. */
const STEADY_C = 3
/** Water that is colder than this at its coldest freezes over, °C. */
const FREEZES_C = 1
/** Years between two reports of progress. */
const YEARS_AT_ONCE = 4
/** Half a year: by so much the south's seasons are turned. */
/** Warmest of the day's air in a temperate valley at sea level: mean, amplitude, day of its peak, and its weather. */
const AIR = { meanC: 14.2, amplitudeC: 7.2, peakDay: 205, lapseCPerM: -0.0065, noiseSdC: 3, persistence: 0.7 }
const NOON = { longitudeDeg: 0, utcOffsetMinutes: 0 }
/** An epoch day that is 1 January of a common year. */
const SOME_NEW_YEAR = 19_358

/** Ice has gone, where nobody noted the day, once the water is this warm, °C. */
const ICE_GONE_C = 4.2

/** What a reach's simulated years share. */
function sceneOf({ model, latitudeDeg, elevationM, iceOffOn = null }: SimulatedReach) {
  const turnedBy = latitudeDeg < 0 ? HALF_YEAR_DAYS : 0
  const water = curveRow(model, ROW_DAYS, turnedBy)
  const airModel: SeasonalModel = {
    ...model,
    meanC: AIR.meanC + AIR.lapseCPerM * elevationM,
    cos1C: AIR.amplitudeC * Math.cos((2 * Math.PI * AIR.peakDay) / 365.25),
    sin1C: AIR.amplitudeC * Math.sin((2 * Math.PI * AIR.peakDay) / 365.25),
    cos2C: 0,
    sin2C: 0,
    noiseSdC: AIR.noiseSdC,
    persistence: AIR.persistence,
  }
  const daylightH = Float32Array.from({ length: ROW_DAYS }, (_, day) => {
    const { sunriseLocalMin, sunsetLocalMin } = sunTimes(
      { latitudeDeg: Math.abs(latitudeDeg), ...NOON },
      SOME_NEW_YEAR + (day % 365),
    )
    return sunriseLocalMin === null || sunsetLocalMin === null ? 12 : (sunsetLocalMin - sunriseLocalMin) / 60
  })
  const coldest = Math.min(...water)
  const year: Year = {
    waterC: new Float32Array(ROW_DAYS),
    airC: new Float32Array(ROW_DAYS),
    daylightH,
    freezes: iceOffOn !== null || coldest < FREEZES_C,
    // the warmth that the water usually has on the day when its ice is noted to have gone
    iceGoneC: iceOffOn === null ? ICE_GONE_C : (water[dayOfMonthDay(iceOffOn)] ?? ICE_GONE_C),
    steady: amplitudeC(model) < STEADY_C,
  }
  return { water, air: curveRow(airModel, ROW_DAYS), airModel, year }
}

/** Doubt of a trigger's threshold on a water nobody has watched, sd in °C. */
function thresholdSdC(trigger: DatedTrigger): number {
  return trigger.kind === 'waterTemp' || trigger.kind === 'airTemp'
    ? (trigger.highC - trigger.lowC) / 2 / Z_80
    : 0.5
}

/** How one water may differ from what is usual: its threshold, its start, and the curve that was fitted. */
const drawn = (trigger: DatedTrigger, curveSdC: number, normal: () => number): Deviation => ({
  thresholdC: thresholdSdC(trigger) * normal() + curveSdC * normal(),
  days: (trigger.spreadDays / Z_80) * normal(),
})

const sdOf = (days: readonly number[]) => {
  const mean = days.reduce((sum, day) => sum + day, 0) / Math.max(days.length, 1)
  return Math.sqrt(days.reduce((sum, day) => sum + (day - mean) ** 2, 0) / Math.max(days.length - 1, 1))
}

interface Tally {
  readonly onsets: number[]
  /** with the threshold as usual: only the weather differs */
  readonly ofWeather: number[]
  durationSum: number
}

function windowOf({ stageKey, brood }: DatedBrood, tally: Tally, years: number): EmergenceWindow | null {
  const { onsets, ofWeather, durationSum } = tally
  if (onsets.length === 0) return null
  const [total, weather] = [sdOf(onsets), sdOf(ofWeather)]
  return {
    stageKey,
    brood,
    onset: quantilesOf(onsets),
    weatherSdDays: weather,
    doubtSdDays: Math.sqrt(Math.max(total ** 2 - weather ** 2, 0)),
    durationDays: durationSum / onsets.length,
    noneShare: 1 - onsets.length / years,
  }
}

/**
 * When each brood is about on each reach: years are made up from the reach's own warmth, and in each the start of each
 * brood is looked for. All broods of a reach share its years. A generator that yields its progress.
 */
export function* emergenceWindows(input: SeasonInput): Generator<SeasonProgress, readonly ReachWindows[]> {
  const { reaches, broods, years } = input
  const through: ReachWindows[] = []
  for (const [r, reach] of reaches.entries()) {
    const normal = normalsFrom(randomFrom(input.seed + 7919 * r))
    const scene = sceneOf(reach)
    const { year } = scene
    const sums = new Float64Array(ROW_DAYS + 1)
    // daylight is the same every year
    const fixed = broods.map(({ trigger }) =>
      trigger.kind === 'dayLength' ? onsetDay(trigger, year, AS_USUAL) : null,
    )
    const tallies = broods.map((): Tally => ({ onsets: [], ofWeather: [], durationSum: 0 }))
    for (let n = 0; n < years; n += 1) {
      simulateYear(reach.model, scene.water, normal, year.waterC)
      simulateYear(scene.airModel, scene.air, normal, year.airC)
      anomalySums(year, scene.water, sums)
      broods.forEach(({ trigger }, i) => {
        const tally = tallies[i]
        const deviation = drawn(trigger, reach.model.curveSdC, normal)
        const usual = fixed[i] ?? onsetDay(trigger, year, AS_USUAL)
        const onset =
          trigger.kind === 'dayLength' ? usual && usual + deviation.days : onsetDay(trigger, year, deviation)
        if (!tally) return
        if (usual !== null) tally.ofWeather.push(usual)
        if (onset === null) return
        tally.onsets.push(onset)
        tally.durationSum += durationFrom(trigger, sums, onset)
      })
      if (n % YEARS_AT_ONCE === YEARS_AT_ONCE - 1) {
        yield { done: (r + (n + 1) / years) / reaches.length, soFar: through }
      }
    }
    through.push({
      reachKey: reach.key,
      windows: broods.flatMap((brood, i) => windowOf(brood, tallies[i] as Tally, years) ?? []),
    })
  }
  return through
}

/** A year as it was: readings where there are some, the curve where there are none; null with less than a spring of them. */
export function yearAsItWas(
  reach: SimulatedReach,
  readingC: (dayOfYear: number) => number | null,
  leastDays: number,
): Year | null {
  const scene = sceneOf(reach)
  let days = 0
  for (let day = 0; day < ROW_DAYS; day += 1) {
    const read = readingC(day)
    if (read !== null) days += 1
    scene.year.waterC[day] = read ?? scene.water[day] ?? curveC(reach.model, day)
    scene.year.airC[day] = scene.air[day] ?? 0
  }
  return days >= leastDays ? scene.year : null
}
