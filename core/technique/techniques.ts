/** Ways of fishing, on which sinking, losses and what to keep depend. */
export const TECHNIQUES = [
  'dry',
  'dryWithDropper',
  'tightLineNymph',
  'indicatorNymph',
  'swungWets',
  'streamer',
  'staticIndicator',
  'slowRetrieve',
  'driftTeam',
  'buoyantOnSinkingLine',
] as const
export type Technique = (typeof TECHNIQUES)[number]

/** Those among words that are ways of fishing, in their own order. */
export const techniquesAmong = (words: readonly string[]): Technique[] =>
  TECHNIQUES.filter((way) => words.includes(way))
