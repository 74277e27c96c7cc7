import type { Dressing, Variant } from '../dressing/index.ts'
import type { Current } from '../drift/index.ts'
import type { Calibration, Conditions } from '../evaluate/index.ts'
import type { Material } from '../material/index.ts'

/** What a weighting is to do: be at a depth by a time, or within a lead in a current. */
export type Wanted =
  | { readonly kind: 'depthByTime'; readonly depthMm: number; readonly withinS: number }
  | {
      readonly kind: 'lead'
      readonly depthMm: number
      readonly leadMm: number
      readonly current: Current
    }

/** What may be tied in. */
export interface Offers {
  readonly hooks: readonly Material[]
  /** null stands for none */
  readonly beads: readonly (Material | null)[]
  readonly wires: readonly (Material | null)[]
  readonly mostTurns: number
  /** thickness of the dubbed body, 0 to 1; empty leaves it as it is */
  readonly bulks: readonly number[]
  /** drawers that are in the stores */
  readonly inStores: ReadonlySet<string>
}

/** A search for weightings of one dressing. */
export interface FindInput {
  readonly dressing: Dressing
  readonly variant: Variant
  readonly materials: ReadonlyMap<string, Material>
  readonly offers: Offers
  readonly wanted: Wanted
  readonly conditions: Conditions
  readonly calibration: Calibration
  /** most energy at the splash, µJ; Infinity for any */
  readonly mostSplashMicroJ: number
  /** works only on every so-manieth group, to share the search among workers */
  readonly share: { readonly of: number; readonly nth: number }
}

/** One way to weight the fly. */
export interface Weighting {
  readonly hook: Material
  readonly bead: Material | null
  readonly wire: Material | null
  readonly turns: number
  /** null where the body stays as it is */
  readonly bulk: number | null
}

/** A weighting that does what is wanted, with what it costs. */
export interface Found {
  readonly weighting: Weighting
  /** seconds to the depth; with 80 % limits once it was reckoned in full */
  readonly timeS: number
  readonly massMg: number
  readonly splashMicroJ: number
  /** widest of the dressing over the gape */
  readonly bulkIndex: number
  readonly inStores: boolean
}

/** Why a weighting is among the few that are shown. */
export type Merit = 'lightest' | 'slimmest' | 'fastest' | 'nearest' | 'inStores' | 'between'

/** A finalist, reckoned in full. */
export interface Finalist extends Found {
  readonly merits: readonly Merit[]
  readonly leadMm: number | null
  readonly low: number
  readonly high: number
  /** by how much the quick reckoning was off, share of the time */
  readonly quickError: number
}
