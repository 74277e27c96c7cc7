import { quantile } from '../../number/index.ts'
import type { BroodDraws } from './seasonDraws.ts'
import { PEAK_SHARE } from './strain.ts'

/** Quantiles of a distribution at 0, 10 … 100 %. */
export type Quantiles = readonly number[]

/** When a brood of a stage is about on a reach; days from 1 January (in the south from 1 July), and past the year's end. */
export interface EmergenceWindow {
  readonly stageKey: string
  /** which of a stage's broods, from 0 */
  readonly brood: number
  /** first day, and last */
  readonly onset: Quantiles
  readonly last: Quantiles
  /** share of draws that never bring it */
  readonly noneShare: number
}

/** Median of the first day. */
export const firstDayOf = ({ onset }: EmergenceWindow): number => onset[5] ?? 0
/** Median of the last day. */
export const lastDayOf = ({ last }: EmergenceWindow): number => last[5] ?? 0
/** The day on which it is thickest. */
export const peakDayOf = (window: EmergenceWindow): number =>
  firstDayOf(window) + PEAK_SHARE * (lastDayOf(window) - firstDayOf(window))

const deciles = (days: Float32Array): Quantiles => {
  const sorted = Float64Array.from(days.filter((day) => !Number.isNaN(day))).sort()
  return Array.from({ length: 11 }, (_, i) => quantile(sorted, i / 10))
}

/** The draws of a brood as a window; null where none brings it. */
export function windowOf({ stageId, brood, starts, ends }: BroodDraws): EmergenceWindow | null {
  const none = starts.reduce((count, start) => count + (Number.isNaN(start) ? 1 : 0), 0)
  if (none === starts.length) return null
  return {
    stageKey: stageId,
    brood,
    onset: deciles(starts),
    last: deciles(ends),
    noneShare: none / starts.length,
  }
}
