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
