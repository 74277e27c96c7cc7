export { colourDistance, okLab } from './distance.ts'
export { whenWet } from './wet.ts'
export type { OkLab } from './distance.ts'
