export { actionSentence } from './actions.ts'
export type { ActionCode, ActionLabel } from './actions.ts'
export { caution, stepTitle } from './bench.ts'
export {
  beadSize,
  depth,
  inTen,
  mass,
  provenance,
  seconds,
  smallLength,
  speed,
  speedBand,
  temperature,
} from './figures.ts'
export { componentName, countInWords, depthBandName, LOSS_CAUSES, waterKindName } from './names.ts'
export type { LossCause } from './names.ts'
export {
  aspectSentence,
  fitSentence,
  likelihoodReason,
  missingSentence,
  reportSummary,
  unclearSentence,
} from './reasons.ts'
