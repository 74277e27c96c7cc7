import { quantile } from '../../number/index.ts'
/** Quantiles of a distribution at 0, 10 … 100 %; the ends are those of what was simulated. */
export type Quantiles = readonly number[]

/** When a brood of a stage is about on a reach; days from 1 January (in the south from 1 July), and past the year's end. */
export interface EmergenceWindow {
  readonly stageKey: string
  /** which of a stage's broods, from 0 */
  readonly brood: number
  /** first day */
  readonly onset: Quantiles
  /** sd of the first day that the weather of the years makes, days */
  readonly weatherSdDays: number
  /** sd that not knowing the threshold here makes; learning shrinks it */
  readonly doubtSdDays: number
  readonly durationDays: number
  /** share of years that never bring it */
  readonly noneShare: number
}

/** Share of an emergence that is over when it is thickest. */
const PEAK_SHARE = 0.35

/** Median of the first day. */
export const firstDayOf = ({ onset }: EmergenceWindow): number => onset[5] ?? 0
/** Median of the day on which it is thickest. */
export const peakDayOf = (window: EmergenceWindow): number =>
  firstDayOf(window) + PEAK_SHARE * window.durationDays
/** Median of the last day. */
export const lastDayOf = (window: EmergenceWindow): number => firstDayOf(window) + window.durationDays

/** Share of first days that lie at or before a day: straight between the quantiles. */
export function shareBefore(onset: Quantiles, day: number): number {
  if (day < (onset[0] ?? 0)) return 0
  for (let i = 1; i < onset.length; i += 1) {
    const [from, to] = [onset[i - 1] ?? 0, onset[i] ?? 0]
    if (day < to) return (i - 1 + (day - from) / Math.max(to - from, 1e-9)) / (onset.length - 1)
  }
  return 1
}

/** Chance that it is about on a day: it has started, and is not over. */
export function chanceOn(window: EmergenceWindow, day: number): number {
  const started = shareBefore(window.onset, day)
  const over = shareBefore(window.onset, day - window.durationDays)
  return (started - over) * (1 - window.noneShare)
}

const DAYS_OF_YEAR = 365

/** The same for a day of the year, with what reaches over from the year before. */
export const chanceOnDayOfYear = (window: EmergenceWindow, dayOfYear: number): number =>
  Math.max(chanceOn(window, dayOfYear), chanceOn(window, dayOfYear + DAYS_OF_YEAR))

/** Quantiles of a row of days. */
export function quantilesOf(days: readonly number[]): Quantiles {
  const sorted = Float64Array.from(days).sort()
  return Array.from({ length: 11 }, (_, i) => quantile(sorted, i / 10))
}
