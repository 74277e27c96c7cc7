import type { Hook } from '../hook/index.ts'
import type { Material } from '../material/index.ts'
import type { Component, Place } from './dressing.ts'
import type { Amount } from './amount.ts'

/** A component on the hook at hand, in millimetres, its amounts complete. */
export interface FlyComponent extends Omit<Component, 'materialId' | 'length' | 'place'> {
  readonly material: Material
  /** what the recipe did not say and was worked out */
  readonly derived: readonly (Amount | 'length')[]
  readonly side: Place['side']
  /** from the rear of the eye towards the bend, mm */
  readonly fromMm: number
  readonly toMm: number
  /** free length, mm; null where the recipe says none and the kind needs none */
  readonly lengthMm: number | null
  /** diameter of what lies below it, mm: the mean over its place */
  readonly coreMm: number
  /** diameter over it, mm */
  readonly outerMm: number
}

/** A dressing resolved on one hook: absolute, in mm; x = 0 at the rear of the eye, towards the bend. */
export interface Fly {
  readonly hook: Hook
  readonly hookMaterial: Material
  readonly components: readonly FlyComponent[]
}

/** What keeps a recipe from being a fly. */
export type MissingPiece =
  | { readonly code: 'unknownMaterial'; readonly componentKey: string | null; readonly materialId: string }
  | { readonly code: 'notAHook'; readonly componentKey: null; readonly materialId: string }
  | {
      readonly code: 'cyclicProportion' | 'unknownComponent' | 'tooLong'
      readonly componentKey: string
      readonly materialId: string
    }

/** A recipe that lacks something. */
export interface Incomplete {
  readonly kind: 'incomplete'
  readonly missing: readonly MissingPiece[]
}
