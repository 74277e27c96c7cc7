import { clamp } from '../number/index.ts'

/** What fish are on at one time were the water so much warmer, or colder, than was reckoned. */
export interface SharesIfWarmer {
  readonly warmerC: number
  /** share of the fish on each stage, in one order */
  readonly onIt: readonly number[]
  readonly whatever: number
}

/**
 * What fish are on where the water is so much warmer than was reckoned, between what was worked out for a few differences;
 * beyond the least and the most of them it is held there.
 *
 * @param rows from the coldest to the warmest; at least one
 * @param warmerC what was read less what was reckoned, °C
 */
export function ifWarmer(rows: readonly SharesIfWarmer[], warmerC: number): Omit<SharesIfWarmer, 'warmerC'> {
  const found = rows.findIndex((row) => row.warmerC >= warmerC)
  const upper = rows[found < 0 ? rows.length - 1 : found]
  const lower = rows[found < 0 ? rows.length - 1 : Math.max(found - 1, 0)]
  if (!upper || !lower) throw new RangeError('nothing was worked out')
  const apartC = upper.warmerC - lower.warmerC
  const part = apartC > 0 ? clamp((warmerC - lower.warmerC) / apartC, 0, 1) : 0
  const between = (a: number, b: number) => a + part * (b - a)
  return {
    onIt: lower.onIt.map((share, i) => between(share, upper.onIt[i] ?? 0)),
    whatever: between(lower.whatever, upper.whatever),
  }
}
