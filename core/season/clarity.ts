import { clamp } from '../number/index.ts'

/** How far one sees into the water, against what is usual of it. */
export const CLARITIES = ['clear', 'usual', 'coloured'] as const
export type Clarity = (typeof CLARITIES)[number]

/** Seen so much less far than usual it is coloured, so much farther clear; shares of the usual sight. By judgement. */
const COLOURED_BELOW = 0.6
const CLEAR_ABOVE = 1.25
/** In coloured water a drifting thing of this length is seen as ever, and the smaller ones less, to no less than a share. */
const SEEN_MM = 15
const LEAST_SEEN = 0.3
/** How closely fish look, against usual: they must be quick in coloured water, and take their time in clear. */
const CHOOSY_TIMES = { clear: 1.25, usual: 1, coloured: 0.5 } as const

/** What a sight into the water is, against what is usual there. */
export function clarityOf(seenMm: number, usualMm: number): Clarity {
  const share = seenMm / usualMm
  return share < COLOURED_BELOW ? 'coloured' : share > CLEAR_ABOVE ? 'clear' : 'usual'
}

/**
 * Share of a food that trout still find, 0 to 1: in coloured water they see prey from less far off, and small prey least
 * (reaction distance falls with turbidity and grows with the length of the prey: Barrett, Grossman & Rosenfeld 1992).
 */
export const seenShare = (clarity: Clarity | null, lengthMm: number): number =>
  clarity === 'coloured' ? clamp(lengthMm / SEEN_MM, LEAST_SEEN, 1) : 1

/** How closely a fly must match in such water, 0 to 1. */
export const choosyIn = (clarity: Clarity | null, choosy: number): number =>
  clamp(choosy * CHOOSY_TIMES[clarity ?? 'usual'], 0, 1)
