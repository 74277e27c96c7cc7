export {
  axialCylinderForce,
  bluffDragCoefficient,
  cylinderDragCoefficient,
  sphereDragCoefficient,
} from './dragLaws.ts'
export { elementForce, ringOfAxes } from './dragElement.ts'
export type { Direction, DragElement, Envelope } from './dragElement.ts'
export { flyDrag, tippetPull } from './fallModel.ts'
export type { FallModel, Pose, Tippet } from './fallModel.ts'
export { localExponent, terminalSpeed } from './terminalSpeed.ts'
export { depthAtTime, descend, timeToDepth } from './descent.ts'
export type { Descent, DescentPoint } from './descent.ts'
