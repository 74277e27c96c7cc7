import { bursts, byChance, heldShare, listen, slowing, steady } from '../core/testing/risingFish.ts'
import type { Fish, Listened } from '../core/testing/risingFish.ts'
import { randomFrom } from '../core/index.ts'
import type { Line } from './timing.ts'

const FISHES = 2000

const percent = (share: number) => `${(100 * share).toFixed(1)} %`

function listenTo(fish: Fish, seed: number): readonly Listened[] {
  const random = randomFrom(seed)
  return Array.from({ length: FISHES }, () => listen(fish, random))
}

/** How often a beat is found, wrongly claimed, and how often what is told of the next rise holds, over two thousand fishes of each kind. */
export function benchRhythm(): readonly Line[] {
  const share = (fishes: readonly Listened[], is: (one: Listened) => boolean) =>
    percent(fishes.filter(is).length / fishes.length)
  const [chance, even, full, burst] = [byChance, steady, slowing, bursts].map((fish, i) =>
    listenTo(fish, 101 + i),
  )
  if (!chance || !even || !full || !burst) return []
  return [
    { what: 'fishes that rise by chance of which a beat is claimed, over 30 taps', figure: share(chance, (one) => one.claimedAt < Infinity), wanted: 'at most 5 %' },
    { what: 'steady ones found within eight taps; told windows that hold', figure: `${share(even, (one) => one.claimedAt <= 8)}, ${percent(heldShare(even))}`, wanted: '80 %; 76 to 84 %' },
    { what: 'bursts found within fifteen taps; told windows that hold', figure: `${share(burst, (one) => one.claimedAt <= 15)}, ${percent(heldShare(burst))}`, wanted: '80 %; 76 to 84 %' },
    { what: 'slowing ones told as such at the end; told windows that hold', figure: `${share(full, (one) => one.isSlowing)}, ${percent(heldShare(full))}`, wanted: 'most; 76 to 84 %' },
  ] // prettier-ignore
}
