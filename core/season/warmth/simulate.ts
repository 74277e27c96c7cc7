import { curveC } from './seasonalModel.ts'
import type { SeasonalModel } from './seasonalModel.ts'

/** The curve of a model on each day from 1 January, for as long as the row is. */
export function curveRow(model: SeasonalModel, days: number, turnedBy = 0): Float32Array {
  return Float32Array.from({ length: days }, (_, day) => curveC(model, (day + turnedBy) % 365.25))
}

/**
 * One made-up year about a curve, written into a row: an anomaly of the whole year, and days that follow one another.
 *
 * @param normal gives standard normal deviates
 */
export function simulateYear(
  model: SeasonalModel,
  curve: Float32Array,
  normal: () => number,
  into: Float32Array,
): void {
  const { noiseSdC, persistence, yearSdC } = model
  const year = yearSdC * normal()
  const fresh = noiseSdC * Math.sqrt(1 - persistence ** 2)
  let anomaly = noiseSdC * normal()
  for (let day = 0; day < into.length; day += 1) {
    into[day] = Math.max((curve[day] ?? 0) + year + anomaly, 0)
    anomaly = persistence * anomaly + fresh * normal()
  }
}
