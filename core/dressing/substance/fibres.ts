import { linearMassMgPerMm, propertyOf, sizeNumber, strandDiameterMm, valueOf } from '../../material/index.ts'
import { cylinder, discOfAxes, ringOfAxes } from '../../sink/index.ts'
import type { Direction, DragElement, FlySpot } from '../../sink/index.ts'
import type { FlyComponent } from '../fly.ts'
import { perFibreMgPerMm, perPieceMgPerMm, pieceMm, tiedInStrands } from '../bunch.ts'
import { barbsOf, discContact, fanContact, rimContact, ringContact } from './barbs.ts'
import { isPile } from '../pile.ts'
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
const SPREAD_DEG = 20
/** A wing or a fan of fibres is about a third as wide as long. */
const WING_WIDTH_OF_LENGTH = 0.35
/** A hackle no longer than this on the shank is wound round the post that stands there. */
const ROUND_A_POST_OF_SHANK = 0.3

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

/** Centre of a bunch that is tied in by one end. */
function bunchCentre(root: FlySpot, lengthMm: number, { leanDeg, way }: Stance): FlySpot {
  const rise = way === 'up' ? 1 : way === 'down' ? -1 : 0
  return {
    xMm: root.xMm + (lengthMm / 2) * Math.cos(radians(leanDeg)),
    yMm: root.yMm + rise * (lengthMm / 2) * Math.sin(radians(leanDeg)),
  }
}

function bunchFilm(
  component: FlyComponent,
  stance: Stance,
  { count, lengthMm, widthMm, tuftMm }: { count: number; lengthMm: number; widthMm: number; tuftMm: number },
) {
  // tips that pierce the film carry almost nothing, the tuft that goes under with them draws it down
  if (stance.way === 'up') return rimContact(tuftMm, lengthMm)
  const barbs = barbsOf(component.material, { count, reachMm: lengthMm, lie: 'fan', leftBelow: 1 })
  if (stance.way === 'out')
    return fanContact(barbs, Math.max(widthMm, WING_WIDTH_OF_LENGTH * lengthMm), 'spread')
  const fan = Math.max(widthMm, 2 * lengthMm * Math.sin(radians(Math.min(stance.leanDeg, 25))))
  return fanContact(barbs, fan, 'fringe')
}

/** Knotted and bent legs reach so much of their length from root to tip: a knee of about 105° (judgement). */
const KNEE_REACHES = 0.8
const hasKnee = ({ formed }: FlyComponent) => formed === 'knotted' || formed === 'bent'

/** A finger of pile, too thick to be a fibre: a blunt body. */
const fingerElement = (at: FlySpot, diameterMm: number, lengthMm: number): DragElement => ({
  kind: 'body',
  at,
  ...cylinder(diameterMm, Math.max(lengthMm, 0.05)),
})

/** Fibres tied in by one end: tail, legs, shuck, wing, post, gills. */
export function bunchSubstance(seat: Seat, stance: Stance): Substance {
  const { component } = seat
  const { material } = component
  const lengthMm = component.lengthMm ?? 0
  const reachMm = lengthMm * (hasKnee(component) ? KNEE_REACHES : 1)
  const thick = tiedInStrands(material)
  const count = (thick ? component.strands : component.fibreCount) ?? 0
  const diameterMm = pieceMm(material)
  const massMg = count * perPieceMgPerMm(material) * lengthMm
  const spreadMm =
    stance.way === 'around'
      ? diameterMm * Math.sqrt(count) + 2 * reachMm * Math.sin(radians(stance.leanDeg))
      : Math.max(diameterMm * Math.sqrt(count), WING_WIDTH_OF_LENGTH * reachMm)
  const packing = valueOf(material, 'packingShare')
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  const wallsMm3 = massMg / propertyOf(material, 'densityMgPerMm3').value
  const solidMm3 = wallsMm3 / (1 - hollow)
  const root = stance.root === 'rear' ? spotAt(seat, component.toMm) : middleOf(seat)
  const at = bunchCentre(root, reachMm, stance)
  const upright = stance.way === 'up'
  return substance(seat, massMg, {
    volumeMm3: solidMm3,
    airMm3: (solidMm3 / packing - solidMm3) * airShare(component),
    at,
    elements: isPile(material)
      ? [fingerElement(at, diameterMm * Math.sqrt(count), lengthMm)]
      : [
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
              alongMm2: upright ? spreadMm * reachMm : (Math.PI / 4) * spreadMm ** 2,
              acrossMm2: reachMm * spreadMm,
              dragCoefficient: 1.2 * valueOf(material, 'dragEnvelope'),
            },
          },
        ],
    film: bunchFilm(component, stance, {
      count,
      lengthMm,
      widthMm: diameterMm * Math.sqrt(count),
      tuftMm: Math.sqrt((4 / Math.PI) * (solidMm3 / packing / Math.max(lengthMm, 0.05))),
    }),
    topMm: upright ? lengthMm * Math.sin(radians(stance.leanDeg)) : 0,
  })
}

