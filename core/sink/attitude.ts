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
function munkVolume(elements: readonly DragElement[]): number {
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

/** Drag along the flow and moment about the weight that turns the nose down, at an attitude and a speed. */
function turning(balance: Balance, facing: readonly Facing[], angleDeg: number, speed: number, munk: number) {
  const { elements, weightAt, water } = balance
  const flow = flowAt(angleDeg)
  let [drag, moment] = [0, 0]
  facing.forEach((faced, i) => {
    pushOn(faced, speed, water, push)
    const at = elements[i]?.at ?? weightAt
    const [fx, fy] = [push.along * flow.x - push.left * flow.y, push.along * flow.y + push.left * flow.x]
    moment += (at.xMm - weightAt.xMm) * fy - (at.yMm - weightAt.yMm) * fx
    drag += push.along
  })
  moment -= 0.5 * water.densityMgPerMm3 * speed ** 2 * munk * flow.x * flow.y
  return { drag, moment }
}

/** Height of the centre of drag over the weight when the fly lies level, mm: above nought its point stays below. */
function keelMm(balance: Balance, speed: number): number {
  let [drag, lift] = [0, 0]
  faceFlow(balance.elements, flowAt(0)).forEach((faced, i) => {
    pushOn(faced, speed, balance.water, push)
    drag += push.along
    lift += push.along * (balance.elements[i]?.at.yMm ?? 0)
  })
  return drag > 0 ? lift / drag - balance.weightAt.yMm : 0
}

/**
 * The attitude that a fly takes in a free fall: level at first with its heavier side below, it turns as the moment of
 * drag about its weight bids, and comes to rest where that moment vanishes and any tilt brings it back.
 */
export function restingAttitude(balance: Balance): Attitude {
  const weight = Math.max(balance.submergedMg, 1e-6) * GRAVITY_MM_PER_S2
  const munk = munkVolume(balance.elements)
  const level = faceFlow(balance.elements, flowAt(0))
  let speed = balanceSpeed(weight, (v) => turning(balance, level, 0, v, munk).drag)
  const start = keelMm(balance, speed) >= 0 ? 0 : 180
  const momentAt = (angle: number) => {
    const facing = faceFlow(balance.elements, flowAt(angle))
    const { drag, moment } = turning(balance, facing, angle, speed, munk)
    // as an arm, mm: the moment over the drag does not change its sign or its zeros with speed
    return drag > 0 ? moment / drag : 0
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
  const facing = faceFlow(balance.elements, flowAt((before + after) / 2))
  speed = balanceSpeed(weight, (v) => turning(balance, facing, (before + after) / 2, v, munk).drag, speed)
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
