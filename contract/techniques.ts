export { TECHNIQUES } from '../core/index.ts'
export type { Technique } from '../core/index.ts'
