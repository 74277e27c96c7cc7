import { normal } from '../uncertainty/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { Beat } from '../waterside/beat.ts'
import { CLAIM } from '../waterside/rhythm.ts'

/** A whole fish. */
export const TAPS = 30

const between = (random: Random, low: number, high: number) => low + (high - low) * random()

/** Gaps of one made-up fish, s. */
export type Fish = (random: Random) => () => number
/** It rises by chance. */
export const byChance: Fish = (random) => {
  const meanS = Math.exp(between(random, Math.log(4), Math.log(60)))
  return () => -meanS * Math.log(1 - random())
}
/** It keeps time. */
export const steady: Fish = (random) => {
  const [medianS, sd] = [Math.exp(between(random, Math.log(4), Math.log(60))), between(random, 0.1, 0.3)]
  return () => medianS * Math.exp(sd * normal(random))
}
/** It keeps time, and takes longer each time. */
export const slowing: Fish = (random) => {
  const gap = steady(random)
  let n = 0
  return () => gap() * Math.exp(0.06 * n++)
}
/** Two to five rises, then a rest. */
export const bursts: Fish = (random) => {
  const [shortS, times, sd] = [between(random, 3, 8), between(random, 5, 8), between(random, 0.12, 0.25)]
  let left = 0
  return () => {
    const rests = left <= 0
    left = rests ? 2 + Math.floor(3 * random()) : left - 1
    return shortS * (rests ? times : 1) * Math.exp(sd * normal(random))
  }
}

/** What was made of one fish. */
export interface Listened {
  /** at which tap a beat was claimed first, and of which kind; Infinity for never */
  readonly claimedAt: number
  readonly kind: string
  readonly held: number
  readonly told: number
  readonly isSlowing: boolean
}

/** Listens to a whole fish, and counts how often the next rise fell into what was told. */
export function listen(fish: Fish, random: Random): Listened {
  const beat = new Beat()
  const gap = fish(random)
  let [claimedAt, kind, held, told, isSlowing] = [Infinity, '', 0, 0, false]
  let nextS = gap()
  for (let tap = 2; tap <= TAPS; tap += 1) {
    beat.hear(nextS)
    nextS = gap()
    if (tap < 4 || beat.odds < CLAIM) continue
    const keeps = beat.keeps
    if (claimedAt === Infinity) [claimedAt, kind] = [tap, keeps.kind]
    told += 1
    if (keeps.next.some(({ fromS, toS }) => nextS >= fromS && nextS <= toS)) held += 1
    isSlowing = keeps.isSlowing
  }
  return { claimedAt, kind, held, told, isSlowing }
}

/** Of fishes that were told anything of, how often the next rise fell into what was told. */
export const heldShare = (fishes: readonly Listened[]): number =>
  fishes.reduce((sum, { held }) => sum + held, 0) / fishes.reduce((sum, { told }) => sum + told, 0)
