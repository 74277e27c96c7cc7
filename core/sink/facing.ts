import type { WaterProperties } from '../water/index.ts'
import {
  axialCylinderForce,
  bluffFriction,
  bluffShape,
  cylinderDragCoefficient,
  sphereDragCoefficient,
} from './dragLaws.ts'
import type { BluffShape } from './dragLaws.ts'
import type { BodyElement, DragElement, StrandsElement } from './dragElement.ts'
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
      readonly equivalentMm: number
      readonly sectionMm2: number
      readonly shape: BluffShape
      readonly exposed: number
      /** push to the left of the flow over the push along it that pressure makes */
      readonly lean: number
    }
  | {
      readonly kind: 'strands'
      readonly element: StrandsElement
      readonly aspects: readonly Aspect[]
      readonly cappedMm2: number
    }

/** Push of the water: along the flow, and to the left of it as the fly's frame has it (mg·mm/s²). */
export interface Push {
  along: number
  left: number
}

const FOLD_REFERENCE_MM_PER_S = 300
/** A bundle that hardly moves does not open further than this over its state at 300 mm/s. */
const LARGEST_UNFOLDING = 1.6

function faceBody(body: BodyElement, flow: Flow): Facing {
  const { diameterMm, lengthMm } = body
  const section = (Math.PI / 4) * diameterMm ** 2
  const equivalentMm = Math.cbrt((6 / Math.PI) * section * lengthMm)
  const sectionMm2 = (Math.PI / 4) * equivalentMm ** 2
  const along = Math.min(Math.abs(flow.x), 1)
  const across = Math.sqrt(1 - along ** 2)
  const facing = section * along + diameterMm * lengthMm * across
  return {
    kind: 'body',
    equivalentMm,
    sectionMm2,
    shape: bluffShape(
      Math.min((4 * sectionMm2) / (Math.PI * diameterMm * lengthMm + 2 * section), 1),
      sectionMm2 / facing,
    ),
    exposed: 1 - body.shelteredShare * Math.max(flow.x, 0),
    // cross-flow principle: what pushes across the body is split from what pushes along it
    lean: ((diameterMm * lengthMm - section) / facing) * flow.x * flow.y,
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
  const { envelope } = element
  const along = Math.min(Math.abs(flow.x), 1)
  const cappedMm2 = envelope
    ? (envelope.alongMm2 * along + envelope.acrossMm2 * Math.sqrt(1 - along ** 2)) * envelope.dragCoefficient
    : Infinity
  return { kind: 'strands', element, aspects, cappedMm2 }
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
export function pushOn(facing: Facing, speed: number, water: WaterProperties, push: Push): void {
  const { densityMgPerMm3: density, viscosityMgPerMmS: viscosity } = water
  switch (facing.kind) {
    case 'sphere': {
      const reynolds = (density * speed * facing.diameterMm) / viscosity
      const area = (Math.PI / 4) * facing.diameterMm ** 2
      push.along = facing.count * 0.5 * density * speed ** 2 * area * sphereDragCoefficient(reynolds)
      push.left = 0
      return
    }
    case 'body': {
      const reynolds = (density * speed * facing.equivalentMm) / viscosity
      const head = 0.5 * density * speed ** 2 * facing.sectionMm2
      const pressure = facing.shape.pressure * facing.exposed
      push.along = head * (bluffFriction(facing.shape, reynolds) + pressure)
      push.left = head * pressure * facing.lean
      return
    }
    case 'strands':
      pushOnStrands(facing, speed, water, push)
  }
}

function pushOnStrands(
  facing: Extract<Facing, { kind: 'strands' }>,
  speed: number,
  { densityMgPerMm3: density, viscosityMgPerMmS: viscosity }: WaterProperties,
  push: Push,
): void {
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
  const most = 0.5 * density * speed ** 2 * facing.cappedMm2 * folded
  const capped = along > most ? most / along : 1
  push.along = along * capped
  push.left = left * capped
}
