export { batchesOf, inOrder, overEvenings } from './batches.ts'
export type { EveningShare, PlannedBatch, Setup } from './batches.ts'
export { buyingList } from './buying.ts'
export type { BuyableDrawer, BuyLine, DrawerUse } from './buying.ts'
export { anchorsOf, COVER_PARTS, coverageOf } from './coverage.ts'
export type { Anchors, CoverageInput, CoverCell, CoverPart, CoverRow, CoverRules } from './coverage.ts'
export { greedyPlan } from './greedy.ts'
export type {
  ComingOuting,
  EveningHabits,
  PlanChoices,
  PlanDrawer,
  PlanInputs,
  PlanPlace,
  ServingVariant,
  TieableVariant,
} from './inputs.ts'
export { forbiddenBy } from './rules.ts'
export type { FlyRules, Forbidden, RuledFly } from './rules.ts'
export { TECHNIQUES } from './techniques.ts'
export type { Technique } from './techniques.ts'
export { expectedLosses, learnedLossRate, lossQuantile, parFor, priorLossRate } from './losses.ts'
export type { LossClass, LossRate } from './losses.ts'
export { eveningsUntil, periodsOf, problemOf } from './needs.ts'
export type { Evening, PlannedNeed } from './needs.ts'
export { withoutIdleNewcomers } from './newcomers.ts'
export { faultsOf, planValue, suppliesOf } from './problem.ts'
export type { Counts, PlanCandidate, PlanLimit, PlanNeed, PlanPeriod, PlanProblem } from './problem.ts'
export { seasonFoods } from './seasonFoods.ts'
export { drawerUses, readyDays } from './supply.ts'
export type { SupplyDrawer } from './supply.ts'
export { takesAnHour } from './takes.ts'
export { columnsOf, countsOf, programOf } from './program.ts'
export type { Program } from './program.ts'
