import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'
import type { DragElement, FlySpot } from './dragElement.ts'
import { faceFlow, flowAt, pushOn } from './facing.ts'
import type { Facing, Push } from './facing.ts'
import { balanceSpeed } from './terminalSpeed.ts'

/** How a fly holds itself while it falls with no line on it. */
export interface Attitude {
  /** 90 eye first, 0 level with the hook point below, −90 bend first, 180 level with the point above */
  readonly noseDownDeg: number
  /** steady; wavering where little holds it; or turning over and over, where no attitude is at rest */
  readonly hold: 'steady' | 'wavers' | 'tumbles'
}

/** What turns a falling fly. */
export interface Balance {
  readonly elements: readonly DragElement[]
  /** where its weight in water acts */
  readonly weightAt: FlySpot
  readonly submergedMg: number
  readonly water: WaterProperties
}

const STEP_DEG = 12
const TOLERANCE_DEG = 0.05
/** A turning moment below this share of weight × 1 mm for a tilt of 30° hardly holds a fly. */
const WAVERING = 0.02

const push: Push = { along: 0, left: 0 }

/**
 * Moment of the body itself, as a share of ½ρv²: slender bodies turn broadside. Munk 1924, NACA Report 184, with
 * k₂ − k₁ ≈ 1 − 1/λ for a spheroid of slenderness λ (within 0.04 of Lamb's table).
 */
export function munkVolume(elements: readonly DragElement[]): number {
  let [volume, length] = [0, 0]
  for (const element of elements) {
    if (element.kind !== 'body') continue
    volume += (Math.PI / 4) * element.diameterMm ** 2 * element.lengthMm
    length += element.lengthMm
  }
  if (volume <= 0) return 0
  const slenderness = length / Math.sqrt(((4 / Math.PI) * volume) / length)
  return slenderness > 1 ? 2 * volume * (1 - 1 / slenderness) : 0
}

/** Force of the water at an attitude and a speed, and its moment about the rear of the eye that turns the nose down. */
export interface Forces {
  readonly drag: number
  readonly fx: number
  readonly fy: number
  readonly moment: number
}

function sumForces(
  elements: readonly DragElement[],
  facing: readonly Facing[],
  water: WaterProperties,
  angleDeg: number,
  speed: number,
  munk: number,
): Forces {
  const flow = flowAt(angleDeg)
  let [drag, fx, fy, moment] = [0, 0, 0, 0]
  for (let i = 0; i < facing.length; i += 1) {
    const [faced, element] = [facing[i], elements[i]]
    if (!faced || !element) continue
    pushOn(faced, speed, water, push)
    const x = push.along * flow.x - push.left * flow.y
    const y = push.along * flow.y + push.left * flow.x
    moment += element.at.xMm * y - element.at.yMm * x
    fx += x
    fy += y
    drag += push.along
  }
  moment -= 0.5 * water.densityMgPerMm3 * speed ** 2 * munk * flow.x * flow.y
  return { drag, fx, fy, moment }
}

/** {@link Forces} of elements at an attitude. */
export const forcesAt = (
  elements: readonly DragElement[],
  water: WaterProperties,
  angleDeg: number,
  speed: number,
  munk: number,
): Forces => sumForces(elements, faceFlow(elements, flowAt(angleDeg)), water, angleDeg, speed, munk)

/** Height of the centre of drag when the fly lies level, mm. */
export function levelDragHeight(
  elements: readonly DragElement[],
  water: WaterProperties,
  speed: number,
): number {
  let [drag, lift] = [0, 0]
  faceFlow(elements, flowAt(0)).forEach((faced, i) => {
    pushOn(faced, speed, water, push)
    drag += push.along
    lift += push.along * (elements[i]?.at.yMm ?? 0)
  })
  return drag > 0 ? lift / drag : 0
}

/**
 * The attitude that a fly takes in a free fall: level at first with its heavier side below, it turns as the moment of
 * drag about its weight bids, and comes to rest where that moment vanishes and any tilt brings it back.
 */
export function restingAttitude(balance: Balance): Attitude {
  const { elements, water, weightAt } = balance
  const weight = Math.max(balance.submergedMg, 1e-6) * GRAVITY_MM_PER_S2
  const munk = munkVolume(elements)
  const speedAt = (angle: number, guess?: number) => {
    const facing = faceFlow(elements, flowAt(angle))
    return balanceSpeed(weight, (v) => sumForces(elements, facing, water, angle, v, 0).drag, guess)
  }
  let speed = speedAt(0)
  const start = levelDragHeight(elements, water, speed) >= weightAt.yMm ? 0 : 180
  const momentAt = (angle: number) => {
    const { drag, fx, fy, moment } = forcesAt(elements, water, angle, speed, munk)
    // as an arm, mm: the moment about the weight over the drag
    return drag > 0 ? (moment - (weightAt.xMm * fy - weightAt.yMm * fx)) / drag : 0
  }
  const first = momentAt(start)
  const way = Math.abs(first) > 1e-9 ? Math.sign(first) : Math.sign(momentAt(start + 1))
  if (way === 0) return { noseDownDeg: start, hold: 'wavers' }
  let [before, after] = [start, start]
  for (let turned = 0; turned < 360; turned += STEP_DEG) {
    after = before + way * STEP_DEG
    if (Math.sign(momentAt(after)) !== way) break
    before = after
    if (turned + STEP_DEG >= 360) return { noseDownDeg: 0, hold: 'tumbles' }
  }
  speed = speedAt((before + after) / 2, speed)
  while (Math.abs(after - before) > TOLERANCE_DEG) {
    const middle = (before + after) / 2
    if (Math.sign(momentAt(middle)) === way) before = middle
    else after = middle
  }
  const rest = (before + after) / 2
  const holding = Math.min(-way * momentAt(rest + 30 * way), way * momentAt(rest - 30 * way))
  return { noseDownDeg: wrapped(rest), hold: holding < WAVERING ? 'wavers' : 'steady' }
}

const wrapped = (angle: number) => ((((angle + 180) % 360) + 360) % 360) - 180

/** Weights in water and where they act. */
export interface Load extends FlySpot {
  readonly submergedMg: number
}

/** Where the weight in water acts: the mean place of the loads. Loads lighter than water count as such. */
export function weightCentre(loads: readonly Load[]): FlySpot {
  let [weight, x, y] = [0, 0, 0]
  for (const { submergedMg, xMm, yMm } of loads) {
    weight += submergedMg
    x += submergedMg * xMm
    y += submergedMg * yMm
  }
  return Math.abs(weight) < 1e-9 ? { xMm: 0, yMm: 0 } : { xMm: x / weight, yMm: y / weight }
}

/**
 * The attitude of a fly that hangs still from its eye: its weight comes to lie below the eye.
 *
 * @returns as in {@link Attitude}; −90 for a fly that hangs by its head, 0 or 180 for a balanced one
 */
export function hungNoseDownDeg(loads: readonly Load[], eye: FlySpot): number {
  let [mx, my] = [0, 0]
  for (const { submergedMg, xMm, yMm } of loads) {
    mx += submergedMg * (xMm - eye.xMm)
    my += submergedMg * (yMm - eye.yMm)
  }
  return (Math.atan2(-mx, -my) * 180) / Math.PI
}
