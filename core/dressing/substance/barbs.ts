import { valueOf } from '../../material/index.ts'
import type { Material } from '../../material/index.ts'
import type { Barbs, FilmContact } from '../part.ts'

/** GPa over mg per mm²: 1 GPa is 1000 N/mm², and 1 N weighs 101.97 g. */
const MG_PER_MM2_PER_GPA = 1000 * 101_971.6

/**
 * Bending stiffness of a cantilever in EI/L³: 3 for a load at the tip, 8 for one spread over all of it. What a film
 * pushes on is the outer half: between both.
 */
const BEND = Math.sqrt(3 * 8)
/** Euler's load of a column held at one end, π²/4 in EI/L². */
const FOLD = Math.PI ** 2 / 4
/** A longer feather has thicker barbs, as the root of their length (judgement); its diameter is that of one for a size 16. */
const HACKLE_OF_REACH_MM = 5.4
/** Of a fibre that bends on the film about half its length lies along it. */
const LYING_SHARE = 0.5

/**
 * Fibres of a material as cantilevers (Euler & Bernoulli): round, tapered, hollow where the hair is. A stiff keratin
 * barb 0.045 mm thick at its root and 5.4 mm long bears 1.3 mg for each mm of bend and folds at 2.4.
 */
export function barbsOf(
  material: Material,
  { count, reachMm, ...how }: Pick<Barbs, 'count' | 'reachMm' | 'lie' | 'leftBelow'>,
): Barbs {
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  const thicker = material.family.kind === 'hackle' ? Math.sqrt(reachMm / HACKLE_OF_REACH_MM) : 1
  const section = (Math.PI / 64) * (thicker * valueOf(material, 'fibreDiameterMm')) ** 4 * (1 - hollow ** 2)
  const stiffness = valueOf(material, 'modulusGPa') * MG_PER_MM2_PER_GPA * section
  // the moment of a taper's mean section, as the load has its arm from the thin end
  const taper = (1 + valueOf(material, 'fibreTaper')) / 2
  const length = Math.max(reachMm, 0.3)
  return {
    count,
    reachMm,
    bendMgPerMm: (BEND * stiffness * taper) / length ** 3,
    foldMg: (FOLD * stiffness * taper ** 2) / length ** 2,
    ...how,
  }
}

/** The lower half of a ring of barbs: they reach the film within 60° of straight down, over its width and their own splay. */
export function ringContact(barbs: Barbs, alongMm: number): FilmContact {
  const { count, reachMm } = barbs
  const widthMm = Math.sqrt(3) * reachMm
  const lengthMm = alongMm + LYING_SHARE * reachMm
  return {
    kind: 'fringe',
    lineMm: 2 * (count / 3) * reachMm * LYING_SHARE,
    aroundMm: 2 * (widthMm + lengthMm),
    areaMm2: widthMm * lengthMm,
    barbs,
  }
}

/** Barbs flat on the film all round, as of a hackle that is wound round a post. */
export const discContact = (barbs: Barbs): FilmContact => ({
  kind: 'fringe',
  lineMm: 2 * barbs.count * barbs.reachMm,
  aroundMm: 2 * Math.PI * barbs.reachMm,
  areaMm2: Math.PI * barbs.reachMm ** 2,
  barbs,
})

/** A tuft is drawn down over so much of its length before the film closes over it, mm (judgement). */
const RIM_MM = 2

/** The film about a tuft of this thickness as it goes under: less of it the shorter the tuft is. */
export const rimContact = (thicknessMm: number, lengthMm: number): FilmContact => {
  const aroundMm = Math.PI * thicknessMm * Math.min(lengthMm / RIM_MM, 1)
  return { kind: 'rim', lineMm: aroundMm, aroundMm, areaMm2: 0, barbs: null }
}

/** A fan of fibres that lies on the film behind its root, or one to each side. */
export function fanContact(barbs: Barbs, widthMm: number, kind: 'fringe' | 'spread'): FilmContact {
  const fans = kind === 'spread' ? 2 : 1
  const { count, reachMm } = barbs
  return {
    kind,
    lineMm: 2 * count * reachMm * (kind === 'spread' ? 1 : LYING_SHARE),
    aroundMm: 2 * (fans * reachMm + widthMm),
    areaMm2: fans * reachMm * widthMm,
    barbs,
  }
}
