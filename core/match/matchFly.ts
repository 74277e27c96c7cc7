import { colourDistance } from '../colour/index.ts'
import { bandIn, bandRange } from '../season/index.ts'
import type { DepthBand, FoodStage, WaterKind } from '../season/index.ts'

/** One thing in which a fly fits a stage or does not. Values stand by the code for wording. */
export interface MatchAspect {
  readonly aspect: 'size' | 'depth' | 'colour'
  /** 0 to 1 */
  readonly score: number
  readonly code:
    | 'sizeRight'
    | 'tooLarge'
    | 'tooSmall'
    | 'depthRight'
    | 'tooSlow'
    | 'tooFast'
    | 'floatsAboveIt'
    | 'sinksBelowIt'
    | 'notKnown'
    | 'colourNear'
    | 'colourFar'
  readonly found: number
  readonly wantedLow: number
  readonly wantedHigh: number
}

/** How well a fly serves a stage, 0 to 1, and why. */
export interface FlyMatch {
  readonly score: number
  readonly aspects: readonly MatchAspect[]
}

/** How a fly behaves in the water, as far as matching needs it: falling with its line trailing, floating, or unknown. */
export type Behaviour =
  | { readonly kind: 'sinks'; readonly sinkSpeedMmPerS: number }
  | { readonly kind: 'floats'; readonly posture: 'onFilm' | 'inFilm' }
  | { readonly kind: 'unknown' }

/** The fly as matching sees it. */
export interface Matched {
  readonly behaviour: Behaviour
  /** what the eye takes for the body: hook length of the fly, mm */
  readonly bodyLengthMm: number
  readonly bodyHexWet: string | null
}

/** Where it is fished. */
export interface MatchPlace {
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  /** body length of the stage now, mm; nought where none is about */
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

/** Weights of the school "size and stage first". */
const WEIGHTS = { size: 0.4, depth: 0.4, colour: 0.2 }
/** A fly need not be nearer than this to pass for the right size. */
const SIZE_TOLERANCE = 1.15
/** On a drift of this length a bottom fly must be down; in still water it may take longer than anyone waits. */
const DRIFT_MM = 6000
const PATIENCE_S = 20
/** Fish in the top hand's breadth are passed by anything that is through it in a second. */
const FAST_THROUGH_TOP_S = 1.5

function sizeAspect(fly: Matched, place: MatchPlace): MatchAspect {
  const { bodyLengthMm: found } = fly
  const [wantedLow, wantedHigh] = [place.lengthMmLow, place.lengthMmHigh]
  const base = { aspect: 'size' as const, found, wantedLow, wantedHigh }
  if (found > wantedHigh * SIZE_TOLERANCE) {
    return { ...base, code: 'tooLarge', score: Math.max(0, 1 - 1.6 * Math.log(found / wantedHigh)) }
  }
  if (found < wantedLow / SIZE_TOLERANCE) {
    return { ...base, code: 'tooSmall', score: Math.max(0, 1 - 1.6 * Math.log(wantedLow / found)) }
  }
  return { ...base, code: 'sizeRight', score: 1 }
}

function sinkingAspect(found: number, band: DepthBand, place: MatchPlace): MatchAspect {
  const range = bandRange(band, place.bedMm, place.waterKind)
  const targetMm = Math.max((range.fromMm + range.toMm) / 2, 1)
  const availableS = Math.min(DRIFT_MM / Math.max(place.surfaceSpeedMmPerS, 1), PATIENCE_S)
  const wantedLow = targetMm / availableS
  const wantedHigh =
    band === 'bottom' ? Infinity : Math.max(range.toMm - range.fromMm, 300) / FAST_THROUGH_TOP_S
  const base = { aspect: 'depth' as const, found, wantedLow, wantedHigh }
  if (band === 'onFilm' || band === 'inFilm') {
    return { ...base, wantedLow: 0, wantedHigh: 0, code: 'sinksBelowIt', score: found < 40 ? 0.4 : 0 }
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

function depthAspect(fly: Matched, stage: FoodStage, place: MatchPlace): MatchAspect {
  const band = bandIn(stage, place.waterKind)
  const base = { aspect: 'depth' as const, found: 0, wantedLow: 0, wantedHigh: 0 }
  if (!band) return { ...base, code: 'notKnown', score: 0 }
  const { behaviour } = fly
  if (behaviour.kind === 'sinks') return sinkingAspect(behaviour.sinkSpeedMmPerS, band, place)
  if (behaviour.kind === 'unknown') return { ...base, code: 'notKnown', score: 0.3 }
  if (band === behaviour.posture) return { ...base, code: 'depthRight', score: 1 }
  if (band === 'onFilm' || band === 'inFilm') return { ...base, code: 'depthRight', score: 0.7 }
  return { ...base, code: 'floatsAboveIt', score: 0 }
}

function colourAspect(fly: Matched, stage: FoodStage): MatchAspect {
  const base = { aspect: 'colour' as const, wantedLow: 0, wantedHigh: 0.1 }
  if (!fly.bodyHexWet || stage.colours.length === 0) return { ...base, found: 0, code: 'notKnown', score: 0.5 }
  const body = fly.bodyHexWet
  const found = Math.min(...stage.colours.map(({ hexWet }) => colourDistance(body, hexWet)))
  return {
    ...base,
    found,
    code: found <= 0.12 ? 'colourNear' : 'colourFar',
    score: Math.max(0, 1 - found / 0.4),
  }
}

/** How well a fly serves a stage at a place: size, depth and colour, each with its reason. */
export function matchFly(fly: Matched, stage: FoodStage, place: MatchPlace): FlyMatch {
  const aspects = [sizeAspect(fly, place), depthAspect(fly, stage, place), colourAspect(fly, stage)]
  const product = aspects.reduce((sum, { aspect, score }) => sum * Math.max(score, 0.001) ** WEIGHTS[aspect], 1)
  return { score: product, aspects }
}
