import type { ComponentKind, FitFinding } from '../dressing/index.ts'
import type { Ride } from '../float/index.ts'
import type { Attitude, FallModel } from '../sink/index.ts'
import type { Estimate } from '../uncertainty/index.ts'
import type { HangBelow } from './hangBelow.ts'
import type { Splash } from './splash.ts'

/** Mass of one component, for the list below the drawing. */
export interface PartMass {
  readonly key: string
  readonly kind: ComponentKind | 'hook'
  readonly massMg: number
  readonly submergedMg: number
  readonly volumeMm3: number
}

/** Share of the doubt in a fall that comes from one input; the shares of a fall add up to 1. */
export interface DoubtShare {
  readonly input: 'drag' | 'tippet' | 'hook' | 'bead' | 'wire' | 'dressing'
  readonly share: number
}

/** Speed of fall under one arrangement, and what makes its doubt. */
export interface Fall {
  readonly sinkSpeedMmPerS: Estimate
  /** q in F ∝ v^q at that speed */
  readonly exponent: number
  readonly doubt: readonly DoubtShare[]
}

/** How a fly hangs still from its eye. */
export interface Hang {
  /** as in {@link Attitude}; 0 or 180 where it hangs level */
  readonly noseDownDeg: number
  readonly pointUp: boolean
  /** where a bead stands on a pin: how long the pin must be to hang level, and what 0.2 mm of it do */
  readonly pin: {
    readonly lengthMm: number
    /** null where no length does */
    readonly levelAtMm: number | null
    readonly degreesPerFifthMm: number
    /** whether the bead clears the eye there; at the length it has where no length hangs it level */
    readonly clearsEye: boolean
  } | null
}

/** Speed of a fly lighter than water as it comes up. */
export interface Rise {
  readonly free: Fall
  /** from below, with the conditions' tippet drawn after it; null where they have none */
  readonly trailing: Fall | null
  /** its fall upside down: what lifts it as the weight */
  readonly model: FallModel
}

interface Common {
  readonly massMg: Estimate
  readonly parts: readonly PartMass[]
  readonly findings: readonly FitFinding[]
}

/** What core says of a fly. An outcome that has no number has none. */
export type FlyReport =
  | (Common & {
      readonly kind: 'sinks'
      readonly submergedMg: Estimate
      readonly free: Fall
      /** with the conditions' tippet; null where they have none */
      readonly trailing: Fall | null
      /** in free fall */
      readonly attitude: Attitude
      readonly hung: Hang
      readonly splash: Splash
      readonly model: FallModel
    })
  | (Common & {
      readonly kind: 'floats'
      readonly ride: Ride
      /** how it hangs below the film; null for one that rides otherwise */
      readonly hangs: HangBelow | null
      /** how it comes up once it is drawn under; null for one that would then go down */
      readonly rise: Rise | null
    })
  | (Common & {
      /** hardly falls or rises: slower than 1 cm/s, or too near the weight of water to tell which */
      readonly kind: 'hovers'
      /** weight in water; a limit below nought is lift */
      readonly submergedMg: Estimate
      /** down; below nought up */
      readonly speedMmPerS: number
    })
  | (Common & { readonly kind: 'doesNotFit' })
