import { curveSdOn } from '../warmth/index.ts'
import { ROW_DAYS, turnOf } from './place.ts'
import type { Scene } from './place.ts'

/** A gap between readings that a straight line bridges, days. */
const BRIDGED_DAYS = 20

/** A year as far as it was read: anomalies from the curve, and how far the whole year lies from it. */
export interface ReadYear {
  /** °C above the usual of the day; NaN where nothing was read */
  readonly anomalyC: Float32Array
  /** how far this year as a whole lies from its curve: mean, and sd day by day, °C */
  readonly levelC: number
  readonly levelSdC: Float32Array
  /** what all its readings may be off together, sd, °C */
  readonly sharedSdC: number
  readonly readDays: number
}

/** A year of which nothing was read. */
function unread({ reach }: Scene): ReadYear {
  const { model, latitudeDeg } = reach
  const sdOn = (day: number) => Math.hypot(curveSdOn(model, day + turnOf(latitudeDeg)), model.yearSdC)
  return {
    anomalyC: new Float32Array(ROW_DAYS).fill(NaN),
    levelC: 0,
    levelSdC: Float32Array.from({ length: ROW_DAYS }, (_, day) => sdOn(day)),
    sharedSdC: 0,
    readDays: 0,
  }
}

/**
 * A year as its readings have it.
 *
 * @param readingC of a day from the first of the scene's year on; null where there is none
 * @param sharedSdC what all readings may be off together, sd, °C
 */
export function readYear(scene: Scene, readingC: (day: number) => number | null, sharedSdC = 0): ReadYear {
  const { model } = scene.reach
  const year = unread(scene)
  const { anomalyC } = year
  let [last, sum, count, variance] = [-1, 0, 0, 0]
  for (let day = 0; day < ROW_DAYS; day += 1) {
    const read = readingC(day)
    if (read === null) continue
    const anomaly = read - (scene.water[day] ?? 0)
    anomalyC[day] = anomaly
    sum += anomaly
    count += 1
    variance += (year.levelSdC[day] ?? 0) ** 2
    if (last >= 0 && day - last <= BRIDGED_DAYS) {
      const from = anomalyC[last] as number
      for (let gap = last + 1; gap < day; gap += 1)
        anomalyC[gap] = from + ((anomaly - from) * (gap - last)) / (day - last)
    }
    last = day
  }
  if (count === 0) return year
  // days that follow one another tell less of the year than days apart
  const { noiseSdC, persistence } = model
  const meanVar = (noiseSdC ** 2 * (1 + persistence)) / (1 - persistence) / count
  const levelVar = variance / count
  const share = levelVar / (levelVar + meanVar)
  return {
    anomalyC,
    levelC: (share * sum) / count,
    // what was read takes its part of the doubt; of months that are less sure the rest is left
    levelSdC: year.levelSdC.map((sd) => Math.sqrt(Math.max(sd ** 2 - share * Math.min(sd ** 2, levelVar), 0))),
    sharedSdC,
    readDays: count,
  }
}

/**
 * One way a year may be: as it was read, and from the latest reading on with the persistence of the reach's weather;
 * written into the scene's year. Air is drawn apart.
 *
 * @param normal gives standard normal deviates
 */
export function drawYear(
  scene: Scene,
  { anomalyC, levelC, levelSdC, sharedSdC }: ReadYear,
  normal: () => number,
): void {
  const { water, air, airModel, year, reach } = scene
  const { noiseSdC, persistence } = reach.model
  const luck = normal()
  const allOffC = sharedSdC > 0 ? sharedSdC * normal() : 0
  const levelOn = (day: number) => levelC + luck * (levelSdC[day] ?? 0)
  const fresh = noiseSdC * Math.sqrt(1 - persistence ** 2)
  const first = anomalyC.findIndex((value) => !Number.isNaN(value))
  // what came before the first reading runs backwards from it
  let off = first < 0 ? 0 : (anomalyC[first] ?? 0) + allOffC - levelOn(first)
  for (let day = first - 1; day >= 0; day -= 1) {
    off = persistence * off + fresh * normal()
    year.waterC[day] = Math.max((water[day] ?? 0) + levelOn(day) + off, 0)
  }
  if (first < 0) off = noiseSdC * normal()
  for (let day = Math.max(first, 0); day < ROW_DAYS; day += 1) {
    const read = anomalyC[day] as number
    off = Number.isNaN(read) ? persistence * off + fresh * normal() : read + allOffC - levelOn(day)
    year.waterC[day] = Math.max((water[day] ?? 0) + levelOn(day) + off, 0)
  }
  const airFresh = airModel.noiseSdC * Math.sqrt(1 - airModel.persistence ** 2)
  let airOff = airModel.noiseSdC * normal()
  const airLevel = airModel.yearSdC * normal()
  for (let day = 0; day < ROW_DAYS; day += 1) {
    year.airC[day] = (air[day] ?? 0) + airLevel + airOff
    airOff = airModel.persistence * airOff + airFresh * normal()
  }
}
