import { radians } from '../number/index.ts'
import { bluffOutline } from './dragLaws.ts'
import type { BluffShape } from './dragLaws.ts'

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
  /** the body, and all with its hairs */
  readonly core: Slice
  readonly outline: Slice
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
export interface BodyElement extends Slice {
  readonly kind: 'body'
  readonly at: FlySpot
}

/** A body of one or more thicknesses, as the water meets it. */
export interface WholeBody {
  /** largest section, and diameter × length over all slices */
  readonly sectionMm2: number
  readonly profileMm2: number
  /** the ball of its volume: diameter and section */
  readonly ballMm: number
  readonly ballMm2: number
  /** what of its drag coefficient does not change as it turns */
  readonly shape: BluffShape
}

/**
 * A slice of a body. The water meets one body: its coefficients are those of the whole, and each slice has its part of
 * the friction, of the front and of the profile.
 */
export interface Slice {
  readonly diameterMm: number
  readonly lengthMm: number
  readonly of: WholeBody
  /** section of it that no slice before it covers, falling eye first and bend first */
  readonly frontMm2: { readonly eyeFirst: number; readonly bendFirst: number }
  /** share of its front that stands in the lee of what goes before it when it falls eye first, 0 to 1 */
  readonly shelteredShare: number
}

/** A body by its measures; a fly is turned to many flows, and what does not change with them is worked out here. */
export function wholeBody(measures: {
  readonly volumeMm3: number
  readonly surfaceMm2: number
  readonly sectionMm2: number
  readonly profileMm2: number
}): WholeBody {
  const { volumeMm3, surfaceMm2, sectionMm2, profileMm2 } = measures
  const ballMm = Math.cbrt((6 / Math.PI) * volumeMm3)
  const ballMm2 = (Math.PI / 4) * ballMm ** 2
  const shape = bluffOutline(Math.min((4 * ballMm2) / surfaceMm2, 1))
  return { sectionMm2, profileMm2, ballMm, ballMm2, shape }
}

/** A cylinder: the only slice of itself. */
export function cylinder(diameterMm: number, lengthMm: number, shelteredShare = 0): Slice {
  const sectionMm2 = (Math.PI / 4) * diameterMm ** 2
  const of = wholeBody({
    volumeMm3: sectionMm2 * lengthMm,
    surfaceMm2: Math.PI * diameterMm * lengthMm + 2 * sectionMm2,
    sectionMm2,
    profileMm2: diameterMm * lengthMm,
  })
  return {
    diameterMm,
    lengthMm,
    of,
    frontMm2: { eyeFirst: sectionMm2, bendFirst: sectionMm2 },
    shelteredShare,
  }
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
