import type { Fluid } from '../water/index.ts'
import {
  axialCylinderForce,
  bluffFriction,
  cylinderDragCoefficient,
  sphereDragCoefficient,
  turnedAcross,
} from './dragLaws.ts'
import type { BluffShape } from './dragLaws.ts'
import type { DragElement, Envelope, Slice, StrandsElement, WholeBody } from './dragElement.ts'
import { radians } from '../number/index.ts'

/** How the water meets a fly: its direction past the fly, in the plane of the hook. */
export interface Flow {
  readonly x: number
  readonly y: number
}

/**
 * The flow past a fly that falls with its nose this far down: 90° eye first, 0° level with the hook point below,
 * −90° bend first, 180° level with the point above.
 */
export const flowAt = (noseDownDeg: number): Flow => {
  const angle = radians(noseDownDeg)
  return { x: Math.sin(angle), y: Math.cos(angle) }
}

/** Strands that meet the flow at one angle. */
interface Aspect {
  readonly cosine: number
  readonly sine: number
  /** share of the strands */
  readonly share: number
  /** sum over those strands of how far they lean to the left of the flow, as share of all */
  readonly lean: number
}

/** A drag element with all that the direction of the flow decides worked out. */
export type Facing =
  | { readonly kind: 'sphere'; readonly diameterMm: number; readonly count: number }
  | {
      readonly kind: 'body'
      readonly of: WholeBody
      readonly shape: BluffShape
      /** its share of the friction of the whole body */
      readonly friction: number
      /** its share of the pressure on the whole body that meets it, in no lee */
      readonly exposed: number
      /** push to the left of the flow over what pressure makes on the whole body */
      readonly lean: number
    }
  | {
      readonly kind: 'strands'
      readonly element: StrandsElement
      readonly aspects: readonly Aspect[]
      readonly cap: Cap
    }

type FacedBody = Extract<Facing, { kind: 'body' }>

/** What strands drag at most: so much area with its coefficient, or what an outline drags beyond the body in it. */
type Cap =
  | { readonly kind: 'area'; readonly mm2: number }
  | { readonly kind: 'coat'; readonly outline: FacedBody; readonly core: FacedBody; readonly share: number }

/** Push of the water: along the flow, and to the left of it as the fly's frame has it (mg·mm/s²). */
export interface Push {
  along: number
  left: number
}

const FOLD_REFERENCE_MM_PER_S = 300
/** A bundle that hardly moves does not open further than this over its state at 300 mm/s. */
const LARGEST_UNFOLDING = 1.6

function faceBody(slice: Slice, flow: Flow): FacedBody {
  const { of, frontMm2, diameterMm, lengthMm, shelteredShare } = slice
  const along = Math.min(Math.abs(flow.x), 1)
  const across = Math.sqrt(1 - along ** 2)
  const facing = of.sectionMm2 * along + of.profileMm2 * across
  const front = flow.x >= 0 ? frontMm2.eyeFirst : frontMm2.bendFirst
  const profile = diameterMm * lengthMm
  const exposed = 1 - shelteredShare * Math.max(flow.x, 0)
  return {
    kind: 'body',
    of,
    shape: turnedAcross(of.shape, of.ballMm2 / facing),
    friction: profile / of.profileMm2,
    exposed: ((front * along + profile * across) / facing) * exposed,
    // cross-flow principle: what pushes across the body is split from what pushes along it
    lean: ((profile - front) / facing) * flow.x * flow.y * exposed,
  }
}

function faceStrands(element: StrandsElement, flow: Flow): Facing {
  const aspects: { cosine: number; sine: number; share: number; lean: number }[] = []
  const share = 1 / element.axes.length
  for (const [x, y] of element.axes) {
    const signed = x * flow.x + y * flow.y
    const cosine = Math.min(Math.abs(signed), 1)
    const lean = share * (y * flow.x - x * flow.y) * Math.sign(signed)
    const same = aspects.find((aspect) => Math.abs(aspect.cosine - cosine) < 1e-6)
    if (same) {
      same.share += share
      same.lean += lean
    } else aspects.push({ cosine, sine: Math.sqrt(1 - cosine ** 2), share, lean })
  }
  return { kind: 'strands', element, aspects, cap: capOf(element.envelope, flow) }
}

