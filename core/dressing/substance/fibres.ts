import { linearMassMgPerMm, propertyOf, strandDiameterMm, valueOf } from '../../material/index.ts'
import { ringOfAxes } from '../../sink/index.ts'
import type { Direction, DragElement, FlySpot } from '../../sink/index.ts'
import type { FlyComponent } from '../fly.ts'
import type { FilmContact } from '../part.ts'
import { tiedInStrands } from '../bunch.ts'
import { wrapLengthMm } from '../wraps.ts'
import { airShare, flank, middleOf, placeMm, spotAt, substance } from './substance.ts'
import type { Seat, Substance } from './substance.ts'
import { radians } from '../../number/index.ts'

/** How the fibres of a bunch stand: their angle from the shank, whether all round it, upright, or out to the sides, and where they are tied in. */
export interface Stance {
  readonly leanDeg: number
  readonly way: 'around' | 'up' | 'down' | 'out'
  readonly root: 'middle' | 'rear'
}

/** In line with the shank, from the rear end of its place. */
export const TRAILING: Stance = { leanDeg: 12, way: 'around', root: 'rear' }

/** Spread below, to both sides or all round. */
export const spreadStance = ({ side }: FlyComponent): Stance => ({
  leanDeg: 55,
  way: side === 'below' ? 'down' : side === 'both' ? 'out' : 'around',
  root: 'middle',
})

/** Spent to both sides, upright, or tented back over the body. */
export function wingStance({ side }: FlyComponent): Stance {
  if (side === 'both') return { leanDeg: 85, way: 'out', root: 'middle' }
  return { leanDeg: side === 'above' ? 70 : 25, way: 'up', root: 'middle' }
}

/** Upright, unless it is laid out to both sides. */
export const postStance = ({ side }: FlyComponent): Stance =>
  side === 'both' ? { leanDeg: 85, way: 'out', root: 'middle' } : { leanDeg: 70, way: 'up', root: 'middle' }

/** Fibres of a hackle that point to the film: those within 60° of straight down. */
const DOWNWARD_SHARE = 1 / 3
/** Of a fibre that bends on the film about half its length lies along it, and it lifts the shank by half its reach. */
const LYING_SHARE = 0.5
const STANDOFF_SHARE = 0.5
const SPREAD_DEG = 20

function axesOf({ leanDeg, way }: Stance): readonly Direction[] {
  if (way === 'around') return ringOfAxes(leanDeg)
  const [along, square] = [Math.cos(radians(leanDeg)), Math.sin(radians(leanDeg))]
  const [near, far] = [Math.cos(radians(SPREAD_DEG)), Math.sin(radians(SPREAD_DEG))]
  if (way === 'out') {
    return [
      [along, 0, square],
      [along, 0, -square],
    ]
  }
  const up = way === 'up' ? square : -square
  return [
    [along, up * near, square * far],
    [along, up * near, -square * far],
  ]
}

const fibreMassPerMm = ({ material }: FlyComponent) =>
  (Math.PI / 4) *
  valueOf(material, 'fibreDiameterMm') ** 2 *
  valueOf(material, 'densityMgPerMm3') *
  valueOf(material, 'barbuleMassFactor')

/** Centre of a bunch that is tied in by one end. */
function bunchCentre(root: FlySpot, lengthMm: number, { leanDeg, way }: Stance): FlySpot {
  const rise = way === 'up' ? 1 : way === 'down' ? -1 : 0
  return {
    xMm: root.xMm + (lengthMm / 2) * Math.cos(radians(leanDeg)),
    yMm: root.yMm + rise * (lengthMm / 2) * Math.sin(radians(leanDeg)),
  }
}

