import type { Aspect } from './matchAspect.ts'
import type { School } from './school.ts'

/**
 * All figures of the match that are judgement: nobody measured them. They were set against the table of flies and foods
 * in core/testing/matchTable, which was written first.
 */

/** A fly need not be nearer than this to pass for the right size. */
export const SIZE_TOLERANCE = 1.03
/** Beyond that, sd of ln(length): a hook size is 0.18. */
export const SIZE_SD = 0.2
/** So many times too large or too small is a hard fault. */
export const HARD_SIZE = 2

/** So much stouter or slimmer is still the same outline; beyond that, sd of ln: too much material is the worse fault. */
export const SLENDERNESS_TOLERANCE = 1.35
export const SLENDERNESS_SD = { stouter: 0.5, slimmer: 0.9 }
/** sd of where the bulk sits, shares of the body's length. */
export const BULK_SD = 0.2
/** A straight hook for a curved natural, or the other way round. */
export const OTHER_CURVE = 0.85
/** A fly without long legs for a natural that is known by them. */
export const NO_LEGS = 0.6

/** sd of the mean distance of colours in OKLab. */
export const COLOUR_SD = 0.12
/** Of that distance, what is asked by shares and not by the nearest colour alone. */
export const BY_SHARES = 0.35
/** Share of lightness and of chroma that a fish sees of what floats between it and the light. */
export const AGAINST_LIGHT = { lightness: 0.6, chroma: 0.5 }

/** Closeness of a fly that shows no trigger of those asked for, and what each that is false takes, as exponents. */
export const LACKING = 1.2
export const FALSE_TRIGGER = 0.6

/** How a score is sharpened: fish that take anything forgive, choosy ones do not. Exponent at choosy 0 and 1. */
export const SHARPNESS = { easy: 1.3, choosy: 2.2 }

/** Of what a fly lacks, so much still tells where the tier says that it is meant for the food. */
export const MEANT_LACKS = 0.2

/** From these scores on a fly serves a food, or could pass for it. */
export const SERVES = 0.8
export const COULD_PASS = 0.55
/** A fly that gets no nearer to its depth than this cannot be fished there. */
export const HARD_DEPTH = 0.3

/** How much each aspect counts, by school; each row sums to 1. */
export const WEIGHTS: Readonly<Record<School, Readonly<Record<Aspect, number>>>> = {
  sizeAndStage: { size: 0.25, depth: 0.2, posture: 0.08, outline: 0.23, colour: 0.12, movement: 0.02, triggers: 0.1, brightness: 0 },
  exact: { size: 0.18, depth: 0.16, posture: 0.1, outline: 0.2, colour: 0.18, movement: 0.04, triggers: 0.14, brightness: 0 },
  bright: { size: 0.14, depth: 0.26, posture: 0.08, outline: 0.12, colour: 0.04, movement: 0.1, triggers: 0.06, brightness: 0.2 },
  presentation: { size: 0.14, depth: 0.3, posture: 0.2, outline: 0.12, colour: 0.05, movement: 0.14, triggers: 0.05, brightness: 0 },
} // prettier-ignore
