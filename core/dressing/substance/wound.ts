import { linearMassMgPerMm, sizeNumber, strandDiameterMm, valueOf } from '../../material/index.ts'
import { ringOfAxes } from '../../sink/index.ts'
import type { DragElement } from '../../sink/index.ts'
import { threadStrandMm } from '../thread.ts'
import { spreadWrapLengthMm } from '../wraps.ts'
import { airShare, flank, middleOf, placeMm, substance } from './substance.ts'
import type { Seat, Substance } from './substance.ts'

/** Wire, tinsel or floss wound in turns. */
export function woundSubstance(seat: Seat): Substance {
  const { component } = seat
  const lengthMm = placeMm(component)
  const diameterMm = strandDiameterMm(component.material)
  const { turns = 0 } = component
  const strandMm = spreadWrapLengthMm(turns, component.coreMm, diameterMm, lengthMm)
  return substance(seat, strandMm * linearMassMgPerMm(component.material), {
    massSdLog: 0.06,
    film: flank(lengthMm, component.outerMm),
  })
}

/** The tying thread with all that it binds in, and the head. */
export const threadSubstance = (seat: Seat): Substance =>
  substance(seat, threadStrandMm(seat) * linearMassMgPerMm(seat.component.material))

/** Solid and air of something wound or dubbed between two diameters. */
export function fillingSubstance(seat: Seat): Substance {
  const { component } = seat
  const { material, coreMm, outerMm } = component
  const lengthMm = placeMm(component)
  const envelopeMm3 = (Math.PI / 4) * Math.max(outerMm ** 2 - coreMm ** 2, 0) * lengthMm
  const packing = valueOf(material, 'packingShare')
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  const solidMm3 = envelopeMm3 * packing * (1 - hollow)
  return substance(seat, solidMm3 * valueOf(material, 'densityMgPerMm3'), {
    volumeMm3: solidMm3 + envelopeMm3 * packing * hollow,
    airMm3: envelopeMm3 * (1 - packing) * airShare(component),
    elements: material.family.kind === 'dubbing' ? [guardHairs(seat, lengthMm)] : [],
    film: flank(lengthMm, outerMm),
  })
}

/** Hairs that stand out of a dubbed body: 2.4 on a mm² for a spiky fur of stiffness 0.3, a tenth of the staple long. */
function guardHairs(seat: Seat, lengthMm: number): DragElement {
  const { material, outerMm } = seat.component
  const hairMm = 0.1 * valueOf(material, 'fibreLengthMm')
  const perMm2 = 2.4 * Math.min(valueOf(material, 'stiffness') / 0.3, 1.5)
  const spreadMm = outerMm + 2 * hairMm * Math.SQRT1_2
  return {
    kind: 'strands',
    at: middleOf(seat),
    count: perMm2 * Math.PI * outerMm * lengthMm,
    diameterMm: valueOf(material, 'fibreDiameterMm'),
    lengthMm: hairMm,
    axes: ringOfAxes(45),
    foldExponent: valueOf(material, 'foldExponent'),
    envelope: {
      alongMm2: (Math.PI / 4) * spreadMm ** 2,
      acrossMm2: lengthMm * spreadMm,
      dragCoefficient: 1.2 * valueOf(material, 'dragEnvelope'),
    },
  }
}

/** Resin or varnish over what lies below it. */
export function coatSubstance(seat: Seat): Substance {
  const { component } = seat
  const outline = (Math.PI / 4) * Math.max(component.outerMm ** 2 - component.coreMm ** 2, 0)
  return substance(seat, outline * placeMm(component) * valueOf(component.material, 'densityMgPerMm3'))
}

/** A strip laid along the body: back, wing case, side. */
export function laidSubstance(seat: Seat): Substance {
  const { component } = seat
  const areaMm2 = placeMm(component) * Math.max(component.outerMm, component.coreMm) * 0.9
  const thicknessMm = valueOf(component.material, 'thicknessMm')
  return substance(seat, areaMm2 * thicknessMm * valueOf(component.material, 'densityMgPerMm3'))
}

/** How foam is held: upright, bound down along its whole length, or only at its ends as a back or a block is. */
export type FoamHeld = 'upright' | 'bound' | 'atEnds'

/** Foam as body, back, block or post: its closed cells keep their volume where thread does not crush them. */
export function foamSubstance(seat: Seat, held: FoamHeld): Substance {
  const { component } = seat
  const acrossMm = sizeNumber(component.material) ?? valueOf(component.material, 'thicknessMm')
  const upright = held === 'upright'
  const lengthMm = component.lengthMm ?? placeMm(component)
  const section =
    component.material.family.massModel === 'round' ? (Math.PI / 4) * acrossMm ** 2 : 1.2 * acrossMm ** 2
  const crushed = upright ? 1 : held === 'bound' ? valueOf(component.material, 'volumeShareUnderThread') : 0.85
  const volumeMm3 = section * lengthMm * crushed
  const middle = middleOf(seat)
  return substance(seat, volumeMm3 * valueOf(component.material, 'densityMgPerMm3'), {
    volumeMm3,
    at: upright ? { ...middle, yMm: middle.yMm + lengthMm / 2 } : middle,
    film: upright ? null : flank(lengthMm, acrossMm),
    topMm: upright ? lengthMm : acrossMm,
    elements: upright
      ? [
          {
            kind: 'strands',
            at: { ...middle, yMm: middle.yMm + lengthMm / 2 },
            count: 1,
            diameterMm: acrossMm,
            lengthMm,
            axes: [[0, 1, 0]],
            foldExponent: 0,
            envelope: null,
          },
        ]
      : [],
  })
}
