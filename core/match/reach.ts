import type { Posture } from '../float/index.ts'
import { bandIn, bandRange } from '../season/index.ts'
import type { DepthBand, FoodStage, WaterKind } from '../season/index.ts'
import { plain } from './matchAspect.ts'
import type { MatchAspect } from './matchAspect.ts'

/** How a fly behaves in the water, as far as matching needs it: falling with its line trailing, floating, or unknown. */
export type Behaviour =
  | { readonly kind: 'sinks'; readonly sinkSpeedMmPerS: number }
  | { readonly kind: 'floats'; readonly posture: Posture }
  | { readonly kind: 'unknown' }

/** Where it is fished. */
export interface MatchPlace {
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  /** body length of the stage now, mm; nought where none is about */
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

/** On a drift of this length a bottom fly must be down; in still water it may take longer than anyone waits. */
const DRIFT_MM = 6000
const PATIENCE_S = 20

/** Seconds that a fly has to get down: a usual drift at this speed of the surface, or as long as anyone waits. */
export const timeToGetDownS = (surfaceSpeedMmPerS: number): number =>
  Math.min(DRIFT_MM / Math.max(surfaceSpeedMmPerS, 1), PATIENCE_S)

/** Depth where a fly fishes, mm: as far as it gets on a usual drift or wait, never below the bed; null where unknown. */
export function fishingDepthMm(
  behaviour: Behaviour,
  { bedMm, surfaceSpeedMmPerS }: Pick<MatchPlace, 'bedMm' | 'surfaceSpeedMmPerS'>,
): number | null {
  switch (behaviour.kind) {
    case 'unknown':
      return null
    case 'floats':
      return 0
    case 'sinks':
      return Math.min(behaviour.sinkSpeedMmPerS * timeToGetDownS(surfaceSpeedMmPerS), bedMm)
  }
}

/** Fish in the top hand's breadth are passed by anything that is through it in a second. */
const FAST_THROUGH_TOP_S = 1.5
/** Slower than this a fly still hangs about the film for a drift. */
const HANGS_ABOUT_MM_PER_S = 40

function sinkingAspect(found: number, band: DepthBand, place: MatchPlace): MatchAspect {
  const range = bandRange(band, place.bedMm, place.waterKind)
  const targetMm = Math.max((range.fromMm + range.toMm) / 2, 1)
  const availableS = timeToGetDownS(place.surfaceSpeedMmPerS)
  const wantedLow = targetMm / availableS
  const wantedHigh =
    band === 'bottom' ? Infinity : Math.max(range.toMm - range.fromMm, 300) / FAST_THROUGH_TOP_S
  const base = { aspect: 'depth' as const, found, wantedLow, wantedHigh, names: [] }
  if (band === 'onFilm' || band === 'inFilm') {
    const score = found < HANGS_ABOUT_MM_PER_S ? 0.4 : 0
    return { ...base, wantedLow: 0, wantedHigh: 0, code: 'sinksBelowIt', score }
  }
  if (found < wantedLow) {
    return { ...base, code: 'tooSlow', score: Math.max(0, 1 - Math.log(wantedLow / Math.max(found, 1))) }
  }
  if (found > wantedHigh) {
    return { ...base, code: 'tooFast', score: Math.max(0, 1 - Math.log(found / wantedHigh)) }
  }
  return { ...base, code: 'depthRight', score: 1 }
}

/** Whether something that falls so fast is down on the bottom within a usual drift, or wait, at a place. */
export const bottomAspect = (sinkSpeedMmPerS: number, place: MatchPlace): MatchAspect =>
  sinkingAspect(sinkSpeedMmPerS, 'bottom', place)

/** Whether the fly gets to where the stage is taken, and stays there. */
export function depthAspect(behaviour: Behaviour, stage: FoodStage, place: MatchPlace): MatchAspect {
  const band = bandIn(stage, place.waterKind)
  if (!band) return plain('depth', 'notKnown', 0)
  switch (behaviour.kind) {
    case 'sinks':
      return sinkingAspect(behaviour.sinkSpeedMmPerS, band, place)
    case 'unknown':
      return plain('depth', 'notKnown', 0.3)
    case 'floats':
      return band === 'onFilm' || band === 'inFilm'
        ? plain('depth', 'depthRight', 1)
        : plain('depth', 'floatsAboveIt', 0)
  }
}

/** From high to low, and which of them each kind of surface food asks for. */
const HEIGHT: Readonly<Record<Posture, number>> = { proud: 0, low: 1, inFilm: 2, hanging: 3, awash: 4 }
const WANTED = {
  upright: [0, 1],
  onFilm: [0, 2],
  inFilm: [2, 3],
  hanging: [2, 3],
  spent: [1, 2],
} as const

function heightWanted(stage: FoodStage & { readonly silhouette: string }, band: DepthBand) {
  if (stage.silhouette === 'hangingEmerger' || stage.silhouette === 'humpedEmerger') return WANTED.hanging
  if (stage.silhouette === 'spentWing') return WANTED.spent
  if (stage.silhouette === 'uprightWing') return WANTED.upright
  return band === 'onFilm' ? WANTED.onFilm : WANTED.inFilm
}

/** Whether a floating fly rides as a stage of the surface does; null where there is nothing to compare. */
export function postureAspect(
  behaviour: Behaviour,
  stage: FoodStage & { readonly silhouette: string },
  place: MatchPlace,
): MatchAspect | null {
  const band = bandIn(stage, place.waterKind)
  if (behaviour.kind !== 'floats' || (band !== 'onFilm' && band !== 'inFilm')) return null
  const [highest, lowest] = heightWanted(stage, band)
  const height = HEIGHT[behaviour.posture]
  if (height < highest) return plain('posture', 'ridesTooHigh', 1 - 0.3 * (highest - height))
  if (height > lowest) return plain('posture', 'ridesTooLow', 1 - 0.3 * (height - lowest))
  return plain('posture', 'postureRight', 1)
}
