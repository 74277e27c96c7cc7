import { sum } from '../number/index.ts'
import type { LossRate } from './losses.ts'

/** Length of the steps that an outing is reckoned in, hours. */
export const HALF_HOUR = 0.5
/** Nobody carries more flies for one food of one outing; and so many first ones are planned for. */
const MOST_LOST = 24
export const MOST_PLANNED = 6

/** One thing that fish are on through an outing, as hours of fishing with something to show. */
export interface NeedHours {
  /** share of the fish that are on it, by half hour */
  readonly onIt: readonly number[]
  /** by half hour, the chance that 0, 1, 2 … of its flies were lost before then */
  readonly lost: readonly (readonly number[])[]
}

/** Chances of 0, 1, 2 … losses in some hours: negative binomial, as a gamma rate makes of a Poisson count. */
export function lossChances({ shape, hours }: LossRate, fished: number): readonly number[] {
  const lose = fished / (hours + fished)
  const chances = [(1 - lose) ** shape]
  for (let k = 0; k < MOST_LOST; k += 1) {
    chances.push((chances[k] ?? 0) * ((shape + k) / (k + 1)) * lose)
  }
  return chances
}

/**
 * The hours of a need, from how long its flies were in the water before each half hour.
 *
 * @param fished hours, by half hour
 */
export const needHours = (onIt: readonly number[], fished: readonly number[], rate: LossRate): NeedHours => ({
  onIt,
  lost: fished.map((hours) => lossChances(rate, hours)),
})

/** Flies of one sort for a need. */
export interface FliesShown {
  /** 0 to 1 */
  readonly quality: number
  /** in whole flies or, of what may have been lost before, in parts of one */
  readonly count: number
}

/** Chance that fewer than so many flies were lost, by parts of a fly in between. */
export function chanceWithin(lost: readonly number[], flies: number): number {
  const whole = Math.floor(flies)
  // a loop, since hours are reckoned thousands of times for one evening
  let chance = 0
  for (let k = 0; k < whole && k < lost.length; k += 1) chance += lost[k] ?? 0
  return chance + (flies - whole) * (lost[whole] ?? 0)
}

/** The flies that are fished for a need, the best first: as many as could be lost, and one that is left then. */
function inTurn({ lost }: NeedHours, flies: readonly FliesShown[]): readonly FliesShown[] {
  const best = flies.filter(({ count }) => count > 0).sort((a, b) => b.quality - a.quality)
  const most = Math.max(0, ...lost.map(({ length }) => length))
  let fished = 0
  const end = best.findIndex(({ count }) => (fished += count) >= most)
  return end < 0 ? best : best.slice(0, end + 1)
}

/** Hours with something to show, by half hour, of flies that are in turn. */
const shownInTurn = (need: NeedHours, turn: readonly FliesShown[]) =>
  need.onIt.map((share, half) => {
    const chances = need.lost[half] ?? []
    let [fished, chance, shown] = [0, 0, 0]
    for (const { quality, count } of turn) {
      fished += count
      const before = chance
      chance = chanceWithin(chances, fished)
      shown += quality * (chance - before)
    }
    return HALF_HOUR * share * shown
  })

/**
 * Hours with something to show, by half hour: the share of fish on it, times how well the best fly does that is still
 * there. The best are fished, and so lost, first. More flies never make it less, nor do better ones; more losses never
 * make it more.
 */
export const hoursShown = (need: NeedHours, flies: readonly FliesShown[]): readonly number[] =>
  shownInTurn(need, inTurn(need, flies))

/** Hours of a need in which just so many flies are lost: what the next one shows, were it of full quality. */
const hoursOfNext = ({ onIt, lost }: NeedHours, gone: number): number =>
  HALF_HOUR * sum(onIt.map((share, half) => share * (lost[half]?.[gone] ?? 0)))

/** Asks for the hours of a need in which fewer than so many flies are lost, by parts of a fly in between. */
function hoursWithin(need: NeedHours): (flies: number) => number {
  const within = [0]
  for (let k = 0; need.lost.some(({ length }) => k < length); k += 1)
    within.push((within[k] ?? 0) + hoursOfNext(need, k))
  const most = within.length - 1
  return (flies) => {
    const whole = Math.min(Math.floor(flies), most)
    const hours = within[whole] ?? 0
    return hours + (flies - whole) * ((within[whole + 1] ?? hours) - hours)
  }
}

/**
 * Asks how many hours more would be shown with some more flies beside those that there are: what they show at their turn,
 * less what they put off of worse ones. Either hangs on the turn and the number alone, so it is reckoned once for both.
 */
export function hoursMore(need: NeedHours, flies: readonly FliesShown[]): (more: FliesShown) => number {
  const there = inTurn(need, flies)
  const within = hoursWithin(need)
  const before = [0]
  for (const { count } of there) before.push((before.at(-1) ?? 0) + count)
  /** what so many more add to the hours in which fewer are lost than there are before a turn */
  const gained = (turn: number, count: number) => {
    const flies = before[turn] ?? 0
    return within(flies + count) - within(flies)
  }
  const putOff = (at: number, count: number) =>
    sum(there.slice(at).map(({ quality }, k) => quality * (gained(at + k, count) - gained(at + k + 1, count))))
  const known = before.map(() => new Map<number, readonly [shown: number, lessOfWorse: number]>())
  return ({ quality, count }) => {
    const worse = there.findIndex((one) => one.quality < quality)
    const at = worse < 0 ? there.length : worse
    const [shown, lessOfWorse] = known[at]?.get(count) ?? [gained(at, count), putOff(at, count)]
    known[at]?.set(count, [shown, lessOfWorse])
    return quality * shown - lessOfWorse
  }
}

/**
 * Hours that the first, second … fly of full quality adds, never more than the one before it: what a linear program takes
 * for the need. Where a later fly would add more than an earlier one (many are lost), both get their mean.
 */
export function hoursAdded(need: NeedHours): readonly number[] {
  const adds = Array.from({ length: MOST_PLANNED }, (_, nth) => hoursOfNext(need, nth))
  const pools: { total: number; size: number }[] = []
  for (const add of adds) {
    pools.push({ total: add, size: 1 })
    for (;;) {
      const [before, last] = pools.slice(-2)
      if (!before || !last || pools.length < 2 || last.total / last.size <= before.total / before.size) break
      pools.splice(-2, 2, { total: before.total + last.total, size: before.size + last.size })
    }
  }
  return pools.flatMap(({ total, size }) => Array.from({ length: size }, () => total / size))
}
