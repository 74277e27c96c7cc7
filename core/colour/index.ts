export { colourDistance, okLab } from './distance.ts'
export type { OkLab } from './distance.ts'
