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
export { bandIn, DEPTH_BANDS, isStillwater, NEEDS, WATER_KINDS } from './foodStage.ts'
export type {
  Amount,
  Brood,
  DepthBand,
  FoodStage,
  Need,
  StageHours,
  StageMonth,
  WaterKind,
} from './foodStage.ts'
export * from './emergence/index.ts'
export * from './readings/index.ts'
export * from './warmth/index.ts'
export { bandRange } from './depth.ts'
export type { DepthRange } from './depth.ts'
export { hourWeight } from './hours.ts'
export type { Weather } from './hours.ts'
export { choosyIn, CLARITIES, clarityOf, seenShare } from './clarity.ts'
export type { Clarity } from './clarity.ts'
export { airStepsC, needFactor, NOTHING_SAID } from './needs.ts'
export type { HourConditions } from './needs.ts'
export { lengthOn, monthsAt } from './drawnStages.ts'
export type { FeedingScene, SeasonOfReach } from './drawnStages.ts'
export { choosyWord, effectiveFoods, feedingAt } from './feeding.ts'
export type { Feeding, FeedingNow } from './feeding.ts'
export { FOOD_WORDS, presenceOf, usualPresence } from './presence.ts'
export type { FoodWord } from './presence.ts'
export { skillOf } from './skill.ts'
export type { LeadSkill, SeasonSkill } from './skill.ts'
export { seasonOfReach } from './seasonOfReach.ts'
export { reasonsOf } from './reasons.ts'
export type { FeedingReason } from './reasons.ts'
export { dayOfFeeding, HALF_HOUR_MIN, WEEK_DAYS, WEEKS, yearOfFeeding } from './throughTime.ts'
export type { FeedingRow, StageRow } from './throughTime.ts'
export { sunTimes } from './sun.ts'
export type { Spot, SunTimes } from './sun.ts'
export { foodsCalled, isSought } from './foodWords.ts'
export type { NamedStage } from './foodWords.ts'
export { hooksForNatural } from './hooksForNatural.ts'
export type { HookRange } from './hooksForNatural.ts'
export { worthwhileLengths } from './worthwhileLengths.ts'
