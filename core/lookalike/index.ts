export { bearsMarks, checkMark, CODED_METALS } from './weightCode.ts'
export type { CodedMetal, MarkFault, WeightCode } from './weightCode.ts'
export { lookAlikes, looksOf } from './lookAlikes.ts'
export type { LookAlike, Seen } from './lookAlikes.ts'
