/**
 * What a tier holds to matter most: size and stage before the pattern; the natural in every part; something bright that
 * a fish cannot overlook; or how it is shown: posture, depth and movement before all.
 */
export const SCHOOLS = ['sizeAndStage', 'exact', 'bright', 'presentation'] as const
export type School = (typeof SCHOOLS)[number]
