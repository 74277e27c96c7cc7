import { linearMassMgPerMm, sizeNumber, strandDiameterMm, valueOf } from '../../material/index.ts'
import type { Material } from '../../material/index.ts'
import { cylinder, ringOfAxes } from '../../sink/index.ts'
import type { DragElement } from '../../sink/index.ts'
import type { FlyComponent } from '../fly.ts'
import { perPieceMgPerMm, tiedInStrands } from '../bunch.ts'
import { foamSectionMm2, foamThicknessMm, foamWidthMm } from '../foam.ts'
import { isPile, pileStrandMm, solidOuterMm, woundStripMm } from '../pile.ts'
import { threadStrandMm } from '../thread.ts'
import { THREAD_LAYER_MM } from '../threadWidth.ts'
import { windingLengthMm } from '../wraps.ts'
import { airShare, flank, middleOf, placeMm, substance } from './substance.ts'
import type { Seat, Substance } from './substance.ts'

/** Strand that is wound in turns on the shank, mm. */
export function woundStrandMm(component: FlyComponent): number {
  const { material, coreMm, turns = 0, layers = 1, strands = 1 } = component
  if (isPile(material)) return pileStrandMm(component)
  if (material.family.kind === 'strip') return woundStripMm(component)
  return (
    strands *
    windingLengthMm({
      turns,
      layers,
      coreMm,
      diameterMm: strandDiameterMm(material),
      overMm: placeMm(component),
      ...(material.family.kind === 'thread' ? { layerMm: THREAD_LAYER_MM } : {}),
    })
  )
}

/** Wire, tinsel or floss wound in turns. */
export const woundSubstance = (seat: Seat): Substance =>
  substance(seat, woundStrandMm(seat.component) * linearMassMgPerMm(seat.component.material), {
    massSdLog: 0.06,
    film: flank(placeMm(seat.component), seat.component.outerMm),
  })

/** Strands laid straight along the shank. */
export const laidStrandSubstance = (seat: Seat): Substance =>
  substance(
    seat,
    (seat.component.strands ?? 0) * placeMm(seat.component) * linearMassMgPerMm(seat.component.material),
    { massSdLog: 0.06 },
  )

/** The tying thread with all that it binds in, and the head. */
export const threadSubstance = (seat: Seat): Substance =>
  substance(seat, threadStrandMm(seat) * linearMassMgPerMm(seat.component.material))

/** Pile wound on its core: porous, its fibres on end until the water folds them back. */
export function pileSubstance(seat: Seat): Substance {
  const { component } = seat
  const strandMm = woundStrandMm(component)
  return hairySubstance(seat, strandMm * linearMassMgPerMm(component.material), {
    count: valueOf(component.material, 'fibresPerMm') * strandMm,
    diameterMm: valueOf(component.material, 'fibreDiameterMm'),
    standMm: Math.max((component.outerMm - solidOuterMm(component)) / 2, 0.05),
    leanDeg: 85,
  })
}

/** A strip wound as a body or a collar: skin below, the fur lying back over it. */
export function woundFurSubstance(seat: Seat): Substance {
  const { component } = seat
  const { material } = component
  const strandMm = woundStrandMm(component)
  const widthMm = sizeNumber(material) ?? valueOf(material, 'widthMm')
  return hairySubstance(seat, strandMm * linearMassMgPerMm(material), {
    count: valueOf(material, 'fibresPerMm2') * widthMm * strandMm,
    diameterMm: valueOf(material, 'fibreDiameterMm'),
    standMm: valueOf(material, 'fibreLengthMm'),
    leanDeg: 20,
  })
}

/** Hairs that stand out of what is wound. */
interface Hairs {
  readonly count: number
  readonly diameterMm: number
  readonly standMm: number
  readonly leanDeg: number
}

