import type { FilmContact, Part } from '../dressing/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { filmSupportMg } from './film.ts'

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
  /** the level shank above the film, mm, below nought under it; null where the abdomen hangs down */
  readonly shankMm: number | null
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

/** An abdomen that hangs down touches the film with this share of its length. */
const HANGING_SHARE = 0.3
/** A fly that was dipped and cast has been under once; one straight from the vise has not. */
export const wettingOf = (wet: 'dry' | 'fresh'): Wetting => ({ drownings: wet === 'dry' ? 0 : 1, seconds: 0 })

/** A hackle holds the body clear from this height on, mm. */
const CLEAR_MM = 0.6
/** No hackle holds a body higher, mm. */
const TALLEST_MM = 30
const MOST_DROWNINGS = 500
const MOST_SECONDS = 24 * 3600

/**
 * Weight that a wave of steepness s adds: the water heaves at πs·g (linear waves; Airy 1845). Ripple of 1 in 20, and
 * waves up to those that break at 1 in 7 (Michell 1893); broken water by judgement.
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
  part.drinks && drownings >= 1
    ? 0
    : Math.exp(-drownings / Math.max(part.wettingStrokes, 0.05) - seconds / Math.max(part.wettingTimeS, 0.05))

/** Stands up out of the water rather than lying in it: wing, post, tuft, hackle. */
const stands = (part: Part) => part.topMm > 0 && part.kind !== 'hook'
/** Holds the fly up from above: a tuft of feather or fibre, or foam. */
export const holdsFromAbove = (part: Part): boolean =>
  stands(part) && (part.film === null || part.film.kind === 'rim')

interface Stage {
  readonly posture: Posture
  readonly loadMg: number
  readonly supportMg: number
}

/** What holds a fly up in a state of wetting. */
interface Support {
  /** by the film, the shank on it: under fibres that bend, under wings and bodies, about a tuft that goes under */
  readonly film: (kind: FilmContact['kind']) => number
  /** by fibres alone, the shank this far above the film */
  readonly standingMg: (heightMm: number) => number
  readonly airMg: (part: Part) => number
}

/**
 * What film and air bear. A fly that has been dipped is held clear of the water by what was tied to hold it up: the
 * grip of everything else, which has been under, counts for at most as much. Where a fringe lies on the film, the body
 * in it has no dimple of its own.
 */
function supportOf(parts: readonly Part[], water: WaterProperties, wetting: Wetting): Support {
  const airMg = (part: Part) => water.densityMgPerMm3 * part.airMm3 * dryShare(part, wetting)
  const held = (part: Part, heightMm: number) => filmSupportMg(part, water, heightMm, dryShare(part, wetting))
  const holding = parts.filter(({ holdsUp }) => holdsUp)
  const liftMg = sum(holding, (part) => held(part, 0) + airMg(part) + foamMg(part, water))
  const others = parts.filter(({ holdsUp }) => !holdsUp)
  const othersMg = sum(others, (part) => held(part, 0))
  const share = othersMg > 0 ? Math.min(liftMg / othersMg, 1) : 1
  const counted = (part: Part, heightMm: number) => held(part, heightMm) * (part.holdsUp ? 1 : share)
  const areaOf = (kind: 'fringe' | 'flank') =>
    sum(parts, ({ film }) => (film?.kind === kind ? film.areaMm2 : 0))
  const bodyApart = 1 - areaOf('fringe') / Math.max(areaOf('fringe') + areaOf('flank'), 1e-9)
  return {
    film: (kind) => {
      const each = parts.map((part) => (part.film?.kind === kind ? counted(part, 0) : 0))
      return kind === 'flank' ? bodyApart * Math.max(0, ...each) : each.reduce((all, mg) => all + mg, 0)
    },
    standingMg: (heightMm) => {
      const of = (ring: boolean) =>
        sum(parts, (part) =>
          part.film?.kind === 'fringe' && (part.film.barbs?.lie === 'ring') === ring
            ? counted(part, heightMm)
            : 0,
        )
      // a tail bears one end of the fly, so at most what the hackle bears at the other
      return of(true) + Math.min(of(false), of(true))
    },
    airMg,
  }
}

/** What a part lighter than water bears by its own volume, mg; nought for what is heavier. */
const foamMg = ({ massMg, volumeMm3 }: Part, water: WaterProperties) =>
  Math.max(water.densityMgPerMm3 * volumeMm3 - massMg, 0)

/** Load and support of each posture that the dressing can take, from high to low. */
function stagesOf(parts: readonly Part[], water: WaterProperties, wetting: Wetting): readonly Stage[] {
  const density = water.densityMgPerMm3
  const { film, standingMg, airMg } = supportOf(parts, water, wetting)
  const inWater = (part: Part) => part.massMg - density * part.volumeMm3
  const weight = sum(parts, (part) => part.massMg)
  const [fringe, spread, flank] = [film('fringe'), film('spread'), film('flank')]
  const stages: Stage[] = [
    { posture: 'proud', loadMg: weight, supportMg: standingMg(CLEAR_MM) },
    { posture: 'low', loadMg: weight, supportMg: fringe + spread + flank },
  ]
  const sunk = parts.filter((part) => !stands(part))
  const standing = parts.filter(stands)
  const load = sum(sunk, inWater) + sum(standing, (part) => part.massMg)
  stages.push({ posture: 'inFilm', loadMg: load, supportMg: fringe + spread + flank + sum(sunk, airMg) })
  if (parts.some(holdsFromAbove)) {
    stages.push({
      posture: 'hanging',
      loadMg: load,
      supportMg:
        fringe +
        spread +
        film('rim') +
        HANGING_SHARE * flank +
        sum(parts, airMg) +
        sum(standing, (part) => density * part.volumeMm3),
    })
  }
  stages.push({ posture: 'awash', loadMg: Math.max(sum(parts, inWater), 1e-6), supportMg: sum(parts, airMg) })
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

/**
 * Where it rides: the top above the film and the shank above it. Barbs bend until they bear the load; a tuft that carries
 * sinks in by the share of its lift that the load asks for.
 */
function heights(
  parts: readonly Part[],
  water: WaterProperties,
  wetting: Wetting,
  { posture, loadMg, supportMg }: Stage,
): Pick<Ride, 'freeHeightMm' | 'shankMm'> {
  const top = Math.max(0, ...parts.map((part) => part.topMm))
  switch (posture) {
    case 'proud': {
      const { standingMg } = supportOf(parts, water, wetting)
      const shankMm = lastAt(TALLEST_MM, (heightMm) => standingMg(heightMm) >= loadMg)
      return { freeHeightMm: top + shankMm, shankMm }
    }
    case 'low':
    case 'inFilm':
      return { freeHeightMm: top, shankMm: 0 }
    case 'hanging':
      return { freeHeightMm: top * (1 - Math.min(loadMg / supportMg, 1)), shankMm: null }
    case 'awash':
      return { freeHeightMm: 0, shankMm: -top }
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
    ...heights(parts, water, wetting, stage),
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
