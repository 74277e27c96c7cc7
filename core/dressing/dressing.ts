/** What a component does on a fly. */
export const COMPONENT_KINDS = [
  'bead', 'cone', 'eyes', 'wire', 'sheet', 'thread', 'tail', 'shuck', 'body', 'rib', 'thorax', 'gills', 'legs', 'collar',
  'hackle', 'wing', 'post', 'wingCase', 'back', 'strip', 'foam', 'coat', 'hotSpot', 'egg', 'head',
] as const // prettier-ignore
export type ComponentKind = (typeof COMPONENT_KINDS)[number]

/** Sides of the shank that something may lie on. */
export const SIDES = ['around', 'above', 'below', 'left', 'right', 'both'] as const
/** What may be done to legs or tails before they are tied in. */
export const FORMED = ['cut', 'knotted', 'bent'] as const

/** Where along the shank, 0 at the eye to 1 at the bend, and on which side of it. */
export interface Place {
  readonly from: number
  readonly to: number
  readonly side: (typeof SIDES)[number]
}

/** A length said in the tier's way: so many shanks, gapes, hook lengths or beads, relative to a component, or in mm. */
export type Proportion =
  | { readonly factor: number; readonly of: 'shank' | 'gape' | 'hookLength' | 'bead' }
  | { readonly factor: number; readonly of: 'component'; readonly componentKey: string }
  | { readonly mm: number }

/**
 * One material on a fly. Amounts left out are derived and shown as derived. The length of a bead is how far it stands
 * before the eye on a pin, as balanced flies have it.
 */
export interface Component {
  readonly key: string
  readonly kind: ComponentKind
  readonly materialId: string
  readonly place: Place
  readonly length?: Proportion | undefined
  readonly turns?: number | undefined
  readonly fibreCount?: number | undefined
  readonly strands?: number | undefined
  readonly layers?: number | undefined
  /** thickness of a wound or dubbed body: 0 the thinnest that covers, 1 as thick as anyone ties it */
  readonly bulk?: number | undefined
  /** of a strip cut from foam sheet */
  readonly widthMm?: number | undefined
  /** share of a hackle's fibres below the shank that shears have left: 0 flush, 1 untouched */
  readonly clipped?: number | undefined
  /** what was done to legs or tails before they were tied in */
  readonly formed?: (typeof FORMED)[number] | undefined
  readonly treatment?: 'dry' | 'floatant' | 'resin' | 'varnish' | undefined
}

/** What is done at a step; `own` is what its note says. */
export const STEP_VERBS = [
  'bead', 'start', 'wrap', 'tieIn', 'dub', 'wind', 'pullOver', 'rib', 'coat', 'finish', 'own',
] as const // prettier-ignore

/** One step at the vise. Thread positions are along the shank, 0 at the eye to 1 at the bend. */
export interface Step {
  readonly key: string
  readonly verb: (typeof STEP_VERBS)[number]
  readonly componentKey: string | null
  readonly threadFrom: number
  readonly threadTo: number
  readonly note: string
}

/** A recipe: what and where, in tying order. Steps are derived until someone edits them. */
export interface Dressing {
  readonly components: readonly Component[]
  readonly steps: readonly Step[] | null
}

/** What a variant does otherwise than its dressing. */
export interface Swap {
  readonly componentKey: string
  readonly materialId?: string | undefined
  readonly turns?: number | undefined
  readonly fibreCount?: number | undefined
  readonly strands?: number | undefined
  readonly layers?: number | undefined
  /** thickness of a dubbed body, as in {@link Component} */
  readonly bulk?: number | undefined
  readonly widthMm?: number | undefined
  readonly length?: Proportion | undefined
  /** share of what points down that shears have left, as in {@link Component} */
  readonly clipped?: number | undefined
  readonly omit?: boolean | undefined
}

/** A dressing on one hook. "Unweighted" is bead and wire omitted. */
export interface Variant {
  readonly hookMaterialId: string
  readonly swaps: readonly Swap[]
}
