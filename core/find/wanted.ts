import type { Dressing, Variant } from '../dressing/index.ts'
import type { Current } from '../drift/index.ts'
import type { Measured } from '../calibrate/index.ts'
import type { Conditions } from '../evaluate/index.ts'
import type { Posture } from '../float/index.ts'
import type { Material } from '../material/index.ts'

/** Asks for a depth by a time. */
interface DepthByTime {
  readonly kind: 'depthByTime'
  readonly depthMm: number
  readonly withinS: number
}

/** Asks for a depth within a lead in a current. */
interface WithinLead {
  readonly kind: 'lead'
  readonly depthMm: number
  readonly leadMm: number
  readonly current: Current
}

/** Asks for a fly that hangs level from its eye; the time to the depth is weighed against the rest. */
interface HangsLevel {
  readonly kind: 'level'
  readonly depthMm: number
}

/** Asks for a fly that holds a posture at the surface. */
interface HoldsPosture {
  readonly kind: 'posture'
  readonly posture: Posture
}

/** What the fly is to reach by falling. */
export type WantedFall = DepthByTime | WithinLead | HangsLevel

/** What a weighting is to do. */
export type Wanted = WantedFall | HoldsPosture

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
  /** by drawer, price of one piece or of one mm, in the currency's smallest coin; a drawer without price is absent */
  readonly costs: ReadonlyMap<string, number>
}

/** A search for weightings of one dressing. */
export interface FindInput {
  readonly dressing: Dressing
  readonly variant: Variant
  readonly materials: ReadonlyMap<string, Material>
  readonly offers: Offers
  readonly wanted: Wanted
  readonly conditions: Conditions
  /** all that was measured; a weighting that is not tied yet was not weighed itself */
  readonly measured: Measured
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
  /** how far the bead stands before the eye, mm; null where it stays as it is */
  readonly pinMm: number | null
}

/** A weighting that does what is wanted, with what it costs. */
export interface Found {
  readonly weighting: Weighting
  /** seconds to the depth; nought where a posture was asked for */
  readonly timeS: number
  /** support over load at the surface, of a fly that floats; else null */
  readonly reserve: number | null
  /** hook, bead and wire, in the currency's smallest coin; null where a price is not known */
  readonly costMinor: number | null
  readonly massMg: number
  readonly splashMicroJ: number
  /** widest of the dressing over the gape */
  readonly bulkIndex: number
  readonly inStores: boolean
}

/** Why a weighting is among the few that are shown. */
export type Merit =
  'lightest' | 'slimmest' | 'fastest' | 'steadiest' | 'cheapest' | 'nearest' | 'inStores' | 'between'

/** A finalist, reckoned in full. */
export interface Finalist extends Found {
  readonly merits: readonly Merit[]
  readonly leadMm: number | null
  /** 80 % limits of the time */
  readonly low: number
  readonly high: number
  /** hanging from the eye, degrees from level; null for one that floats */
  readonly tiltDeg: number | null
  /** weight that it bears more at the surface, mg; null for one that sinks */
  readonly spareMg: number | null
  /** by how much the quick reckoning was off, share of the time */
  readonly quickError: number
}
