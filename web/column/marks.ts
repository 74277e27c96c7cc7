import { createContext, useContext, useEffect } from 'react'
import type { CompartmentId, VariantId } from '../../contract/index.ts'

/** Something that hangs in the Column. */
export interface Mark {
  readonly id: string
  /** what it is called, from the whole to the shortest */
  readonly names: readonly string[]
  /** few words after the name: how many fish, how many flies */
  readonly words: string
  /** where the mark stands, mm below the film */
  readonly depthMm: number
  /** the stretch that it is met in */
  readonly fromMm: number
  readonly toMm: number
  /** how far it reaches towards the middle, 0 to 1: the share of the fish; 0 where nothing is to be shown so */
  readonly weight: number
  /** its soft end: how far it may reach, 0 to 1 */
  readonly softWeight: number
  /** packed: a fly that goes along; out: one of which none is on hand; hole: a food that nothing serves */
  readonly look: 'food' | 'fly' | 'packed' | 'out' | 'hole'
  /** of the fly that it shows; null where it is no fly, or nothing is to be drawn */
  readonly drawingKey: string | null
  /** of what crowds at one depth the highest is named first */
  readonly rank: number
  /** where Enter leads */
  readonly to: string | null
  /** what would fill a hole, to be queued at the bench */
  readonly batch?: Queued | null
}

/** Flies of a variant that are to be tied, and where they go. */
export interface Queued {
  readonly variantId: VariantId
  readonly count: number
  readonly compartmentId: CompartmentId
}

/** Where a fly is after a second of its fall, with the band. */
export interface SecondMark {
  readonly timeS: number
  readonly depthMm: number
  readonly lowMm: number
  readonly highMm: number
}

/** A fall drawn in the Column: second marks with their band. */
export interface FallMark {
  readonly seconds: readonly SecondMark[]
  /** the fall of a weighting that is only thought of */
  readonly ghost: readonly SecondMark[]
  /** where dragging a second mark to a depth does something */
  readonly onDrag: ((timeS: number, depthMm: number) => void) | null
}

/** How high the top of a fly that floats stands above the film, and where a cut that is thought of brings it. */
export interface TrimLine {
  readonly clearMm: number
  readonly ghostMm: number | null
  readonly words: (clearMm: number) => string
  /** where dragging it does something */
  readonly onDrag: ((clearMm: number) => void) | null
}

/** A stretch of depth of a water: how fast it runs there, as share of the surface, and in words how warm and fast. */
interface WaterLayer {
  readonly depthMm: number
  readonly speedShare: number
  readonly words: string
}

/** A section of a water, from film to bed. */
export interface WaterSection {
  readonly title: string
  readonly layers: readonly WaterLayer[]
  readonly ice: boolean
  readonly thermocline: {
    readonly depthMm: number
    readonly words: string
    readonly onMove: (depthMm: number) => void
    readonly onDrop: () => void
  } | null
}

/** A stretch of depth that is chosen with two handles. */
export interface DepthSpan {
  readonly fromMm: number
  readonly toMm: number
  /** a depth as the handles say it */
  readonly words: (depthMm: number) => string
  readonly onChange: (span: { readonly fromMm: number; readonly toMm: number }) => void
}

/** A place of a rig in the plane of the current: downstream and down. */
interface RigPlace {
  readonly xMm: number
  readonly zMm: number
}

/** A rig as it hangs in the current, from where it is held or from its float down. */
export interface RigMark {
  readonly line: readonly RigPlace[]
  /** each with the knot that it hangs from, and where it may be instead */
  readonly flies: readonly (RigPlace & {
    readonly knot: RigPlace
    readonly fromMm: number
    readonly toMm: number
  })[]
  /** as it was saved, where it is being changed */
  readonly ghost: readonly RigPlace[] | null
  readonly isCarried: boolean
  /** what brings its lowest fly to another depth; null where nothing does */
  readonly grip: {
    readonly depthMm: number
    /** what is changed by it, and how it stands */
    readonly label: string
    readonly words: string
    readonly onDrag: (depthMm: number) => void
    readonly onDrop: () => void
    /** deeper by so many steps, or higher */
    readonly onStep: (steps: number) => void
  } | null
}

/** What a place hangs in the Column besides the foods. Null leaves the flies lane to the census of the boxes. */
export interface ColumnContent {
  readonly flies: readonly Mark[] | null
  readonly fall: FallMark | null
  /** of a fly that floats */
  readonly trim?: TrimLine | null
  readonly rig?: RigMark | null
  /** ids of foods to keep bright; null keeps all */
  readonly foods: readonly string[] | null
  /** the water itself, where a place is about it */
  readonly section?: WaterSection | null
  /** the depth that a place looks at */
  readonly span?: DepthSpan | null
  /** a place that has nothing to hang leaves the room to its sheet */
  readonly narrow?: boolean
}

/** What hangs of a place that is not about the water. */
export const NARROW: ColumnContent = { flies: [], fall: null, foods: [], narrow: true }
export const EMPTY_CONTENT: ColumnContent = { flies: null, fall: null, foods: null }
export const ColumnContext = createContext<(content: ColumnContent) => void>(() => undefined)

/** Hangs a place's marks in the Column while it is open. */
export function useColumn(content: ColumnContent): void {
  const hang = useContext(ColumnContext)
  useEffect(() => {
    hang(content)
  }, [hang, content])
  useEffect(
    () => () => {
      hang(EMPTY_CONTENT)
    },
    [hang],
  )
}
