import { GRAVITY_MM_PER_S2 } from '../water/index.ts'

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

/** Energy of a fly of this mass as it meets the water, µJ. */
export const splashEnergyMicroJ = (massMg: number): number => (massMg * GRAVITY_MM_PER_S2 * DROP_MM) / 1e6

/** The splash of a fly of this mass at the end of an ordinary cast; 1 mg·mm²/s² is 1e-12 J, so 1e6 of them are 1 µJ. */
export function splashOf(massMg: number): Splash {
  const energyMicroJ = splashEnergyMicroJ(massMg)
  return { energyMicroJ, word: LIMITS.find(([most]) => energyMicroJ < most)?.[1] ?? 'thuds' }
}
