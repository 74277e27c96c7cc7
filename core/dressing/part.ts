import type { DragElement } from '../sink/index.ts'
import type { Material } from '../material/index.ts'
import type { ComponentKind } from './dressing.ts'

/** How wet the fly is: as tied, dipped and cast twice, or squeezed out under water. */
export type WetState = 'dry' | 'fresh' | 'soaked'

/** What one component brings to the fly: weight, volume, air, drag and support at the film. */
export interface Part {
  readonly key: string
  readonly kind: ComponentKind | 'hook'
  readonly material: Material
  readonly massMg: number
  /** standard deviation of ln(mass) */
  readonly massSdLog: number
  /** of the solids, without air, mm³ */
  readonly volumeMm3: number
  /** held among its fibres when the fly first goes in, mm³ */
  readonly airMm3: number
  /** casts or squeezes that leave 37 % of that air */
  readonly wettingStrokes: number
  /** where its weight sits: x from the eye towards the bend, y up, mm */
  readonly centroid: { readonly xMm: number; readonly yMm: number }
  readonly elements: readonly DragElement[]
  /** length of line along which it can lie on the film, mm */
  readonly filmPerimeterMm: number
  /** share of the film's limit that it reaches dry, with its treatment, 0 to 0.6 */
  readonly filmSupportShare: number
}

const STROKES_WHEN_FRESH = 2

/** Share of its first air that a part still holds. */
export function airKept(part: Part, wet: WetState): number {
  if (wet === 'dry') return 1
  return wet === 'soaked' ? 0 : Math.exp(-STROKES_WHEN_FRESH / Math.max(part.wettingStrokes, 0.05))
}