function bunchFilm(stance: Stance, lengthMm: number, widthMm: number, count: number): FilmContact | null {
  // tips that pierce the film carry almost nothing
  if (stance.way === 'up') return null
  if (stance.way === 'out') {
    return {
      kind: 'spread',
      lineMm: 2 * Math.min(count, 8) * lengthMm,
      aroundMm: 4 * lengthMm + 2 * widthMm,
      areaMm2: 2 * lengthMm * widthMm,
      standoffMm: 0,
    }
  }
  const fan = Math.max(widthMm, 2 * lengthMm * Math.sin(radians(Math.min(stance.leanDeg, 25))))
  return {
    kind: 'fringe',
    lineMm: 2 * count * lengthMm * LYING_SHARE,
    aroundMm: 2 * (lengthMm + fan),
    areaMm2: lengthMm * fan,
    standoffMm: 0,
  }
}

/** Fibres tied in by one end: tail, legs, shuck, wing, post, gills. */
export function bunchSubstance(seat: Seat, stance: Stance): Substance {
  const { component } = seat
  const { material } = component
  const lengthMm = component.lengthMm ?? 0
  const thick = tiedInStrands(material)
  const count = (thick ? component.strands : component.fibreCount) ?? 0
  const diameterMm = thick ? strandDiameterMm(material) : valueOf(material, 'fibreDiameterMm')
  const perMm =
    thick || material.family.massModel === 'fibre' ? linearMassMgPerMm(material) : fibreMassPerMm(component)
  const massMg = count * perMm * lengthMm
  const spreadMm =
    stance.way === 'around'
      ? diameterMm * Math.sqrt(count) + 2 * lengthMm * Math.sin(radians(stance.leanDeg))
      : Math.max(diameterMm * Math.sqrt(count), 0.35 * lengthMm)
  const packing = valueOf(material, 'packingShare')
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  const wallsMm3 = massMg / propertyOf(material, 'densityMgPerMm3').value
  const solidMm3 = wallsMm3 / (1 - hollow)
  const root = stance.root === 'rear' ? spotAt(seat, component.toMm) : middleOf(seat)
  const at = bunchCentre(root, lengthMm, stance)
  const upright = stance.way === 'up'
  return substance(seat, massMg, {
    volumeMm3: solidMm3,
    airMm3: (solidMm3 / packing - solidMm3) * airShare(component),
    at,
    elements: [
      {
        kind: 'strands',
        at,
        count,
        diameterMm,
        lengthMm,
        axes: axesOf(stance),
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: {
          kind: 'bundle',
          alongMm2: upright ? spreadMm * lengthMm : (Math.PI / 4) * spreadMm ** 2,
          acrossMm2: lengthMm * spreadMm,
          dragCoefficient: 1.2 * valueOf(material, 'dragEnvelope'),
        },
      },
    ],
    film: bunchFilm(stance, lengthMm, diameterMm * Math.sqrt(count), count),
    topMm: upright ? lengthMm * Math.sin(radians(stance.leanDeg)) : 0,
  })
}

/** Share of a hackle's downward fibres that shears have left: nought where it is clipped flush below. */
function leftBelow({ clipped, side }: FlyComponent): number {
  return clipped ?? (side === 'above' || side === 'both' ? 0 : 1)
}

/** What of a hackle lies on the film: the fringe below it, or the fibres at its sides where it is clipped. */
function hackleFilm(count: number, reachMm: number, below: number, lengthMm: number): FilmContact {
  const standing = below * reachMm
  const lying = Math.max(standing, reachMm * 0.75)
  return {
    kind: 'fringe',
    lineMm: 2 * count * DOWNWARD_SHARE * lying * LYING_SHARE,
    aroundMm: 2 * Math.PI * 0.85 * lying,
    areaMm2: Math.PI * (0.85 * lying) ** 2 * Math.min((lengthMm + lying) / (2 * lying), 1),
    standoffMm: STANDOFF_SHARE * standing,
  }
}

