export { actionSentence } from './actions.ts'
export type { ActionCode, ActionLabel } from './actions.ts'
export { markSentence, strandsText, workedOutAmounts } from './amounts.ts'
export { caution, cautionMark, dryingTip, SPOILED_CAUSES, stepTip, stepTitle } from './bench.ts'
export { counted, spellText } from './counted.ts'
export { cardMarkdown, cardOf } from './card.ts'
export type { Card, CardInput } from './card.ts'
export {
  beadSize,
  current,
  cutLength,
  degreesOnly,
  depth,
  fineDepth,
  drownings,
  fineSpan,
  coveredHours,
  fishOnIt,
  height,
  hoursShown,
  inTen,
  mass,
  partMass,
  passingToo,
  provenance,
  seconds,
  halfHours,
  shortHours,
  smallLength,
  smallSpan,
  speed,
  speedBand,
  dailySwing,
  daysBefore,
  daysEarlierOrLater,
  daysOff,
  ofHundred,
  temperature,
  wholeTemperature,
} from './figures.ts'
export { copyAge, copyReason, fileSize, lostSentence } from './copies.ts'
export { cutDone, cutWords } from './cut.ts'
export {
  bringToSentence,
  dragFreeSentence,
  holds,
  knotName,
  lineRateSentence,
  lineSentences,
  otherFliesSentences,
  rigFlySentences,
  rigForbidsSentence,
  rigLength,
  rigNotSentence,
  rigPartWords,
  rigPhraseWords,
  rigSenseSentence,
  rigSentences,
  thickness,
  weakestSentence,
  wornSentence,
  spoolSentence,
} from './rigs.ts'
export { countSentence, keptSentence, tightLineSentences, underFloatSentences } from './rig.ts'
export { attitudeWords, hangWords } from './attitude.ts'
export { drawerName, goodsSize, hookSizes } from './goods.ts'
export { entryWords } from './ledger.ts'
export type { EntryCause } from './ledger.ts'
export { moveCause } from './moved.ts'
export { layoutName, proposedPlaceName, trustWord } from './layout.ts'
export {
  figuresToComeSentence,
  flyLineFaultSentence,
  keptHereSentence,
  puttingInSentence,
  rowFaultSentence,
} from './intake.ts'
export {
  bearsWord,
  componentName,
  countInWords,
  depthBandName,
  drillName,
  LOSS_CAUSES,
  postureWord,
  putAwayName,
  splashWord,
  barbName,
  roleName,
  waterKindName,
} from './names.ts'
export type { LossCause } from './names.ts'
export { doubtName, narrowingSentence } from './doubt.ts'
export { fallWords } from './fall.ts'
export { stockAmount } from './stock.ts'
export {
  aspectSentence,
  fitSentence,
  feedingReason,
  needName,
  missingSentence,
  hoversWords,
  tooLightSentence,
  unclearSentence,
} from './reasons.ts'
