/** A source of uniform numbers in [0, 1). Core has no other randomness than one of these, made from a seed. */
export type Random = () => number

/** Deterministic generator of 32 bits (mulberry32); the same seed gives the same row of numbers for ever. */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A seed from a text: the 32-bit hash of Fowler, Noll and Vo (1a). */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619)
  return hash >>> 0
}

/** Standard normal deviates one after another: both of each pair that Box and Muller (1958) give. */
export function normalsFrom(random: Random): () => number {
  let spare: number | null = null
  return () => {
    if (spare !== null) {
      const held = spare
      spare = null
      return held
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    spare = radius * Math.sin(angle)
    return radius * Math.cos(angle)
  }
}

/** One standard normal deviate by the polar form of Box and Muller (1958). */
export function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/**
 * One Poisson count of a mean: uniform numbers are multiplied until their product falls below e^−mean (Knuth 1969).
 * Its time grows with the mean; meant for means up to some hundreds.
 */
export function poisson(random: Random, mean: number): number {
  const least = Math.exp(-mean)
  let count = 0
  for (let product = random(); product > least; product *= random()) count += 1
  return count
}
