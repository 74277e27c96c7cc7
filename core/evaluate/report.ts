import type { ComponentKind, FitFinding } from '../dressing/index.ts'
import type { FallModel, Pose } from '../sink/index.ts'
import type { Estimate } from '../uncertainty/index.ts'

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

interface Common {
  readonly massMg: Estimate
  readonly parts: readonly PartMass[]
  readonly findings: readonly FitFinding[]
}

/** How the fly is held. Assumed until it is reckoned from where weight and drag sit. */
export interface Attitude {
  readonly kind: 'assumed'
  readonly pose: Pose
}

/** What core says of a fly. An outcome that has no number has none. */
export type FlyReport =
  | (Common & {
      readonly kind: 'sinks'
      readonly submergedMg: Estimate
      readonly free: Fall
      /** with the conditions' tippet; null where they have none */
      readonly trailing: Fall | null
      readonly attitude: Attitude
      readonly model: FallModel
    })
  | (Common & {
      readonly kind: 'floats'
      /** by what it stays up: lighter than water, or carried by the film */
      readonly by: 'buoyancy' | 'film'
      readonly posture: 'onFilm' | 'inFilm'
      /** mg in water that it bears more; a first figure, waves not counted */
      readonly spareMg: number
    })
  | (Common & { readonly kind: 'doesNotFit' })
  | (Common & {
      readonly kind: 'notYetComputed'
      readonly notReckoned: readonly { readonly key: string; readonly kind: ComponentKind }[]
    })