/** A feather wound on edge: stem and barbs standing out all round, palmered where its place is long. */
export function hackleSubstance(seat: Seat, leanDeg: number): Substance {
  const { component } = seat
  const { material, coreMm } = component
  const { turns = 0 } = component
  const stemMm = valueOf(material, 'stemDiameterMm')
  const woundMm = wrapLengthMm(turns, coreMm, stemMm, stemMm)
  const reachMm = component.lengthMm ?? 4
  const count = woundMm * valueOf(material, 'fibresPerMm')
  const below = leftBelow(component)
  const above = component.side === 'both' ? 0.25 : 1
  const kept = 1 - DOWNWARD_SHARE * (1 - below) - DOWNWARD_SHARE * (1 - above)
  const density = valueOf(material, 'densityMgPerMm3')
  const stem = (Math.PI / 4) * stemMm ** 2 * density * woundMm
  const acrossMm = coreMm + 2 * reachMm * Math.sin(radians(leanDeg))
  const middle = middleOf({ ...seat, component: { ...component, side: 'around' } })
  const at: FlySpot = {
    xMm: middle.xMm + (reachMm / 2) * Math.cos(radians(leanDeg)),
    yMm: middle.yMm + (DOWNWARD_SHARE * (above - below) * reachMm) / 2 / kept,
  }
  const element: DragElement = {
    kind: 'strands',
    at,
    count: count * kept,
    diameterMm: valueOf(material, 'fibreDiameterMm'),
    lengthMm: reachMm,
    axes: ringOfAxes(leanDeg),
    foldExponent: valueOf(material, 'foldExponent'),
    envelope: {
      kind: 'bundle',
      alongMm2: (Math.PI / 4) * acrossMm ** 2 * kept,
      acrossMm2: acrossMm * (Math.max(placeMm(component), stemMm) + reachMm) * kept,
      dragCoefficient: 1.17 * valueOf(material, 'dragEnvelope'),
    },
  }
  return substance(seat, stem + count * kept * fibreMassPerMm(component) * reachMm, {
    airMm3: count * kept * reachMm * 0.004 * airShare(component),
    at,
    elements: [element],
    film: hackleFilm(count, reachMm, below, placeMm(component)),
    topMm: above * reachMm,
  })
}

/** A strip of skin with its fur, tied in at the head and hanging behind the bend. */
export function stripSubstance(seat: Seat): Substance {
  const { component, hook } = seat
  const { material } = component
  const lengthMm = component.lengthMm ?? placeMm(component)
  const massMg = lengthMm * linearMassMgPerMm(material)
  const furMm = 0.7 * valueOf(material, 'fibreLengthMm')
  const widthMm = valueOf(material, 'widthMm')
  const packing = valueOf(material, 'packingShare')
  const solidMm3 =
    massMg / propertyOf(material, 'densityMgPerMm3').value / (1 - 0.5 * valueOf(material, 'hollowShare'))
  const at = spotAt(seat, Math.min(component.fromMm + lengthMm / 2, hook.shankMm + lengthMm / 2))
  const acrossMm = widthMm + furMm
  return substance(seat, massMg, {
    volumeMm3: solidMm3,
    airMm3: (solidMm3 / packing - solidMm3) * airShare(component) * 0.5,
    at,
    elements: [
      {
        kind: 'strands',
        at,
        count: valueOf(material, 'fibresPerMm2') * widthMm * lengthMm,
        diameterMm: valueOf(material, 'fibreDiameterMm'),
        lengthMm: furMm,
        axes: ringOfAxes(20),
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: {
          kind: 'bundle',
          alongMm2: (Math.PI / 4) * acrossMm ** 2 * 0.6,
          acrossMm2: acrossMm * lengthMm,
          dragCoefficient: 1.1 * valueOf(material, 'dragEnvelope'),
        },
      },
    ],
    film: flank(lengthMm, widthMm),
  })
}

/** A collar of hair or fibres, flared or lying back over the body. */
export function hairCollarSubstance(seat: Seat): Substance {
  const { component, hook } = seat
  const lengthMm = component.lengthMm ?? hook.gapeMm
  const made = bunchSubstance({ ...seat, component: { ...component, lengthMm } }, spreadStance(component))
  return { ...made, topMm: lengthMm }
}
