export { lookAlikes } from './lookAlikes.ts'
export type { LookAlike, Seen } from './lookAlikes.ts'
