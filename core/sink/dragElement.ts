import type { WaterProperties } from '../water/index.ts'
import {
  axialCylinderForce,
  bluffDragCoefficient,
  cylinderDragCoefficient,
  sphereDragCoefficient,
} from './dragLaws.ts'

/** A direction in the fly's frame: x towards the bend, y up (the hook point hangs below), z to the side. Unit length. */
export type Direction = readonly [x: number, y: number, z: number]

/** Envelope that a bundle cannot exceed: fibres closer than about ten diameters shield each other. */
export interface Envelope {
  /** area facing a flow along the shank, and one across it, mm² */
  readonly alongMm2: number
  readonly acrossMm2: number
  /** drag coefficient of the bundle taken as one bluff body */
  readonly dragCoefficient: number
}

/** Something that the water pushes on. */
export type DragElement =
  | { readonly kind: 'sphere'; readonly diameterMm: number; readonly count: number }
  | {
      readonly kind: 'body'
      readonly diameterMm: number
      readonly lengthMm: number
      /** share of its front that stands in the lee of what goes before it when it falls eye first, 0 to 1 */
      readonly shelteredShare: number
    }
  | {
      readonly kind: 'strands'
      readonly count: number
      readonly diameterMm: number
      readonly lengthMm: number
      /** the strands are shared out evenly among these */
      readonly axes: readonly Direction[]
      /** area ∝ (speed / 300 mm/s)^−p as soft material folds back; 0 for wire */
      readonly foldExponent: number
      readonly envelope: Envelope | null
    }

const FOLD_REFERENCE_MM_PER_S = 300
/** A bundle that hardly moves does not open further than this over its state at 300 mm/s. */
const LARGEST_UNFOLDING = 1.6

const dot = (a: Direction, b: Direction) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

function sphereForce(diameterMm: number, count: number, speed: number, water: WaterProperties): number {
  const reynolds = (water.densityMgPerMm3 * speed * diameterMm) / water.viscosityMgPerMmS
  const area = (Math.PI / 4) * diameterMm ** 2
  return count * 0.5 * water.densityMgPerMm3 * speed ** 2 * area * sphereDragCoefficient(reynolds)
}

function bodyForce(
  body: Extract<DragElement, { kind: 'body' }>,
  speed: number,
  flow: Direction,
  water: WaterProperties,
): number {
  const { diameterMm, lengthMm } = body
  const section = (Math.PI / 4) * diameterMm ** 2
  const equivalentMm = Math.cbrt((6 / Math.PI) * section * lengthMm)
  const equivalentSection = (Math.PI / 4) * equivalentMm ** 2
  const surface = Math.PI * diameterMm * lengthMm + 2 * section
  const along = Math.abs(flow[0])
  const facing = section * along + diameterMm * lengthMm * Math.sqrt(1 - along ** 2)
  const reynolds = (water.densityMgPerMm3 * speed * equivalentMm) / water.viscosityMgPerMmS
  const { friction, pressure } = bluffDragCoefficient(
    reynolds,
    Math.min((4 * equivalentSection) / surface, 1),
    equivalentSection / facing,
  )
  const exposed = 1 - body.shelteredShare * along
  return 0.5 * water.densityMgPerMm3 * speed ** 2 * equivalentSection * (friction + pressure * exposed)
}

function strandForce(
  strands: Extract<DragElement, { kind: 'strands' }>,
  speed: number,
  flow: Direction,
  water: WaterProperties,
): number {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  const { diameterMm, lengthMm, axes } = strands
  let force = 0
  for (const axis of axes) {
    const cosine = Math.min(Math.abs(dot(axis, flow)), 1)
    const sine = Math.sqrt(1 - cosine ** 2)
    if (sine > 1e-6) {
      const normal = speed * sine
      const coefficient = cylinderDragCoefficient((density * normal * diameterMm) / viscosity)
      force += 0.5 * density * normal ** 2 * diameterMm * lengthMm * coefficient * sine
    }
    force += axialCylinderForce(speed * cosine, lengthMm, diameterMm, viscosity, density) * cosine
  }
  const folded = Math.min((speed / FOLD_REFERENCE_MM_PER_S) ** -strands.foldExponent, LARGEST_UNFOLDING)
  const sum = (force / axes.length) * strands.count * folded
  if (!strands.envelope) return sum
  const along = Math.abs(flow[0])
  const facing = strands.envelope.alongMm2 * along + strands.envelope.acrossMm2 * Math.sqrt(1 - along ** 2)
  return Math.min(sum, 0.5 * density * speed ** 2 * facing * strands.envelope.dragCoefficient * folded)
}

/**
 * Drag of one element along the flow, mg·mm/s².
 *
 * @param speed mm/s, above 0
 * @param flow  direction of the water past the fly, in the fly's frame; its sign does not matter
 */
export function elementForce(
  element: DragElement,
  speed: number,
  flow: Direction,
  water: WaterProperties,
): number {
  switch (element.kind) {
    case 'sphere':
      return sphereForce(element.diameterMm, element.count, speed, water)
    case 'body':
      return bodyForce(element, speed, flow, water)
    case 'strands':
      return strandForce(element, speed, flow, water)
  }
}

/** Eight directions around the shank, leaning back towards the bend by this angle from it (90° stands square). */
export function ringOfAxes(fromShankDeg: number): readonly Direction[] {
  const lean = (fromShankDeg * Math.PI) / 180
  return Array.from({ length: 8 }, (_, i): Direction => {
    const around = (i * Math.PI) / 4
    return [Math.cos(lean), Math.sin(lean) * Math.cos(around), Math.sin(lean) * Math.sin(around)]
  })
}
