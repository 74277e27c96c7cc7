import { valueOf } from '../material/index.ts'
import type { Material } from '../material/index.ts'
import type { Component } from './dressing.ts'
import { perFibreMgPerMm } from './bunch.ts'
import { flank, placeMm, substance, airShare } from './substance/substance.ts'
import type { Seat, Substance } from './substance/substance.ts'
import { solidOuterMm } from './pile.ts'
import { hairySubstance } from './substance/wound.ts'
import type { Hook } from '../hook/index.ts'

/**
 * Barbs of a tail or a wing feather, wound as a rope. A barb with its flue takes a cell of d√(π/4 ÷ packing) on a side;
 * laid edge to edge it covers so much of the shank a turn. Twisted together they lie one and a half deep (judgement),
 * and more of them lie deeper: those that are tied in are used up to their tips.
 */
const DEPTH = { usual: 1.5, least: 1, most: 3 }
/** Shank with thread on it, of the length that is covered: what turns go round before anyone knows the hook. */
const CORE = { ofPlace: 0.07, mm: 0.2 }

/** How many barbs a line says: herls are strands, fibres fibres. */
const countOf = ({ fibreCount, strands }: Pick<Component, 'fibreCount' | 'strands'>, material: Material) =>
  material.family.kind === 'herl' ? strands : fibreCount

const cellMm = (material: Material) =>
  valueOf(material, 'fibreDiameterMm') * Math.sqrt(Math.PI / 4 / valueOf(material, 'packingShare'))

/** So much of a herl is wound at most, mm: its tip breaks and its butt is bare (judgement). */
const HERL_USED_MM = 40

/** Length of one barb that is wound, mm. */
function barbMm(material: Material): number {
  if (material.family.kind === 'feather') return valueOf(material, 'fibreLengthMm')
  const usableMm = valueOf(material, 'usableLengthMm')
  return material.family.kind === 'herl' ? Math.min(usableMm, HERL_USED_MM) : usableMm
}

/** Barb that covers a place once, mm. */
const onceMm = (material: Material, coveredMm: number, coreMm: number) =>
  (coveredMm / cellMm(material)) * Math.PI * (coreMm + cellMm(material))

const usualCoreMm = (coveredMm: number) => CORE.ofPlace * coveredMm + CORE.mm

/** How many barbs a body of this length is usually wound of. */
export const barbsThatCover = (material: Material, coveredMm: number): number =>
  Math.max(
    Math.round((DEPTH.usual * onceMm(material, coveredMm, usualCoreMm(coveredMm))) / barbMm(material)),
    2,
  )

function depthOf(fibreCount: number | undefined, material: Material, coveredMm: number): number {
  if (fibreCount === undefined) return DEPTH.usual
  const depth = (fibreCount * barbMm(material)) / onceMm(material, coveredMm, usualCoreMm(coveredMm))
  return Math.min(Math.max(depth, DEPTH.least), DEPTH.most)
}

/** What barbs add to the diameter of what they are wound on, mm. */
export const barbsAddMm = (component: Component, material: Material, hook: Hook): number =>
  2 *
  cellMm(material) *
  depthOf(countOf(component, material), material, (component.place.to - component.place.from) * hook.shankMm)

/** Length of barb that is wound, mm. */
function woundMm({ component }: Seat): number {
  const { material, coreMm } = component
  const lengthMm = placeMm(component)
  const depth = depthOf(countOf(component, material), material, lengthMm)
  return onceMm(material, lengthMm, coreMm + (depth - 1) * cellMm(material)) * depth
}

/** Barbs wound as a body. */
export function barbsSubstance(seat: Seat): Substance {
  const { component } = seat
  const { material, coreMm, outerMm } = component
  const lengthMm = placeMm(component)
  const massMg = woundMm(seat) * perFibreMgPerMm(material)
  const solidMm3 = massMg / valueOf(material, 'densityMgPerMm3')
  const envelopeMm3 = (Math.PI / 4) * Math.max(outerMm ** 2 - coreMm ** 2, 0) * lengthMm
  return substance(seat, massMg, {
    volumeMm3: solidMm3,
    airMm3: Math.max(envelopeMm3 - solidMm3, 0) * airShare(component),
    film: flank(lengthMm, outerMm),
  })
}

/** Barbules of a herl: so many on a mm, so thick (as under a lens; judgement). */
const FLUE = { perMm: 30, diameterMm: 0.02 }

/** Herl wound as a body: its quill as barbs are, its flue standing out as pile does. */
export const herlSubstance = (seat: Seat): Substance =>
  hairySubstance(seat, woundMm(seat) * perFibreMgPerMm(seat.component.material), {
    count: FLUE.perMm * woundMm(seat),
    diameterMm: FLUE.diameterMm,
    standMm: Math.max((seat.component.outerMm - solidOuterMm(seat.component)) / 2, 0.05),
    leanDeg: 85,
  })
