import type { Aspect } from './matchAspect.ts'

/**
 * What a tier holds to matter most: size and stage before the pattern; the natural in every part; or something bright
 * that a fish cannot overlook.
 */
export const SCHOOLS = ['sizeAndStage', 'exact', 'bright'] as const
export type School = (typeof SCHOOLS)[number]

/** How much each aspect counts, by school. Judgement; each row sums to 1. */
export const WEIGHTS: Readonly<Record<School, Readonly<Record<Aspect, number>>>> = {
  sizeAndStage: { size: 0.3, depth: 0.32, posture: 0.1, outline: 0.08, colour: 0.1, movement: 0.05, triggers: 0.05, brightness: 0 },
  exact: { size: 0.18, depth: 0.22, posture: 0.12, outline: 0.14, colour: 0.16, movement: 0.06, triggers: 0.12, brightness: 0 },
  bright: { size: 0.12, depth: 0.32, posture: 0.08, outline: 0.06, colour: 0.02, movement: 0.14, triggers: 0.06, brightness: 0.2 },
} // prettier-ignore
