export { AIR, GRAVITY_MM_PER_S2, waterAt } from './properties.ts'
export type { Fluid, WaterProperties } from './properties.ts'
