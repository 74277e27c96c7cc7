export { linearEstimate, logEstimate, sdOfLog } from './estimate.ts'
export type { Estimate, Evidence } from './estimate.ts'
export { normal, normalsFrom, poisson, randomFrom, seedOf } from './random.ts'
export type { Random } from './random.ts'
