import { radians } from '../number/index.ts'
/** A direction in the fly's frame: x towards the bend, y up (the hook point hangs below), z to the side. Unit length. */
export type Direction = readonly [x: number, y: number, z: number]

/** A place in the plane of the hook: x from the rear of the eye towards the bend, y up, mm. */
export interface FlySpot {
  readonly xMm: number
  readonly yMm: number
}

/** Envelope that a bundle cannot exceed: fibres closer than about ten diameters shield each other. */
export interface Envelope {
  /** area facing a flow along the shank, and one across it, mm² */
  readonly alongMm2: number
  readonly acrossMm2: number
  /** drag coefficient of the bundle taken as one bluff body */
  readonly dragCoefficient: number
}

/** A ball. */
export interface SphereElement {
  readonly kind: 'sphere'
  readonly at: FlySpot
  readonly diameterMm: number
  readonly count: number
}

/** A stretch of the wound body, its axis along the shank. */
export interface BodyElement {
  readonly kind: 'body'
  readonly at: FlySpot
  readonly diameterMm: number
  readonly lengthMm: number
  /** share of its front that stands in the lee of what goes before it when it falls eye first, 0 to 1 */
  readonly shelteredShare: number
}

/** Wires or fibres, alone or in a bunch. */
export interface StrandsElement {
  readonly kind: 'strands'
  readonly at: FlySpot
  readonly count: number
  readonly diameterMm: number
  readonly lengthMm: number
  /** the strands are shared out evenly among these */
  readonly axes: readonly Direction[]
  /** area ∝ (speed / 300 mm/s)^−p as soft material folds back; 0 for wire */
  readonly foldExponent: number
  readonly envelope: Envelope | null
}

/** Something that the water pushes on. */
export type DragElement = SphereElement | BodyElement | StrandsElement

/** Eight directions around the shank, leaning back towards the bend by this angle from it (90° stands square). */
export function ringOfAxes(fromShankDeg: number): readonly Direction[] {
  const known = rings.get(fromShankDeg)
  if (known) return known
  const lean = radians(fromShankDeg)
  const ring = Array.from({ length: 8 }, (_, i): Direction => {
    const around = (i * Math.PI) / 4
    return [Math.cos(lean), Math.sin(lean) * Math.cos(around), Math.sin(lean) * Math.sin(around)]
  })
  rings.set(fromShankDeg, ring)
  return ring
}

const rings = new Map<number, readonly Direction[]>()
