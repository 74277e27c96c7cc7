import type { Part } from '../dressing/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'

/**
 * How a fly sits at the surface, from high to low: on the tips of its hackle; with its body on the film; with its body
 * in the film; hanging below it by a tuft or foam; or awash, under the film but too light to sink.
 */
export const POSTURES = ['proud', 'low', 'inFilm', 'hanging', 'awash'] as const
export type Posture = (typeof POSTURES)[number]

/** What water it bears. */
export type Bears = 'calm' | 'ripple' | 'waves' | 'broken'

/** How a floating fly rides. */
export interface Ride {
  readonly posture: Posture
  /** top of wing, post, hackle or tuft above the film, mm */
  readonly freeHeightMm: number
  /** weight in water that it bears more before it goes under, mg */
  readonly spareMg: number
  /** support over load at the posture, 1 where it only just holds */
  readonly reserve: number
  readonly bears: Bears
  /** times it can be dragged under before it no longer comes up */
  readonly drowningsUntilSunk: number
  /** seconds in quiet water until it goes down by itself */
  readonly soakS: number
}

/** How far its air and its grip on the film have gone. */
export interface Wetting {
  readonly drownings: number
  readonly seconds: number
}

/** A dimple in the film is at most this deep, mm: 2 capillary lengths × sin 45°, as for a body that water does not wet. */
const DEEPEST_DIMPLE_MM = 3.85
/** An abdomen that hangs down touches the film with this share of its length. */
const HANGING_SHARE = 0.3
/** A hackle holds the body clear from this height on, mm. */
const CLEAR_MM = 0.6
const MOST_DROWNINGS = 500
const MOST_SECONDS = 24 * 3600

/**
 * Weight that a wave of steepness s adds: the water heaves at πs·g (linear waves; Airy 1845). Ripple of 1 in 20, and
 * waves up to those that break at 1 in 7 (Stokes 1880); broken water by judgement.
 */
const BEARS: readonly (readonly [Bears, number])[] = [
  ['broken', 2.5],
  ['waves', 1 + Math.PI / 7],
  ['ripple', 1 + Math.PI / 20],
]

const sum = (parts: readonly Part[], of: (part: Part) => number) =>
  parts.reduce((total, part) => total + of(part), 0)

/** Share of its first air and grip that a part still has. */
const dryShare = (part: Part, { drownings, seconds }: Wetting) =>
  Math.exp(-drownings / Math.max(part.wettingStrokes, 0.05) - seconds / Math.max(part.wettingTimeS, 0.05))

/**
 * Load that the film bears under a part, mg: at most 2γ along each line, but neighbours share one dimple, so at most
 * γ × the way round it and what its hollow displaces; of that the share that its surface reaches.
 */
export function filmLimitMg(part: Part, water: WaterProperties): number {
  if (!part.film) return 0
  const perMm = water.surfaceTensionMgPerS2 / GRAVITY_MM_PER_S2
  const { lineMm, aroundMm, areaMm2 } = part.film
  const dimple = perMm * aroundMm + water.densityMgPerMm3 * areaMm2 * DEEPEST_DIMPLE_MM
  return part.filmSupportShare * Math.min(perMm * lineMm, dimple)
}

/** Stands up out of the water rather than lying in it: wing, post, tuft, hackle. */
const stands = (part: Part) => part.topMm > 0 && part.kind !== 'hook'
/** Holds the fly up from above: a tuft of feather or fibre, or foam. */
const lifts = (part: Part) => stands(part) && part.film === null

interface Stage {
  readonly posture: Posture
  readonly loadMg: number
  readonly supportMg: number
}

/** Load and support of each posture that the dressing can take, from high to low. */
function stagesOf(parts: readonly Part[], water: WaterProperties, wetting: Wetting): readonly Stage[] {
  const density = water.densityMgPerMm3
  const film = (part: Part) => filmLimitMg(part, water) * dryShare(part, wetting)
  const air = (part: Part) => density * part.airMm3 * dryShare(part, wetting)
  const inWater = (part: Part) => part.massMg - density * part.volumeMm3
  const weight = sum(parts, (part) => part.massMg)
  const fringe = sum(parts, (part) => (part.film?.kind === 'fringe' ? film(part) : 0))
  const spread = sum(parts, (part) => (part.film?.kind === 'spread' ? film(part) : 0))
  const flank = Math.max(0, ...parts.map((part) => (part.film?.kind === 'flank' ? film(part) : 0)))
  const standoff = Math.max(0, ...parts.map((part) => part.film?.standoffMm ?? 0))
  const lift = parts.some(lifts)
  const stages: Stage[] = []
  if (standoff > CLEAR_MM) stages.push({ posture: 'proud', loadMg: weight, supportMg: fringe })
  if (fringe > 0 || spread > 0) {
    stages.push({ posture: 'low', loadMg: weight, supportMg: fringe + spread + flank })
  }
  const sunk = parts.filter((part) => !stands(part))
  const standing = parts.filter(stands)
  const load = sum(sunk, inWater) + sum(standing, (part) => part.massMg)
  stages.push({
    posture: 'inFilm',
    loadMg: load,
    supportMg: fringe + spread + flank + sum(sunk, air),
  })
  if (lift) {
    stages.push({
      posture: 'hanging',
      loadMg: load,
      supportMg:
        fringe +
        spread +
        HANGING_SHARE * flank +
        sum(parts, air) +
        sum(standing, (part) => density * part.volumeMm3),
    })
  }
  stages.push({ posture: 'awash', loadMg: Math.max(sum(parts, inWater), 1e-6), supportMg: sum(parts, air) })
  return stages
}

