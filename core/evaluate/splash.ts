import { faceFlow, flowAt, pushOn } from '../sink/index.ts'
import type { DragElement, Push } from '../sink/index.ts'
import { AIR, GRAVITY_MM_PER_S2 } from '../water/index.ts'

/** How a fly goes in, from least to most. */
export const SPLASHES = ['tipsIn', 'slipsIn', 'taps', 'plops', 'thuds'] as const
export type SplashWord = (typeof SPLASHES)[number]

/** How a fly enters the water. */
export interface Splash {
  readonly word: SplashWord
  /** energy that it brings to the surface, µJ */
  readonly energyMicroJ: number
}

/** A fly that turns over drops from about this height. */
const DROP_MM = 300
/** About its speed halfway down, at which the air's drag is taken, mm/s. */
const DROP_SPEED = Math.sqrt(GRAVITY_MM_PER_S2 * DROP_MM)
/** Limits in µJ between the words, by judgement: a small nymph tips in, a 3.3 mm tungsten bead plops. */
const LIMITS: readonly (readonly [number, SplashWord])[] = [
  [60, 'tipsIn'],
  [200, 'slipsIn'],
  [500, 'taps'],
  [1500, 'plops'],
]

/** Most energy at which a splash is still called this, µJ. */
export const splashLimitMicroJ = (word: SplashWord): number =>
  LIMITS.find(([, name]) => name === word)?.[0] ?? Infinity

/** How the air holds back a fly that comes down level behind its leader: drag over the square of speed, mg/mm. */
export function airDragMgPerMm(elements: readonly DragElement[]): number {
  const push: Push = { along: 0, left: 0 }
  let force = 0
  for (const facing of faceFlow(elements, flowAt(0))) {
    pushOn(facing, DROP_SPEED, AIR, push)
    force += push.along
  }
  return force / DROP_SPEED ** 2
}

/**
 * Energy of a fly as it meets the water at the end of an ordinary cast, µJ: m g h (1 − e^−x)/x with x = 2 c h/m, the
 * closed form of a fall from rest against drag c v². 1 mg·mm²/s² is 1e-12 J, so 1e6 of them are 1 µJ.
 *
 * @param airDrag c, from airDragMgPerMm
 */
export function splashEnergyMicroJ(massMg: number, airDrag: number): number {
  const x = (2 * airDrag * DROP_MM) / massMg
  return (massMg * GRAVITY_MM_PER_S2 * DROP_MM * -Math.expm1(-x)) / x / 1e6
}

/** The splash of a fly of this mass that the air holds back like this. */
export function splashOf(massMg: number, airDrag: number): Splash {
  const energyMicroJ = splashEnergyMicroJ(massMg, airDrag)
  return { energyMicroJ, word: LIMITS.find(([most]) => energyMicroJ < most)?.[1] ?? 'thuds' }
}
