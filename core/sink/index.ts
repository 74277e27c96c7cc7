export {
  axialCylinderForce,
  bluffFriction,
  bluffShape,
  cylinderDragCoefficient,
  sphereDragCoefficient,
} from './dragLaws.ts'
export { cylinder, discOfAxes, ringOfAxes, wholeBody } from './dragElement.ts'
export type { Direction, DragElement, Envelope, FlySpot } from './dragElement.ts'
export { faceFlow, flowAt, pushOn } from './facing.ts'
export type { Facing, Flow, Push } from './facing.ts'
export { flyDrag, tippetPull } from './fallModel.ts'
export type { FallModel } from './fallModel.ts'
export { lineDrag, linePull } from './trailingLine.ts'
export type { LineStrand, Tippet } from './trailingLine.ts'
export { localExponent, terminalSpeed } from './terminalSpeed.ts'
export { depthAtTime, descend, timeToDepth } from './descent.ts'
export type { Descent, DescentPoint, LineEnd } from './descent.ts'
export { hungNoseDownDeg, restingAttitude, weightCentre } from './attitude.ts'
export type { Attitude, Balance, Load } from './attitude.ts'
export { dragField } from './dragField.ts'
export type { DragField } from './dragField.ts'
