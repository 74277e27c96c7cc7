import type { Barbs, FilmContact, Part } from '../dressing/index.ts'
import { radians } from '../number/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import type { WaterProperties } from '../water/index.ts'

/** √(γ/ρg) of clean water, mm. */
const CAPILLARY_MM = 2.73
/**
 * A film that meets an edge z below the water slopes there by ψ, z = 2 capillary lengths × sin ψ/2 (de Gennes, Brochard
 * & Quéré 2004, Capillarity and Wetting Phenomena, ch. 2). About a stiff body it stands upright before it breaks.
 */
const DEEPEST_DIMPLE_MM = 2 * CAPILLARY_MM * Math.SQRT1_2
/** Under fibres a dimple is a cone, deepest at their root; their tips bend up until they are this far down (judgement). */
const TIPS_DOWN_MM = 1
/** Pull of the film on the edge of a dimple, as a share of upright, and its mean depth: about a body, and about fibres. */
const ABOUT_BODY = { pull: 1, depthMm: DEEPEST_DIMPLE_MM }
const ABOUT_FIBRES = {
  pull: Math.sin(2 * Math.asin(TIPS_DOWN_MM / (2 * CAPILLARY_MM))),
  depthMm: TIPS_DOWN_MM + (DEEPEST_DIMPLE_MM - TIPS_DOWN_MM) / 3,
}
/** How far the roots of fibres that lie flat may go down before the film breaks about them, mm. */
const FLAT_BEND_MM = 1.7
/** Load spread over a fibre bends it less than one on its outer half: √(8/3). */
const SPREAD_LOAD = Math.sqrt(8 / 3)
/** A fan of tail fibres still rests on the film with its root this share of their length above it. */
const FAN_DROOPS_OF_REACH = 0.4
/** Barbs within this angle of straight down are those that shears reach. */
const SHORN_DEG = 60
const RING_STEPS = 18

/** What one barb of this length bears at so much bend: less than what folds it. */
function borneMg({ bendMgPerMm, foldMg }: Barbs, shareOfLength: number, bendMm: number): number {
  if (bendMm <= 0 || shareOfLength <= 0) return 0
  return Math.min((bendMgPerMm / shareOfLength ** 3) * bendMm, foldMg / shareOfLength ** 2)
}

/**
 * What barbs bear by their stiffness alone with the shank so high above the film, mg: of a ring those that reach down
 * to it, each bent by as much as it would go under.
 */
export function bendingMg(barbs: Barbs, heightMm: number): number {
  const { count, reachMm, lie, leftBelow } = barbs
  if (lie !== 'ring') {
    const reachesTo = lie === 'fan' ? FAN_DROOPS_OF_REACH * reachMm : 0
    return heightMm > reachesTo ? 0 : count * borneMg(barbs, 1, FLAT_BEND_MM * SPREAD_LOAD)
  }
  let sum = 0
  for (let i = 0; i < RING_STEPS; i += 1) {
    const fromDown = (90 * (i + 0.5)) / RING_STEPS
    const left = fromDown < SHORN_DEG ? leftBelow : 1
    sum += borneMg(barbs, left, left * reachMm * Math.cos(radians(fromDown)) - heightMm)
  }
  // both sides of the lower half of the ring
  return (count / 2 / RING_STEPS) * sum
}

/** What the film bears along a contact, mg: at most 2γ along each line, but neighbours share one dimple. */
function surfaceMg({ kind, lineMm, aroundMm, areaMm2, barbs }: FilmContact, water: WaterProperties): number {
  const perMm = water.surfaceTensionMgPerS2 / GRAVITY_MM_PER_S2
  const { pull, depthMm } = barbs || kind === 'rim' ? ABOUT_FIBRES : ABOUT_BODY
  return Math.min(perMm * lineMm, perMm * aroundMm * pull + water.densityMgPerMm3 * areaMm2 * depthMm)
}

/**
 * Load that the film bears under a part with the shank so high above it, mg: by the film itself, as far as the part
 * keeps it from wetting, and by the stiffness of its barbs; where both are near their limits each takes from the other.
 *
 * @param gripShare share of its first grip that it still has, 0 to 1
 */
export function filmSupportMg(part: Part, water: WaterProperties, heightMm = 0, gripShare = 1): number {
  const { film, filmSupportShare } = part
  if (!film || (heightMm > 0 && !film.barbs)) return 0
  const surface = filmSupportShare * gripShare * surfaceMg(film, water)
  if (!film.barbs) return surface
  const bending = bendingMg(film.barbs, heightMm)
  return surface <= 0 || bending <= 0 ? 0 : 1 / Math.hypot(1 / surface, 1 / bending)
}
