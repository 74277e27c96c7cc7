import type { Posture } from '../float/index.ts'
import { bandIn, bandRange } from '../season/index.ts'
import type { DepthBand, FoodStage, WaterKind } from '../season/index.ts'
import { DRIFT_MM, usualDepthMm } from '../rig/index.ts'
import type { UsualRig } from '../rig/index.ts'
import { fallFor } from '../technique/index.ts'
import type { Behaviour, Shown, Sinks, Technique } from '../technique/index.ts'
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

/** In still water a fly may take longer to fall than anyone waits. */
const PATIENCE_S = 20

/** Water that a fly is to get down in. */
type Deep = Pick<MatchPlace, 'bedMm' | 'surfaceSpeedMmPerS'>

/** Seconds that a fly has to get down: a usual drift at this speed of the surface, or as long as anyone waits. */
const timeToGetDownS = (surfaceSpeedMmPerS: number): number =>
  Math.min(DRIFT_MM / Math.max(surfaceSpeedMmPerS, 1), PATIENCE_S)

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

/** Water that drifts slower than this is drawn through as still water is, mm/s. */
const RUNS_MM_PER_S = 50

/** A rig at a place: line that was cast to be counted down is swung where the water runs. */
const rigAt = (rig: UsualRig, { surfaceSpeedMmPerS }: Deep): UsualRig =>
  rig === 'counted' && surfaceSpeedMmPerS >= RUNS_MM_PER_S ? 'swung' : rig

/** How deep a fly gets at a place, mm, with no regard to the bed: on a rig by its table, else as far as it falls free. */
function reachedMm(fly: Sinks, rig: UsualRig | null, place: Deep): number {
  const { bedMm, surfaceSpeedMmPerS } = place
  const { submergedMg, freeMmPerS, sinkSpeedMmPerS } = fly
  return rig === null
    ? sinkSpeedMmPerS * timeToGetDownS(surfaceSpeedMmPerS)
    : usualDepthMm(
        rigAt(rig, place),
        { submergedMg, fallMmPerS: freeMmPerS },
        { bedMm, surfaceMmPerS: surfaceSpeedMmPerS },
      )
}

/** In how many ways a fly is shown, by those in which it is fished; where nobody said one, or none will do, it falls free. */
function shownBy(ways: readonly Technique[], behaviour: Behaviour): readonly Shown[] {
  const shown = ways.flatMap((way) => fallFor(way, behaviour) ?? [])
  return shown.length > 0 ? shown : [fallFor(null, behaviour) ?? { kind: 'unknown' }]
}

/** Depth where a fly fishes, mm: as far as it gets in any of its ways, never below the bed; null where unknown. */
export function fishingDepthMm(behaviour: Behaviour, ways: readonly Technique[], place: Deep): number | null {
  const depths = shownBy(ways, behaviour).flatMap((shown) => {
    switch (shown.kind) {
      case 'unknown':
        return []
      case 'onTop':
        return [0]
      case 'hovers':
        return [place.bedMm]
      case 'falls':
      case 'swings':
        return [Math.min(reachedMm(shown.fly, shown.rig, place), place.bedMm)]
    }
  })
  return depths.length === 0 ? null : Math.max(...depths)
}

interface Falling {
  readonly fly: Sinks
  readonly rig: UsualRig | null
  readonly held: boolean
}

function fallingAspect({ fly, rig, held }: Falling, band: DepthBand, place: MatchPlace): MatchAspect {
  const fallMmPerS = fly.sinkSpeedMmPerS
  const ofFall = { aspect: 'depth' as const, found: fallMmPerS, wantedLow: 0, wantedHigh: 0, names: [] }
  if (band === 'onFilm' || band === 'inFilm') {
    const score = fallMmPerS < HANGS_ABOUT_MM_PER_S ? IN_THE_FILM : 0
    return { ...ofFall, code: 'sinksBelowIt', score }
  }
  const range = bandRange(band, place.bedMm, place.waterKind)
  const wantedMm = Math.max((range.fromMm + range.toMm) / 2, 1)
  const foundMm = Math.min(reachedMm(fly, rig, place), place.bedMm)
  const base: MatchAspect =
    rig === null
      ? {
          ...ofFall,
          wantedLow: wantedMm / timeToGetDownS(place.surfaceSpeedMmPerS),
          code: 'depthRight',
          score: 1,
        }
      : {
          ...{ aspect: 'depth', found: foundMm, wantedLow: wantedMm, wantedHigh: 0 },
          ...{ code: 'reachesDepth', score: 1, names: [rigAt(rig, place)] },
        }
  if (foundMm < wantedMm) {
    const score = Math.max(0, 1 - Math.log(wantedMm / Math.max(foundMm, 1)))
    return { ...base, code: rig === null ? 'tooSlow' : 'tooShallow', score }
  }
  const fastest = FASTEST[band]?.[held ? 'held' : 'free'] ?? Infinity
  if (fallMmPerS > fastest) {
    const score = Math.max(0, 1 - Math.log(fallMmPerS / fastest))
    return { ...ofFall, wantedHigh: fastest, code: 'tooFast', score }
  }
  return base
}

/** Swung or drawn near the top, whatever it weighs: of its weight only too much matters, and below too little. */
function swungAspect(fly: Sinks, band: DepthBand, place: MatchPlace): MatchAspect {
  const falls = fallingAspect({ fly, rig: 'swung', held: true }, band, place)
  if (band === 'topHalfMetre' && falls.code === 'tooShallow')
    return { ...falls, code: 'reachesDepth', score: 1 }
  return band === 'bottom'
    ? { ...falls, code: 'swingsAboveIt', score: Math.min(falls.score, SWUNG_AT_BOTTOM) }
    : falls
}

/**
 * Whether a fly gets to the bottom at a place, in that of its ways which brings it nearest; where nobody said one, falling free
 * within a usual drift, or wait.
 */
export function bottomAspect(fly: Sinks, ways: readonly Technique[], place: MatchPlace): MatchAspect {
  const shown = ways.length === 0 ? [fallFor(null, fly)] : ways.map((way) => fallFor(way, fly))
  return shown
    .flatMap((one) => (one ? [inBand(one, 'bottom', place)] : []))
    .reduce((best, one) => (one.score >= best.score ? one : best), plain('depth', 'notSo', 0))
}

/** Whether the fly, shown so, gets to where the stage is taken, and stays there. */
export function depthAspect(shown: Shown, stage: FoodStage, place: MatchPlace): MatchAspect {
  const band = bandIn(stage, place.waterKind)
  return band ? inBand(shown, band, place) : plain('depth', 'notKnown', 0)
}

/** Whether the fly, shown so, gets to a band, and stays there. */
function inBand(shown: Shown, band: DepthBand, place: MatchPlace): MatchAspect {
  const film = band === 'onFilm' || band === 'inFilm'
  switch (shown.kind) {
    case 'falls':
      return fallingAspect(shown, band, place)
    case 'swings':
      return swungAspect(shown.fly, band, place)
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
