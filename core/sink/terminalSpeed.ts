import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import { flyDrag, tippetPull } from './fallModel.ts'
import type { FallModel } from './fallModel.ts'

const RELATIVE_TOLERANCE = 1e-6
const USUAL_EXPONENT = 1.5
const MOST_STEPS = 80

/**
 * Speed at which a resisting force that grows with speed balances a weight, mm/s.
 *
 * Drag grows with about the 1.5th power of speed, so the root is bracketed and closed by the Illinois variant of
 * false position in the logarithms of speed and force, which never leaves the bracket.
 *
 * @param weight mg·mm/s², above 0
 * @param guess  where to start bracketing, mm/s, above 0
 */
export function balanceSpeed(weight: number, resisting: (speedMmPerS: number) => number, guess = 200): number {
  const excess = (speed: number) => Math.log(Math.max(resisting(speed), 1e-12 * weight) / weight)
  // a first guess by the usual power of speed, then outwards from it until the root is between
  let near = guess
  let atNear = excess(near)
  let far = near * Math.exp(-atNear / USUAL_EXPONENT)
  let atFar = excess(far)
  for (let wider = 1.05; atNear * atFar > 0 && far < 1e6 && far > 1e-9; wider *= 1.5) {
    near = far
    atNear = atFar
    far *= atFar < 0 ? wider : 1 / wider
    atFar = excess(far)
  }
  let [low, atLow, high, atHigh] = near < far ? [near, atNear, far, atFar] : [far, atFar, near, atNear]
  let side = 0
  for (let step = 0; step < MOST_STEPS && high / low - 1 > RELATIVE_TOLERANCE; step += 1) {
    const middle = low * (high / low) ** (atLow / (atLow - atHigh))
    const atMiddle = excess(middle)
    if (Math.abs(atMiddle) < RELATIVE_TOLERANCE) return middle
    if (atMiddle > 0) {
      high = middle
      atHigh = atMiddle
      if (side === 1) atLow /= 2
      side = 1
    } else {
      low = middle
      atLow = atMiddle
      if (side === -1) atHigh /= 2
      side = -1
    }
  }
  return Math.sqrt(low * high)
}

/**
 * Terminal speed of a fly, mm/s; 0 for one that does not sink.
 *
 * @param tippetLengthMm length that trails; the model's own unless given
 */
export function terminalSpeed(model: FallModel, tippetLengthMm = model.tippet?.lengthMm ?? 0): number {
  if (model.submergedMg <= 0) return 0
  return balanceSpeed(
    model.submergedMg * GRAVITY_MM_PER_S2,
    (speed) => flyDrag(model, speed) + tippetPull(model, speed, tippetLengthMm),
  )
}

/** How the resisting force grows with speed near a speed: q in F ∝ v^q, 1 (creeping) to 2 (bluff). */
export function localExponent(model: FallModel, speedMmPerS: number): number {
  const length = model.tippet?.lengthMm ?? 0
  const force = (speed: number) => flyDrag(model, speed) + Math.max(tippetPull(model, speed, length), 0)
  return Math.log(force(speedMmPerS * 1.02) / force(speedMmPerS * 0.98)) / Math.log(1.02 / 0.98)
}
