import { radians } from '../number/index.ts'
/** A direction in the fly's frame: x towards the bend, y up (the hook point hangs below), z to the side. Unit length. */
export type Direction = readonly [x: number, y: number, z: number]

/** A place in the plane of the hook: x from the rear of the eye towards the bend, y up, mm. */
export interface FlySpot {
  readonly xMm: number
  readonly yMm: number
}

/** What strands cannot drag more than: fibres closer than about ten diameters shield each other. */
export type Envelope = Bundle | Coat

/** A bunch, at most one bluff body. */
export interface Bundle {
  readonly kind: 'bundle'
  /** area facing a flow along the shank, and one across it, mm² */
  readonly alongMm2: number
  readonly acrossMm2: number
  /** drag coefficient of the bundle taken as one bluff body */
  readonly dragCoefficient: number
}

/** Hairs that stand out of a body: both together drag at most as a solid body of the whole outline. */
export interface Coat {
  readonly kind: 'coat'
  readonly lengthMm: number
  /** diameter of the body, and over its hairs */
  readonly coreMm: number
  readonly outlineMm: number
  /** drag of that outline, filled so loosely, over that of a solid one, beyond what the body has by itself: 0 to 1 */
  readonly share: number
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
  /** the body that it is a slice of; null where it is a whole one */
  readonly sliceOf: SlicedBody | null
}

/**
 * A body of several thicknesses, of which a drag element is a slice. The water meets one body: its coefficients are
 * those of the whole, and each slice has its part of the friction, of the front and of the profile.
 */
export interface SlicedBody {
  readonly volumeMm3: number
  readonly surfaceMm2: number
  /** largest section, and diameter × length over all slices */
  readonly sectionMm2: number
  readonly profileMm2: number
  /** section of this slice that no slice before it covers, falling eye first and bend first */
  readonly frontMm2: { readonly eyeFirst: number; readonly bendFirst: number }
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

/** Eight directions in the plane of the shank's sides, as of a hackle that is wound round an upright post. */
export const discOfAxes = (): readonly Direction[] => disc

const disc = Array.from({ length: 8 }, (_, i): Direction => [
  Math.cos((i * Math.PI) / 4),
  0,
  Math.sin((i * Math.PI) / 4),
])

const rings = new Map<number, readonly Direction[]>()
