import { describe, expect, it } from 'vitest'
import { bursts, byChance, heldShare, listen, slowing, steady, TAPS } from '../testing/risingFish.ts'
import type { Fish, Listened } from '../testing/risingFish.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { everyNth } from './everyNth.ts'
import { CLAIM, rhythmOf } from './rhythm.ts'

/** `npm run bench -- rhythm` listens to two thousand of each. */
const FISHES = 200
const listenTo = (fish: Fish, seed: number): readonly Listened[] => {
  const random = randomFrom(seed)
  return Array.from({ length: FISHES }, () => listen(fish, random))
}
const shareOf = (fishes: readonly Listened[], is: (one: Listened) => boolean) =>
  fishes.filter(is).length / fishes.length
describe('the rhythm of a rising fish', () => {
  it('is claimed of at most one in twenty that rise by chance, over a whole fish', () => {
    const fishes = listenTo(byChance, 1)
    expect(shareOf(fishes, ({ claimedAt }) => claimedAt < Infinity)).toBeLessThanOrEqual(0.05)
  })
  it('is found within eight taps in 8 of 10 that are steady, and holds in 8 of 10', () => {
    const fishes = listenTo(steady, 2)
    expect(
      shareOf(fishes, ({ claimedAt, kind }) => claimedAt <= 8 && kind === 'steady'),
    ).toBeGreaterThanOrEqual(0.8)
    expect(heldShare(fishes)).toBeGreaterThan(0.76)
    expect(heldShare(fishes)).toBeLessThan(0.84)
    expect(shareOf(fishes, (one) => one.isSlowing)).toBeLessThan(0.1)
  })
  it('is found within fifteen taps in 8 of 10 that rise in bursts, and holds in 8 of 10', () => {
    const fishes = listenTo(bursts, 3)
    expect(shareOf(fishes, ({ claimedAt }) => claimedAt <= 15)).toBeGreaterThanOrEqual(0.8)
    expect(heldShare(fishes)).toBeGreaterThan(0.76)
    expect(heldShare(fishes)).toBeLessThan(0.84)
  })
  it('says of a fish that fills that it slows, and holds still', () => {
    const fishes = listenTo(slowing, 4)
    expect(shareOf(fishes, (one) => one.isSlowing)).toBeGreaterThan(0.8)
    expect(heldShare(fishes)).toBeGreaterThan(0.74)
  })
  it('follows the naturals where a fish takes each n-th, within fifteen, and seldom claims that of one that takes any', () => {
    const random = randomFrom(5)
    const odds = (count: () => number) => {
      const counts: number[] = []
      for (let tap = 2; tap <= TAPS; tap += 1) {
        counts.push(count())
        if (tap >= 4 && everyNth(counts).odds * 0.4 >= CLAIM) return tap
      }
      return Infinity
    }
    const fishes = Array.from({ length: FISHES }, () => {
      const nth = 2 + Math.floor(4 * random())
      const p = 0.15 + 0.5 * random()
      return {
        nth: odds(() => (random() < 0.85 ? nth : nth + (random() < 0.5 ? 1 : -1))),
        any: odds(() => 1 + Math.floor(Math.log(1 - random()) / Math.log1p(-p))),
      }
    })
    expect(fishes.filter(({ nth }) => nth <= 15).length / FISHES).toBeGreaterThanOrEqual(0.8)
    expect(fishes.filter(({ any }) => any < Infinity).length / FISHES).toBeLessThanOrEqual(0.05)
  })
  it('is told from taps: too few, none, the seconds, or which natural', () => {
    expect(rhythmOf([0, 7, 14])).toEqual({ kind: 'tooFew' })
    const even = rhythmOf([0, 8, 15.5, 24, 32, 39.6, 48])
    expect(even).toMatchObject({ kind: 'steady', isSlowing: false })
    if (even.kind !== 'steady') throw new Error(even.kind)
    expect(even.gapS).toBeCloseTo(8, 0)
    expect(even.next).toHaveLength(1)
    expect(even.next[0]!.fromS).toBeGreaterThan(6)
    expect(even.next[0]!.toS).toBeLessThan(10.5)
    expect(rhythmOf([0, 2, 31, 33, 34, 80, 81, 99])).toMatchObject({ kind: 'noBeat', isGivenUp: false })
    // naturals come as they come, each third is taken, and one has passed since
    const naturals = [2, 5, 9, 10, 17, 19, 30, 31, 33, 41, 44, 58, 60, 63, 70, 74, 75, 90, 92]
    const rises = naturals.filter((_, i) => i % 3 === 2)
    expect(rhythmOf(rises, naturals)).toEqual({ kind: 'naturals', nth: 3, before: 1 })
  })
})
