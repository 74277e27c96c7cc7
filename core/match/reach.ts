import type { Posture } from '../float/index.ts'
import { bandIn, bandRange } from '../season/index.ts'
import type { DepthBand, FoodStage, WaterKind } from '../season/index.ts'
import type { Behaviour, Shown } from '../technique/index.ts'
import { plain } from './matchAspect.ts'
import type { MatchAspect } from './matchAspect.ts'

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

/**
 * Fastest fall, mm/s, that keeps a fly with food above the bottom: drifting free, and held by a tight line or a float.
 * Any bead goes through fish that feed in the top half metre. Judgement.
 */
const FASTEST: Readonly<Partial<Record<DepthBand, { readonly free: number; readonly held: number }>>> = {
  topHalfMetre: { free: 100, held: 150 },
  midWater: { free: 200, held: 320 },
}
/** Slower than this a fly still hangs about the film for a drift, and swings through it. */
const HANGS_ABOUT_MM_PER_S = 40
const IN_THE_FILM = 0.4
/** What is swung keeps off the bottom. */
const SWUNG_AT_BOTTOM = 0.2

function fallingAspect(found: number, band: DepthBand, place: MatchPlace, held: boolean): MatchAspect {
  const range = bandRange(band, place.bedMm, place.waterKind)
  const targetMm = Math.max((range.fromMm + range.toMm) / 2, 1)
  const wantedLow = targetMm / timeToGetDownS(place.surfaceSpeedMmPerS)
  const wantedHigh = FASTEST[band]?.[held ? 'held' : 'free'] ?? Infinity
  const base = { aspect: 'depth' as const, found, wantedLow, wantedHigh, names: [] }
  if (band === 'onFilm' || band === 'inFilm') {
    const score = found < HANGS_ABOUT_MM_PER_S ? IN_THE_FILM : 0
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

/** Swung or drawn near the top, whatever it weighs: of its weight only too much matters, and below too little. */
function swungAspect(found: number, band: DepthBand, place: MatchPlace): MatchAspect {
  const falls = fallingAspect(found, band, place, true)
  if (band === 'topHalfMetre' && falls.code === 'tooSlow') return { ...falls, code: 'depthRight', score: 1 }
  return band === 'bottom'
    ? { ...falls, code: 'swingsAboveIt', score: Math.min(falls.score, SWUNG_AT_BOTTOM) }
    : falls
}

/** Whether something that falls so fast is down on the bottom within a usual drift, or wait, at a place. */
export const bottomAspect = (sinkSpeedMmPerS: number, place: MatchPlace): MatchAspect =>
  fallingAspect(sinkSpeedMmPerS, 'bottom', place, false)

/** Whether the fly, shown so, gets to where the stage is taken, and stays there. */
export function depthAspect(shown: Shown, stage: FoodStage, place: MatchPlace): MatchAspect {
  const band = bandIn(stage, place.waterKind)
  if (!band) return plain('depth', 'notKnown', 0)
  const film = band === 'onFilm' || band === 'inFilm'
  switch (shown.kind) {
    case 'falls':
      return fallingAspect(shown.sinkSpeedMmPerS, band, place, shown.held)
    case 'swings':
      return swungAspect(shown.sinkSpeedMmPerS, band, place)
    case 'unknown':
      return plain('depth', 'notKnown', 0.3)
    case 'hovers':
      return plain('depth', band === 'bottom' ? 'depthRight' : 'floatsAboveIt', band === 'bottom' ? 1 : 0)
    case 'onTop':
      return film ? plain('depth', 'depthRight', 1) : plain('depth', 'floatsAboveIt', 0)
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

/** How near a posture is to the one wanted, by steps between them. Judgement. */
const BY_STEPS = [1, 0.7, 0.35, 0.15, 0.05] as const

/** Whether a floating fly rides as a stage of the surface does; null where there is nothing to compare. */
export function postureAspect(
  shown: Shown,
  stage: FoodStage & { readonly silhouette: string },
  place: MatchPlace,
): MatchAspect | null {
  const band = bandIn(stage, place.waterKind)
  if (shown.kind !== 'onTop' || (band !== 'onFilm' && band !== 'inFilm')) return null
  const [highest, lowest] = heightWanted(stage, band)
  const height = HEIGHT[shown.posture]
  if (height < highest) return plain('posture', 'ridesTooHigh', BY_STEPS[highest - height] ?? 0)
  if (height > lowest) return plain('posture', 'ridesTooLow', BY_STEPS[height - lowest] ?? 0)
  return plain('posture', 'postureRight', 1)
}