/** Share of a hackle's downward fibres that shears have left: nought where it is clipped flush below. */
function leftBelow({ clipped, side }: FlyComponent): number {
  return clipped ?? (side === 'above' || side === 'both' ? 0 : 1)
}

/** The post that a hackle is wound round, as a parachute; null for one that is palmered past it. */
const postUnder = ({ component, post, hook }: Seat): FlyComponent | null =>
  placeMm(component) > ROUND_A_POST_OF_SHANK * hook.shankMm ? null : post

/** Thickness of a post under its hackle, mm: its fibres drawn together. */
function postMm({ material, strands = 1, fibreCount = 1 }: FlyComponent): number {
  const fibre = material.family.kind === 'foam' ? (sizeNumber(material) ?? 2) : strandDiameterMm(material)
  return tiedInStrands(material) ? 0.6 * fibre * Math.sqrt(strands) : 1.2 * fibre * Math.sqrt(fibreCount)
}

/** Stem that is wound on edge, mm: round the body, or flat about a post. */
function woundStemMm(seat: Seat): number {
  const { component } = seat
  const post = postUnder(seat)
  const stemMm = valueOf(component.material, 'stemDiameterMm')
  return wrapLengthMm(component.turns ?? 0, post ? postMm(post) : component.coreMm, stemMm, stemMm)
}

/** Barbs that stand out of a feather wound on edge, before shears take any. */
export const woundBarbs = (seat: Seat): number =>
  woundStemMm(seat) * valueOf(seat.component.material, 'fibresPerMm')

/** A feather wound on edge: stem and barbs standing out all round, palmered where its place is long, flat about a post. */
export function hackleSubstance(seat: Seat, leanDeg: number): Substance {
  const { component } = seat
  const { material } = component
  const post = postUnder(seat)
  const stemMm = valueOf(material, 'stemDiameterMm')
  const woundMm = woundStemMm(seat)
  const reachMm = component.lengthMm ?? 4
  const all = woundBarbs(seat)
  const below = post ? 1 : leftBelow(component)
  const above = component.side === 'both' ? 0.25 : 1
  const kept = post ? 1 : 1 - DOWNWARD_SHARE * (1 - below) - DOWNWARD_SHARE * (1 - above)
  const count = all * kept
  const stem = (Math.PI / 4) * stemMm ** 2 * valueOf(material, 'densityMgPerMm3') * woundMm
  const middle = middleOf({ ...seat, component: { ...component, side: 'around' } })
  const barbs = barbsOf(material, { count: all, reachMm, lie: post ? 'disc' : 'ring', leftBelow: below })
  const at: FlySpot = post
    ? { xMm: middle.xMm, yMm: middle.yMm + component.outerMm / 2 }
    : {
        xMm: middle.xMm + (reachMm / 2) * Math.cos(radians(leanDeg)),
        yMm: middle.yMm + (DOWNWARD_SHARE * (above - below) * reachMm) / 2 / kept,
      }
  return substance(seat, stem + count * perFibreMgPerMm(material) * reachMm, {
    airMm3: count * reachMm * 0.004 * airShare(component),
    at,
    elements: [hackleElement(seat, { count, reachMm, leanDeg, kept, flat: post !== null }, at)],
    film: post ? discContact(barbs) : ringContact(barbs, placeMm(component)),
    topMm: post ? component.outerMm / 2 : above * reachMm,
  })
}

interface Wound {
  readonly count: number
  readonly reachMm: number
  readonly leanDeg: number
  /** share of the ring that shears have left */
  readonly kept: number
  /** in the plane of the film, not round the shank */
  readonly flat: boolean
}

/** What the water pushes on of a hackle. */
function hackleElement({ component }: Seat, wound: Wound, at: FlySpot): DragElement {
  const { count, reachMm, leanDeg, kept, flat } = wound
  const { material, coreMm } = component
  const acrossMm = coreMm + 2 * reachMm * Math.sin(radians(leanDeg))
  const disc = (Math.PI / 4) * acrossMm ** 2 * kept
  const edge = acrossMm * (Math.max(placeMm(component), valueOf(material, 'stemDiameterMm')) + reachMm) * kept
  return {
    kind: 'strands',
    at,
    count,
    diameterMm: valueOf(material, 'fibreDiameterMm'),
    lengthMm: reachMm,
    axes: flat ? discOfAxes() : ringOfAxes(leanDeg),
    foldExponent: valueOf(material, 'foldExponent'),
    envelope: {
      kind: 'bundle',
      alongMm2: flat ? edge : disc,
      acrossMm2: flat ? disc : edge,
      dragCoefficient: 1.17 * valueOf(material, 'dragEnvelope'),
    },
  }
}

/** A strip of skin with its fur, tied in at the head and hanging behind the bend. */
export function stripSubstance(seat: Seat): Substance {
  const { component, hook } = seat
  const { material } = component
  const lengthMm = component.lengthMm ?? placeMm(component)
  const massMg = lengthMm * linearMassMgPerMm(material)
  const furMm = 0.7 * valueOf(material, 'fibreLengthMm')
  const widthMm = sizeNumber(material) ?? valueOf(material, 'widthMm')
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
