import { placeInYear, yearOf } from '../calendar.ts'
import type { EpochDay } from '../calendar.ts'
import { curveC, harmonicsOn, KIND_SD_C, MONTH_MIDDLES } from './seasonalModel.ts'
import type { SeasonalModel } from './seasonalModel.ts'
import { mean, clamp } from '../../number/index.ts'

/** Mean of a day, °C, as its readings have it. */
export interface DayReading {
  readonly day: EpochDay
  readonly meanC: number
  /** its doubt, sd; where nobody says, that of a plain thermometer held in at some hour */
  readonly sdC?: number
  /** the part of that doubt which it shares with all days that are read at the same hours, sd */
  readonly hourSdC?: number
}

/** What all readings of a thermometer share of their doubt, °C: hours unlike the day. */
export const sharedSdC = (days: readonly DayReading[]): number =>
  days.length === 0 ? 0 : mean(days.map(({ hourSdC }) => hourSdC ?? 0))

/** How far a reach may lie from what was expected of it, sd in °C: mean, first and second harmonic. */
const PRIOR_SD = {
  kind: KIND_SD_C,
  borrowed: [1, 0.8, 0.8, 0.35, 0.35],
  readings: KIND_SD_C,
} as const
/** Below so many days the usual weather is believed rather than the readings'. */
const DAYS_FOR_WEATHER = 40
/** Below so many days, or without three seasons, a second harmonic would follow the weather. */
const DAYS_FOR_SECOND = 150
const MONTHS_FOR_SECOND = 9
const YEARS_FOR_SPREAD = 3
const PAIRS_FOR_PERSISTENCE = 20
const MOST_PERSISTENCE = 0.97
const PASSES = 4

/** Solves A x = b in place by elimination with pivoting; A is small, symmetric and positive. */
function solve(a: number[][], b: number[]): number[] {
  const n = b.length
  for (let i = 0; i < n; i += 1) {
    let pivot = i
    for (let r = i + 1; r < n; r += 1) {
      if (Math.abs(a[r]?.[i] ?? 0) > Math.abs(a[pivot]?.[i] ?? 0)) pivot = r
    }
    ;[a[i], a[pivot]] = [a[pivot] ?? [], a[i] ?? []]
    ;[b[i], b[pivot]] = [b[pivot] ?? 0, b[i] ?? 0]
    const row = a[i] ?? []
    for (let r = i + 1; r < n; r += 1) {
      const lower = a[r] ?? []
      const factor = (lower[i] ?? 0) / (row[i] ?? 1)
      for (let c = i; c < n; c += 1) lower[c] = (lower[c] ?? 0) - factor * (row[c] ?? 0)
      b[r] = (b[r] ?? 0) - factor * (b[i] ?? 0)
    }
  }
  const x = b.map(() => 0)
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = b[i] ?? 0
    for (let c = i + 1; c < n; c += 1) sum -= (a[i]?.[c] ?? 0) * (x[c] ?? 0)
    x[i] = sum / (a[i]?.[i] ?? 1)
  }
  return x
}

const designOf = ({ day }: DayReading) => [1, ...harmonicsOn(placeInYear(day).dayOfYear)]

/** Readings as a Gaussian likelihood over the prior: coefficients, and the variance that is left of the curve by month. */
function posterior(readings: readonly DayReading[], prior: SeasonalModel, noiseVar: number, terms: number) {
  const priorMean = [prior.meanC, prior.cos1C, prior.sin1C, prior.cos2C, prior.sin2C]
  const sds = PRIOR_SD[prior.basis]
  const a = Array.from({ length: terms }, (_, i) =>
    Array.from({ length: terms }, (__, k) => (i === k ? 1 / (sds[i] ?? 1) ** 2 : 0)),
  )
  const b = Array.from({ length: terms }, (_, i) => (priorMean[i] ?? 0) / (sds[i] ?? 1) ** 2)
  for (const reading of readings) {
    const design = designOf(reading)
    const rest =
      reading.meanC - design.slice(terms).reduce((sum, x, i) => sum + x * (priorMean[terms + i] ?? 0), 0)
    for (let i = 0; i < terms; i += 1) {
      const x = design[i] ?? 0
      b[i] = (b[i] ?? 0) + (x * rest) / noiseVar
      const row = a[i] ?? []
      for (let k = 0; k < terms; k += 1) row[k] = (row[k] ?? 0) + (x * (design[k] ?? 0)) / noiseVar
    }
  }
  const monthlyVar = MONTH_MIDDLES.map((day) => {
    const design = [1, ...harmonicsOn(day)]
    const fitted = design.slice(0, terms)
    const solved = solve(
      a.map((row) => [...row]),
      [...fitted],
    )
    const held = design.slice(terms).reduce((sum, x, i) => sum + (x * (sds[terms + i] ?? 0)) ** 2, 0)
    return fitted.reduce((sum, x, i) => sum + x * (solved[i] ?? 0), held)
  })
  const found = solve(a, b)
  return { coefficients: priorMean.map((value, i) => found[i] ?? value), monthlyVar }
}

