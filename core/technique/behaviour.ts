import type { Posture } from '../float/index.ts'

/** A fly on its way down. */
export interface Sinks {
  readonly kind: 'sinks'
  /** with half a metre of line trailing after it */
  readonly sinkSpeedMmPerS: number
  /** without a line */
  readonly freeMmPerS: number
  /** weight in water; below nought one that hovers */
  readonly submergedMg: number
}

/** How a fly behaves in the water: falling, floating, or unknown. */
export type Behaviour =
  Sinks | { readonly kind: 'floats'; readonly posture: Posture } | { readonly kind: 'unknown' }
