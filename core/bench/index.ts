export { billOfMaterials } from './billOfMaterials.ts'
export type { BillLine } from './billOfMaterials.ts'
export { componentsByKey, stepFigures, stepsOf } from './steps.ts'
export type { StepFigures } from './steps.ts'
