/** Of the mass within reach, so much is in those that are shorter than any that matter. */
const LEFT_OUT = 0.1
/** Mass goes with the cube of length; of evenly spread lengths the mass up to one with its fourth power. */
const POWER = 4

/**
 * Lengths of a natural that are worth a fly, mm. Where several year classes live side by side the small ones are many
 * and weigh little, and trout feed by mass: of lengths spread evenly from low to high, nine tenths of the mass are in
 * those from the lower figure on.
 */
export function worthwhileLengths(lowMm: number, highMm: number): readonly [lowMm: number, highMm: number] {
  const [low, high] = [lowMm ** POWER, highMm ** POWER]
  return [(low + LEFT_OUT * (high - low)) ** (1 / POWER), highMm]
}
