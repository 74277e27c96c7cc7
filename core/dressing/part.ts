import type { DragElement, FlySpot } from '../sink/index.ts'
import type { Material } from '../material/index.ts'
import type { ComponentKind } from './dressing.ts'

/** How wet the fly is: as tied, dipped and cast twice, or squeezed out under water. */
export type WetState = 'dry' | 'fresh' | 'soaked'

/** Fibres that the film pushes on, each a cantilever that is held at its root. */
export interface Barbs {
  readonly count: number
  /** from the root to the tip, mm */
  readonly reachMm: number
  /** load on one for a mm of bend, and at which it folds, mg */
  readonly bendMgPerMm: number
  readonly foldMg: number
  /** in a ring about the shank, of which the lower half meets the film; flat on it all round; or in a fan to one side */
  readonly lie: 'ring' | 'disc' | 'fan'
  /** share of their length that shears have left of those that point down */
  readonly leftBelow: number
}

/** How a part can lie on the surface film. */
export interface FilmContact {
  /** fibres that bend on the film; a body along it; wings spread out in it; or the film about a tuft that goes under */
  readonly kind: 'fringe' | 'flank' | 'spread' | 'rim'
  /** sum of the lines of contact, both sides of each fibre, mm */
  readonly lineMm: number
  /** the way round the dimple that they share, and its area */
  readonly aroundMm: number
  readonly areaMm2: number
  /** null for what does not bend: a body, a tuft */
  readonly barbs: Barbs | null
}

/** What one component brings to the fly: weight, volume, air, drag and support at the film. */
export interface Part {
  readonly key: string
  readonly kind: ComponentKind | 'hook'
  readonly material: Material
  readonly massMg: number
  /** standard deviation of ln(mass) */
  readonly massSdLog: number
  /** of the solids and of what is sealed in them, mm³ */
  readonly volumeMm3: number
  /** held among its fibres when the fly first goes in, mm³ */
  readonly airMm3: number
  /** drownings that leave 37 % of that air, and seconds in quiet water that do */
  readonly wettingStrokes: number
  readonly wettingTimeS: number
  /** soaks through in two casts, whatever air it held */
  readonly drinks: boolean
  /** where its weight sits */
  readonly at: FlySpot
  readonly elements: readonly DragElement[]
  readonly film: FilmContact | null
  /** share of the film's limit that it reaches dry, with its treatment, 0 to 0.6 */
  readonly filmSupportShare: number
  /** there to hold the fly up: tied for that, treated, or of stuff that keeps its air */
  readonly holdsUp: boolean
  readonly topMm: number
}

const STROKES_WHEN_FRESH = 2

/** Share of all its first air that a fly still holds: 1 straight from the vise, 0 soaked; 0 where it never holds any. */
export function dryness(parts: readonly Part[], wet: WetState): number {
  const first = parts.reduce((sum, part) => sum + part.airMm3, 0)
  return first > 0 ? parts.reduce((sum, part) => sum + part.airMm3 * airKept(part, wet), 0) / first : 0
}

/** Share of its first air that a part still holds. */
export function airKept(part: Part, wet: WetState): number {
  if (wet === 'dry') return 1
  return wet === 'soaked' || part.drinks
    ? 0
    : Math.exp(-STROKES_WHEN_FRESH / Math.max(part.wettingStrokes, 0.05))
}
