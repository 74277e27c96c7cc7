import { clamp, sum } from '../number/index.ts'

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

type Spread = Omit<SharesIfWarmer, 'warmerC'>

/**
 * Shares moved as something else moves what was reckoned: each by its own factor, and all of them to one again.
 *
 * @param from as reckoned
 * @param to   as reckoned where more is known
 */
export function movedAlike(shares: Spread, from: Spread, to: Spread): Spread {
  const moved = (share: number, was: number, is: number) => (was > 0 ? (share * is) / was : share)
  const onIt = shares.onIt.map((share, i) => moved(share, from.onIt[i] ?? 0, to.onIt[i] ?? 0))
  const whatever = moved(shares.whatever, from.whatever, to.whatever)
  const all = sum(onIt) + whatever
  return all > 0 ? { onIt: onIt.map((share) => share / all), whatever: whatever / all } : shares
}