/** Means of what the curve leaves over, by year. */
function yearMeans(residuals: readonly { readonly day: EpochDay; readonly offC: number }[]) {
  const byYear = new Map<number, number[]>()
  for (const { day, offC } of residuals) byYear.set(yearOf(day), [...(byYear.get(yearOf(day)) ?? []), offC])
  return new Map([...byYear].map(([year, offs]) => [year, mean(offs)]))
}

/** Spread of the days, how long an anomaly lasts, and the spread of whole years, from what the curve leaves over. */
function weatherOf(readings: readonly DayReading[], model: SeasonalModel, usual: SeasonalModel) {
  if (readings.length < DAYS_FOR_WEATHER) return usual
  const residuals = readings.map(({ day, meanC }) => ({
    day,
    offC: meanC - curveC(model, placeInYear(day).dayOfYear),
  }))
  const means = yearMeans(residuals)
  const severalYears = means.size >= YEARS_FOR_SPREAD
  const offs = residuals.map(({ day, offC }) => (severalYears ? offC - (means.get(yearOf(day)) ?? 0) : offC))
  const variance = mean(offs.map((off) => off ** 2))
  const products = offs.flatMap((off, i) =>
    readings[i + 1]?.day === (readings[i]?.day ?? 0) + 1 ? [off * (offs[i + 1] ?? 0)] : [],
  )
  const persistence = products.length >= PAIRS_FOR_PERSISTENCE ? mean(products) / variance : usual.persistence
  const yearVar = [...means.values()].reduce((sum, mean) => sum + mean ** 2, 0) / Math.max(means.size - 1, 1)
  return {
    noiseSdC: Math.sqrt(variance),
    persistence: clamp(persistence, 0, MOST_PERSISTENCE),
    yearSdC: severalYears ? Math.sqrt(yearVar) : usual.yearSdC,
  }
}

/** Part of the variance of a day that a row of days with such persistence cannot average away. */
const heldTogether = (persistence: number) => (1 + persistence) / (1 - persistence)

/**
 * A reach's year from its readings: the prior (its kind's months, or a neighbour's year) moved as far as the readings
 * bid. Days that follow one another tell less than days apart, by their persistence. A second harmonic is taken where
 * the readings cover most of the year.
 *
 * @param readings daily means in the order of their days, without repeats
 */
export function fitSeasonal(readings: readonly DayReading[], prior: SeasonalModel): SeasonalModel {
  if (readings.length === 0) return prior
  const months = new Set(readings.map(({ day }) => placeInYear(day).month)).size
  const terms = readings.length >= DAYS_FOR_SECOND && months >= MONTHS_FOR_SECOND ? 5 : 3
  const years = new Set(readings.map(({ day }) => yearOf(day))).size
  const hourVar = sharedSdC(readings) ** 2
  let model: SeasonalModel = { ...prior, basis: 'readings', readingDays: readings.length }
  for (let pass = 0; pass < PASSES; pass += 1) {
    const noiseVar = model.noiseSdC ** 2 * heldTogether(model.persistence)
    const { coefficients, monthlyVar } = posterior(readings, prior, noiseVar, terms)
    const [meanC = 0, cos1C = 0, sin1C = 0, cos2C = 0, sin2C = 0] = coefficients
    const { noiseSdC, persistence, yearSdC } = weatherOf(
      readings,
      { ...model, meanC, cos1C, sin1C, cos2C, sin2C },
      prior,
    )
    // readings of one year share what is odd about it; no reading makes a curve less sure
    const curveSdC = monthlyVar.map((variance, month) =>
      Math.min(Math.sqrt(variance + yearSdC ** 2 / years + hourVar), prior.curveSdC[month] ?? Infinity),
    )
    model = { ...model, meanC, cos1C, sin1C, cos2C, sin2C, curveSdC, noiseSdC, persistence, yearSdC }
  }
  return model
}
