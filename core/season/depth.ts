import { isStillwater } from './foodStage.ts'
import type { DepthBand, WaterKind } from './foodStage.ts'

/** Depths below the surface, mm. */
export interface DepthRange {
  readonly fromMm: number
  readonly toMm: number
}

const NEAR_BED_MM = 300
const FILM_MM = 30

/** Where a band lies in water of this depth. On the film is nought; near the bed is the lowest 0.3 m. */
export function bandRange(band: DepthBand, bedMm: number, kind: WaterKind): DepthRange {
  switch (band) {
    case 'onFilm':
      return { fromMm: 0, toMm: 0 }
    case 'inFilm':
      return { fromMm: 0, toMm: Math.min(FILM_MM, bedMm) }
    case 'topHalfMetre':
      return { fromMm: FILM_MM, toMm: Math.min(500, bedMm) }
    case 'midWater': {
      const toMm = Math.max(bedMm - NEAR_BED_MM, bedMm * 0.6)
      return { fromMm: Math.min(isStillwater(kind) ? 500 : bedMm * 0.3, toMm), toMm }
    }
    case 'bottom':
      return { fromMm: Math.max(bedMm - NEAR_BED_MM, bedMm * 0.6), toMm: bedMm }
  }
}
