// What the rest of the program uses of core; within core each module has its own door.
export {
  billOfMaterials,
  componentsByKey,
  costOf,
  minutesTaken,
  nightsToDry,
  paceOf,
  stepFigures,
  stepsOf,
} from './bench/index.ts'
export type { Pace, ViseEvent } from './bench/index.ts'
export {
  calibrationFor,
  contradictions,
  foretold,
  likelyMetal,
  massesFor,
  NOTHING_MEASURED,
  readDrop,
  reckonedPiece,
  TIMINGS,
} from './calibrate/index.ts'
export type {
  Calibrated,
  DropOutcome,
  DropReading,
  DropTest,
  Foretold,
  GoodsWeighing,
  Measured,
  Timing,
} from './calibrate/index.ts'
export { drawFly } from './drawing/index.ts'
export type { FlyDrawing } from './drawing/index.ts'
export {
  AMOUNTS,
  applySwaps,
  COMPONENT_KINDS,
  FIELD_LIMITS,
  instead,
  is,
  KINDS,
  recipeOf,
  resolveDressing,
  tiedInStrands,
  TRIGGER_KEYS,
  turnsThatFit,
  newLine,
  withUsualAmounts,
} from './dressing/index.ts'
export type {
  Amounts,
  Component,
  ComponentKind,
  Dressing,
  Field,
  Fly,
  Incomplete,
  Limits,
  Place,
  Proportion,
  Step,
  Swap,
  WetState,
} from './dressing/index.ts'
export { driftedMm, intercept, leadTo, speedAtHeight } from './drift/index.ts'
export type { Current } from './drift/index.ts'
export { whenWet } from './colour/index.ts'
export { BARE_FORMS, readTypedHook, readTypedLine } from './entry/index.ts'
export type { Ask, NamedFamily, Settled, TypedHook } from './entry/index.ts'
export type { BareForm, TypedLine } from './entry/index.ts'
export {
  behaviourOf,
  countdown,
  evaluateFly,
  LIST_CONDITIONS,
  MOVE_CAUSES,
  PRIOR_DRAG_SD_LOG,
  sampleFall,
  speedAtAttitude,
  SPLASHES,
  splashLimitMicroJ,
  UNCALIBRATED,
  whyMoved,
  USUAL_CURL_DEG,
  USUAL_LEADER,
  USUAL_TIPPET,
} from './evaluate/index.ts'
export type {
  Calibration,
  Conditions,
  DoubtShare,
  FlyReport,
  Progress,
  SampledFall,
  SampleInput,
  SplashWord,
} from './evaluate/index.ts'
export {
  combinationsOf,
  finalists,
  findWeightings,
  paretoFront,
  rungsOf,
  swapsFor,
  weightable,
} from './find/index.ts'
export type { Finalist, FindInput, FindProgress, Found, Offers, Rung, Wanted } from './find/index.ts'
export { POSTURES, trimmable, trimSteps } from './float/index.ts'
export type { Cut, Posture, Trimmed } from './float/index.ts'
export { beadInProportionMm, byCalliper, hookOf, hookStyle, MEASURED_OF_HOOK } from './hook/index.ts'
export {
  BOX_COLUMNS,
  fliesNamed,
  readBoxTable,
  readFlyLine,
  readStoresTable,
  STORES_COLUMNS,
  TABLE_UNIT,
} from './intake/index.ts'
export type { FlyLine, FlyLineFault, NamedFly, RowFault } from './intake/index.ts'
export { arrange, LAYOUTS } from './layout/index.ts'
export type { ArrangedFly, Layout, ProposedPlace } from './layout/index.ts'
export { bearsMarks, checkMark, CODED_METALS, lookAlikes, looksOf } from './lookalike/index.ts'
export type { CodedMetal, MarkFault, WeightCode } from './lookalike/index.ts'
export {
  appearanceOf,
  bottomAspect,
  fishingDepthMm,
  matchFly,
  MOVEMENTS,
  SCHOOLS,
  SILHOUETTES,
  TAIL_LOOKS,
  TRIGGER_LOOKS,
  WING_LOOKS,
  yearOfUse,
} from './match/index.ts'
export type {
  Appearance,
  FlyMatch,
  MatchAspect,
  MatchBy,
  Matched,
  School,
  StageLooks,
  StageOfUse,
  UseInput,
  Verdict,
  YearOfUse,
} from './match/index.ts'
export {
  isLeadDensity,
  weightAmong,
  canBeMadeIn,
  kindDefaults,
  likeFamily,
  MATERIAL_KINDS,
  PROPERTY_NAMES,
  sizeNumber,
  strandDiameterMm,
  valueOf,
} from './material/index.ts'
export type { Material, MaterialFamily, MaterialKind, Physics, Property, StockUnit } from './material/index.ts'
export { clamp, mean, Z_80 } from './number/index.ts'
export {
  anchorsOf,
  batchesOf,
  benchTime,
  buyingList,
  columnsOf,
  countsOf,
  COVER_PARTS,
  coverageOf,
  coverLooks,
  drawerUses,
  faultsOf,
  fliesAt,
  greedyPlan,
  inOrder,
  learnedLossRate,
  lossQuantile,
  outingCover,
  outingServings,
  overEvenings,
  periodsOf,
  LIFE_STEPS,
  lifeStepOf,
  monthLooks,
  plannedNeeds,
  situationLooks,
  SITUATIONS,
  planValue,
  priorLossRate,
  problemOf,
  programOf,
  readyDays,
  seasonFoods,
  suppliesOf,
  HALF_HOUR,
  hoursShown,
  takesAnHour,
  forbiddenAt,
  forbiddenBy,
  withoutIdleFlies,
  withoutIdleNewcomers,
} from './plan/index.ts'
export type {
  BuyLine,
  BatchFor,
  ComingOuting,
  Counts,
  CoverageInput,
  CoverCell,
  CoverFly,
  CoverLook,
  LifeStep,
  LookCover,
  Situation,
  SituationsInput,
  YearRow,
  CoverPart,
  CoverRow,
  CoverRules,
  OutingCover,
  OutingNeed,
  OutingServing,
  EveningShare,
  FlyRules,
  Forbidden,
  MadeProblem,
  PlanInputs,
  PlannedBatch,
  PlannedNeed,
  PlanProblem,
  Program,
  Purpose,
  ServedBy,
  ServingPlace,
  ServingVariant,
  TieableVariant,
} from './plan/index.ts'
export { TECHNIQUES } from './technique/index.ts'
export type { Behaviour, Shown, Technique } from './technique/index.ts'
export { proposeVariants } from './propose/index.ts'
export type { ProposedVariant, ProposeInput } from './propose/index.ts'
export { asWritten, fromCore, parseDecimal, parseQuantity, SAME_BEAD_MM, toCore } from './quantity/index.ts'
export type { DisplayUnits, ParsedQuantity, Quantity, Unit } from './quantity/index.ts'
export {
  bandIn,
  bandRange,
  borrowSeasonal,
  choosyWord,
  curveC,
  curveRow,
  curveSdOn,
  dateOf,
  dayOfFeeding,
  DEPTH_BANDS,
  drawSeason,
  epochDayOf,
  feedingAt,
  firstDayOf,
  fitSeasonal,
  foodsCalled,
  forecastC,
  HALF_HOUR_MIN,
  HALF_YEAR_DAYS,
  FOOD_WORDS,
  hooksForNatural,
  isSought,
  isStillwater,
  lastDayOf,
  layersOf,
  lengthOn,
  MONTH_STARTS,
  monthsAt,
  NEEDS,
  newYearOf,
  NOTHING_SAID,
  peakDayOf,
  placeInYear,
  placeNote,
  provenDateOrder,
  readTable,
  reasonsOf,
  simulateYear,
  seasonOfReach,
  tempAtDepthC,
  trendCPerDay,
  turnOf,
  usualModel,
  WATER_KINDS,
  WEEK_DAYS,
  WEEKS,
  windowOf,
  yearBetween,
  yearOf,
  yearOfFeeding,
} from './season/index.ts'
export type {
  Amount,
  BroodDraws,
  DatedTrigger,
  DateOrder,
  DayReading,
  DepthBand,
  EmergenceWindow,
  Feeding,
  FeedingReason,
  FeedingRow,
  FeedingScene,
  FoodStage,
  HookRange,
  HourConditions,
  Need,
  PlacedNote,
  SeasonalModel,
  SeasonDraws,
  SeasonNote,
  SeasonOfReach,
  Spot,
  TableFault,
  TableReading,
  TableResult,
  Trigger,
  WatchedReach,
  WaterKind,
  Weather,
  FoodWord,
} from './season/index.ts'
export { depthAtTime, descend, timeToDepth } from './sink/index.ts'
export type { Descent } from './sink/index.ts'
export { fliesAllowed, holesOf, parOf, substitutesFor, takeOldest, urgencyOf } from './stock/index.ts'
export { normal, normalsFrom, poisson, randomFrom } from './uncertainty/index.ts'
export type { Estimate } from './uncertainty/index.ts'
export { waterAt } from './water/index.ts'
export { CORE_VERSION } from './version.ts'
export * as wording from './wording/index.ts'
export type { ActionLabel } from './wording/index.ts'
