export { billOfMaterials } from './billOfMaterials.ts'
export type { BillLine } from './billOfMaterials.ts'
export { costOf } from './cost.ts'
export type { FlyCost, PricedDrawer } from './cost.ts'
export { minutesTaken, paceOf } from './pace.ts'
export type { Pace, ViseEvent } from './pace.ts'
export { nightsToDry } from './drying.ts'
export {
  componentsByKey, stepFigures, stepMoved, stepsAfterEdit, stepsOf, withOwnStep, withoutStep, withStepNote,
} from './steps.ts' // prettier-ignore
export type { StepFigures } from './steps.ts'
