export { aheadOf, driftedMm, intercept, leadTo, speedAtHeight } from './drift.ts'
export type { Cruiser, Current, Drift, Interception } from './drift.ts'
