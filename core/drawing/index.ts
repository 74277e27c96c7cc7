export { drawFly } from './drawFly.ts'
export type { DrawingShape, FlyDrawing } from './flyDrawing.ts'
