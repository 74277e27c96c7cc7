import type { Posture } from '../float/index.ts'

/** How a fly behaves in the water: falling with its line trailing, floating, or unknown. */
export type Behaviour =
  | { readonly kind: 'sinks'; readonly sinkSpeedMmPerS: number }
  | { readonly kind: 'floats'; readonly posture: Posture }
  | { readonly kind: 'unknown' }
