export { GRAVITY_MM_PER_S2, waterAt } from './properties.ts'
export type { WaterProperties } from './properties.ts'