/** Bisection for the largest amount up to `most` at which something still holds. */
function lastAt(most: number, holds: (amount: number) => boolean): number {
  if (holds(most)) return most
  let [low, high] = [0, most]
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2
    if (holds(middle)) low = middle
    else high = middle
  }
  return low
}

const highest = (parts: readonly Part[], water: WaterProperties, wetting: Wetting) =>
  stagesOf(parts, water, wetting).find(({ loadMg, supportMg }) => supportMg >= loadMg)

/** Height of the top above the film: a tuft that carries sinks in by the share of its lift that the load asks for. */
function freeHeight(parts: readonly Part[], { posture, loadMg, supportMg }: Stage): number {
  const top = Math.max(0, ...parts.map((part) => part.topMm))
  const standoff = Math.max(0, ...parts.map((part) => part.film?.standoffMm ?? 0))
  switch (posture) {
    case 'proud':
      return top + standoff
    case 'low':
    case 'inFilm':
      return top
    case 'hanging':
      return top * (1 - Math.min(loadMg / supportMg, 1))
    case 'awash':
      return 0
  }
}

/** The posture that a fly takes at the surface, support over load there and what it bears more; null for one that sinks. */
export function postureOf(
  parts: readonly Part[],
  water: WaterProperties,
  wetting: Wetting,
): Pick<Ride, 'posture' | 'reserve' | 'spareMg'> | null {
  const stages = stagesOf(parts, water, wetting)
  const stage = stages.find(({ loadMg, supportMg }) => supportMg >= loadMg)
  if (!stage) return null
  return {
    posture: stage.posture,
    reserve: stage.supportMg / stage.loadMg,
    spareMg: Math.max(...stages.map(({ loadMg, supportMg }) => supportMg - loadMg)),
  }
}

/**
 * How a fly rides at the surface, or null for one that sinks. It takes the highest posture whose support bears its
 * load: fibres, flanks and spent wings on the film, air among its fibres and foam below it.
 */
export function rideOf(parts: readonly Part[], water: WaterProperties, wetting: Wetting): Ride | null {
  const stage = highest(parts, water, wetting)
  if (!stage) return null
  const stages = stagesOf(parts, water, wetting)
  const spareMg = Math.max(...stages.map(({ loadMg, supportMg }) => supportMg - loadMg))
  const reserve = stage.supportMg / stage.loadMg
  const after = (more: Partial<Wetting>) =>
    highest(parts, water, {
      drownings: wetting.drownings + (more.drownings ?? 0),
      seconds: wetting.seconds + (more.seconds ?? 0),
    }) !== undefined
  return {
    posture: stage.posture,
    freeHeightMm: freeHeight(parts, stage),
    spareMg,
    reserve,
    bears: stage.posture === 'awash' ? 'calm' : (BEARS.find(([, least]) => reserve >= least)?.[0] ?? 'calm'),
    drowningsUntilSunk: lastAt(MOST_DROWNINGS, (drownings) => after({ drownings })),
    soakS: lastAt(MOST_SECONDS, (seconds) => after({ seconds })),
  }
}

/**
 * Lift of a tuft of feather or fibre that holds air, mg: V [φ (ρ_w − ρ_s) + (1 − φ) χ ρ_w].
 *
 * @param envelopeMm3 outline of the tuft
 * @param solidShare  share of it that is feather, 0 to 1
 * @param airShare    share of the rest that is air, 0 to 1
 */
export function tuftLiftMg(
  envelopeMm3: number,
  solidShare: number,
  solidDensity: number,
  airShare: number,
  water: WaterProperties,
): number {
  const density = water.densityMgPerMm3
  return envelopeMm3 * (solidShare * (density - solidDensity) + (1 - solidShare) * airShare * density)
}
