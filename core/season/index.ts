export {
  dateOf,
  epochDayOf,
  HALF_YEAR_DAYS,
  MONTH_STARTS,
  newYearOf,
  placeInYear,
  throughMonths,
  yearOf,
} from './calendar.ts'
export type { EpochDay } from './calendar.ts'
export { bandIn, DEPTH_BANDS, isStillwater, WATER_KINDS } from './foodStage.ts'
export type { Brood, DepthBand, FoodStage, StageHours, StageMonth, WaterKind } from './foodStage.ts'
export { datedBroods } from './broods.ts'
export * from './emergence/index.ts'
export * from './readings/index.ts'
export * from './warmth/index.ts'
export { bandRange } from './depth.ts'
export type { DepthRange } from './depth.ts'
export { chanceOfDay, hourWeight, stageLikelihood } from './stageLikelihood.ts'
export type {
  DayChance,
  LikelihoodReason,
  ReachSeason,
  ReachState,
  StageLikelihood,
  Weather,
} from './stageLikelihood.ts'
export { sunTimes } from './sun.ts'
export type { Spot, SunTimes } from './sun.ts'
export { worthOf } from './worth.ts'
export { YEAR_STEP_DAYS, yearOfStages } from './yearOfStages.ts'
export type { StageYear } from './yearOfStages.ts'
export { foodsCalled, isSought } from './foodWords.ts'
export type { NamedStage } from './foodWords.ts'
export { hooksForNatural } from './hooksForNatural.ts'
export type { HookRange } from './hooksForNatural.ts'