function capOf(envelope: Envelope | null, flow: Flow): Cap {
  if (!envelope) return { kind: 'area', mm2: Infinity }
  if (envelope.kind === 'coat') {
    const { outline, core, share } = envelope
    return { kind: 'coat', outline: faceBody(outline, flow), core: faceBody(core, flow), share }
  }
  const along = Math.min(Math.abs(flow.x), 1)
  const mm2 = envelope.alongMm2 * along + envelope.acrossMm2 * Math.sqrt(1 - along ** 2)
  return { kind: 'area', mm2: mm2 * envelope.dragCoefficient }
}

/** Turns drag elements towards a flow. */
export const faceFlow = (elements: readonly DragElement[], flow: Flow): readonly Facing[] =>
  elements.map((element) => {
    switch (element.kind) {
      case 'sphere':
        return element
      case 'body':
        return faceBody(element, flow)
      case 'strands':
        return faceStrands(element, flow)
    }
  })

/**
 * Push of the water on one element, written into `push` since it is asked for thousands of times.
 *
 * @param speed mm/s, above 0
 */
export function pushOn(facing: Facing, speed: number, water: Fluid, push: Push): void {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  switch (facing.kind) {
    case 'sphere': {
      const reynolds = (density * speed * facing.diameterMm) / viscosity
      const area = (Math.PI / 4) * facing.diameterMm ** 2
      push.along = facing.count * 0.5 * density * speed ** 2 * area * sphereDragCoefficient(reynolds)
      push.left = 0
      return
    }
    case 'body':
      push.along = bodyDrag(facing, speed, water)
      push.left = 0.5 * density * speed ** 2 * facing.of.ballMm2 * facing.shape.pressure * facing.lean
      return
    case 'strands':
      pushOnStrands(facing, speed, water, push)
  }
}

/** Push of the water on a body along the flow, mg·mm/s². */
function bodyDrag(body: FacedBody, speed: number, water: Fluid): number {
  const { shape, of, friction, exposed } = body
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  const coefficient =
    bluffFriction(shape, (density * speed * of.ballMm) / viscosity) * friction + shape.pressure * exposed
  return 0.5 * density * speed ** 2 * of.ballMm2 * coefficient
}

/** What strands drag at most, mg·mm/s², folded back to this share of their outline; no hair opens beyond its own. */
function mostDrag(cap: Cap, speed: number, water: Fluid, folded: number): number {
  if (cap.kind === 'area') return 0.5 * water.densityMgPerMm3 * speed ** 2 * cap.mm2 * folded
  const beyond = bodyDrag(cap.outline, speed, water) - bodyDrag(cap.core, speed, water)
  return cap.share * Math.max(beyond, 0) * Math.min(folded, 1)
}

function pushOnStrands(
  facing: Extract<Facing, { kind: 'strands' }>,
  speed: number,
  water: Fluid,
  push: Push,
): void {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  const { diameterMm, lengthMm, count, foldExponent } = facing.element
  let along = 0
  let left = 0
  for (const { cosine, sine, share, lean } of facing.aspects) {
    let normalForce = 0
    if (sine > 1e-6) {
      const normal = speed * sine
      const coefficient = cylinderDragCoefficient((density * normal * diameterMm) / viscosity)
      normalForce = 0.5 * density * normal ** 2 * diameterMm * lengthMm * coefficient
      left -= (normalForce * cosine * lean) / sine
    }
    const axialForce = axialCylinderForce(speed * cosine, lengthMm, diameterMm, viscosity, density)
    along += share * (normalForce * sine + axialForce * cosine)
    left += axialForce * lean
  }
  const folded =
    foldExponent === 0 ? 1 : Math.min((speed / FOLD_REFERENCE_MM_PER_S) ** -foldExponent, LARGEST_UNFOLDING)
  along *= count * folded
  left *= count * folded
  const most = mostDrag(facing.cap, speed, water, folded)
  const capped = along > most ? most / along : 1
  push.along = along * capped
  push.left = left * capped
}
