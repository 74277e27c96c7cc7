import { randomFrom, seedOf } from '../../uncertainty/index.ts'

/** Chance for one layer of one part: an edit of another part moves none of its hairs. */
export interface Chance {
  /** 0 to 1 */
  readonly share: () => number
  readonly between: (low: number, high: number) => number
  /** about nought, sd a half, never beyond 1.5 */
  readonly about: () => number
}

/** Chance from what it is for: the same for ever. */
export function chanceOf(...what: readonly string[]): Chance {
  const share = randomFrom(seedOf(what.join('|')))
  return {
    share,
    between: (low, high) => low + (high - low) * share(),
    about: () => share() + share() + share() - 1.5,
  }
}