/** What is wound of a strand with hairs on it, of so much mass. */
export function hairySubstance(seat: Seat, massMg: number, hairs: Hairs): Substance {
  const { component } = seat
  const { material, coreMm, outerMm } = component
  const lengthMm = placeMm(component)
  const solidMm3 = massMg / valueOf(material, 'densityMgPerMm3')
  const envelopeMm3 = (Math.PI / 4) * Math.max(outerMm ** 2 - coreMm ** 2, 0) * lengthMm
  return substance(seat, massMg, {
    volumeMm3: solidMm3,
    airMm3: Math.max(envelopeMm3 - solidMm3, 0) * airShare(component),
    elements: [
      {
        kind: 'strands',
        at: middleOf(seat),
        count: hairs.count,
        diameterMm: hairs.diameterMm,
        lengthMm: hairs.standMm,
        axes: ringOfAxes(hairs.leanDeg),
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: {
          kind: 'coat',
          core: cylinder(solidOuterMm(component), lengthMm),
          outline: cylinder(outerMm, lengthMm),
          share: Math.min(valueOf(material, 'dragEnvelope'), 1),
        },
      },
    ],
    film: flank(lengthMm, outerMm),
  })
}

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

/**
 * Hairs that stand out of a dubbed body. Spun on thread a fibre is held along its length and only its ends stand out:
 * by a millimetre or so whatever the staple, and the fewer the longer the staple, as with the hairiness of yarns
 * (Barella 1983, Textile Progress 13). Counted on a spiky fur of stiffness 0.3 and 14 mm staple: 2.4 on a mm², 1.4 mm long.
 */
const COUNTED = { perMm2: 2.4, stiffness: 0.3, stapleMm: 14, longestMm: 1.5, ofStaple: 0.1 }

/** Hairs that stand out of fur spun on thread: how long they are, and how many on a mm². */
export function standingHairs(material: Material): { readonly lengthMm: number; readonly perMm2: number } {
  const stapleMm = valueOf(material, 'fibreLengthMm')
  const stiff = Math.min(valueOf(material, 'stiffness') / COUNTED.stiffness, 1.5)
  return {
    lengthMm: Math.min(COUNTED.ofStaple * stapleMm, COUNTED.longestMm),
    perMm2: COUNTED.perMm2 * stiff * Math.min(COUNTED.stapleMm / stapleMm, 1),
  }
}

function guardHairs(seat: Seat, lengthMm: number): DragElement {
  const { material, outerMm } = seat.component
  const { lengthMm: hairMm, perMm2 } = standingHairs(material)
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
      kind: 'coat',
      core: cylinder(outerMm, lengthMm),
      outline: cylinder(spreadMm, lengthMm),
      share: Math.min(valueOf(material, 'dragEnvelope'), 1),
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

/** What is drawn over a body follows its curve (judgement). */
const OVER_THE_CURVE = 1.1

/** Fibres, hairs or strands drawn over the body and bound down at both ends. */
export function laidBunchSubstance(seat: Seat): Substance {
  const { component } = seat
  const { material } = component
  const count = (tiedInStrands(material) ? component.strands : component.fibreCount) ?? 0
  const overMm = OVER_THE_CURVE * placeMm(component)
  const massMg = count * overMm * perPieceMgPerMm(material)
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  return substance(seat, massMg, {
    volumeMm3: massMg / valueOf(material, 'densityMgPerMm3') / (1 - hollow),
  })
}

/** How foam is held: upright, bound down along its whole length, or only at its ends as a back or a block is. */
export type FoamHeld = 'upright' | 'bound' | 'atEnds'

/** Foam as body, back, block or post: its closed cells keep their volume where thread does not crush them. */
export function foamSubstance(seat: Seat, held: FoamHeld): Substance {
  const { component } = seat
  const { material, widthMm } = component
  const acrossMm = foamWidthMm(widthMm, material)
  const upright = held === 'upright'
  const lengthMm = component.lengthMm ?? placeMm(component)
  const section = foamSectionMm2(widthMm, material)
  const crushed = upright ? 1 : held === 'bound' ? valueOf(component.material, 'volumeShareUnderThread') : 0.85
  const volumeMm3 = section * lengthMm * crushed
  const middle = middleOf(seat)
  return substance(seat, volumeMm3 * valueOf(component.material, 'densityMgPerMm3'), {
    volumeMm3,
    at: upright ? { ...middle, yMm: middle.yMm + lengthMm / 2 } : middle,
    film: upright ? null : flank(lengthMm, acrossMm),
    topMm: upright ? lengthMm : foamThicknessMm(material),
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
