export { batchesOf, fliesAt, inOrder, overEvenings, withoutIdleFlies } from './batches.ts'
export type { BatchFor, EveningShare, PlannedBatch, Setup } from './batches.ts'
export { buyingList } from './buying.ts'
export type { BuyableDrawer, BuyLine, DrawerUse } from './buying.ts'
export { anchorsOf, COVER_PARTS, coverageOf } from './coverage.ts'
export type {
  Anchors,
  CoverageInput,
  CoverCell,
  CoverFly,
  CoverPart,
  CoverRow,
  CoverRules,
} from './coverage.ts'
export { hoursOfMore, outingCover } from './cover.ts'
export type { FliesOf, NeedCover, OutingCover } from './cover.ts'
export { greedyPlan } from './greedy.ts'
export { HALF_HOUR, hoursAdded, hoursShown, lossChances, needHours } from './hours.ts'
export type { FliesShown, NeedHours } from './hours.ts'
export type {
  ComingOuting,
  EveningHabits,
  FoodThrough,
  PlanChoices,
  PlanDrawer,
  PlanInputs,
  PlanPlace,
  Purpose,
  Role,
  ServingVariant,
  TieableVariant,
} from './inputs.ts'
export { ROLES } from './inputs.ts'
export { forbiddenBy, FORBIDS } from './rules.ts'
export type { FlyRules, Forbidden, RuledFly } from './rules.ts'
export { expectedLosses, learnedLossRate, lossQuantile, parFor, priorLossRate } from './losses.ts'
export type { LossClass, LossRate } from './losses.ts'
export { benchTime, eveningsUntil, heldThrough, periodsOf, plannedNeeds, problemOf } from './needs.ts'
export type { Evening, MadeProblem, PlannedNeed, ServingsOf } from './needs.ts'
export { outingServings } from './outingNeeds.ts'
export type { OutingNeed, OutingServing } from './outingNeeds.ts'
export { forbiddenAt, servedBy, servedWhatever } from './serving.ts'
export type { ServedBy, Serving, ServingPlace } from './serving.ts'
export { standingOf, standingsOf, STANDINGS } from './standing.ts'
export type { Asked, StageStanding, Standing } from './standing.ts'
export { withoutIdleNewcomers } from './newcomers.ts'
export { faultsOf, planValue, suppliesOf } from './problem.ts'
export type { Counts, PlanCandidate, PlanLimit, PlanNeed, PlanPeriod, PlanProblem } from './problem.ts'
export { coverLooks, LIFE_STEPS, lifeStepOf, monthLooks, situationLooks, SITUATIONS } from './coverLooks.ts'
export type { CoverLook, LifeStep, LookCover, Situation, SituationsInput } from './coverLooks.ts'
export { seasonFoods } from './seasonFoods.ts'
export type { YearRow } from './seasonFoods.ts'
export { drawerUses, readyDays } from './supply.ts'
export type { SupplyDrawer } from './supply.ts'
export { takesAnHour, TRUSTS, trustIn } from './takes.ts'
export type { Trust } from './takes.ts'
export { columnsOf, countsOf, programOf } from './program.ts'
export type { Program } from './program.ts'
