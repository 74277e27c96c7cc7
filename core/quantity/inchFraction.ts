import { toCore } from './units.ts'

/** The fractions of an inch in which beads are sold. 1/16, 1/8, 9/64 and 3/16 are sizes of their own. */
const BEAD_FRACTIONS = ['1/16', '5/64', '3/32', '7/64', '1/8', '9/64', '5/32', '11/64', '3/16'] as const

/** Beads nearer than this in one family are the same size: makers round the inch to a tenth of a millimetre. */
export const SAME_BEAD_MM = 0.05

/** Millimetres of a fraction such as `7/64`. */
function fractionMm(fraction: string): number {
  const [above, below] = fraction.split('/').map(Number)
  return toCore((above ?? 0) / (below ?? 1), 'in')
}

/**
 * The inch fraction under which a bead of this diameter is sold, or null where none lies within 0.05 mm.
 *
 * @example beadFraction(2.8) // '7/64'
 * @example beadFraction(3.0) // null
 */
export function beadFraction(diameterMm: number): string | null {
  return BEAD_FRACTIONS.find((fraction) => Math.abs(fractionMm(fraction) - diameterMm) <= SAME_BEAD_MM) ?? null
}
