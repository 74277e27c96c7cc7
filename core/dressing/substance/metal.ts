import { propertyOf, sizeNumber, valueOf } from '../../material/index.ts'
import { cylinder } from '../../sink/index.ts'
import { sdOfLog } from '../../uncertainty/index.ts'
import { beadCentreMm, makeBead } from '../bead.ts'
import { CONE } from '../cone.ts'
import { spotAt, substance } from './substance.ts'
import type { Seat, Substance } from './substance.ts'
import { Z_80 } from '../../number/index.ts'

/** Bead mass spreads by ±15 % in goods of one size (80 %). */
const BEAD_SD_LOG = Math.log(1.15) / Z_80
/** A slot takes its third from one side, so that the weight of what is left lies off the bore by this share of the ball. */
const SLOT_OFFSET_OF_DIAMETER = 0.08
const OFF_CENTRE_OFFSET_OF_DIAMETER = 0.16
/** The pin of a balanced fly: a dressmaker's, of steel. */
const PIN = { diameterMm: 0.6, densityMgPerMm3: 7.85, boundOfShank: 0.6 }

const spreadOf = ({ component }: Seat) =>
  Math.hypot(BEAD_SD_LOG, sdOfLog(propertyOf(component.material, 'densityMgPerMm3')) / 2)

/** A bead on the shank, or before the eye on a pin where its length says how far. */
export function beadSubstance(seat: Seat): Substance {
  const { component, hook } = seat
  const made = makeBead(component.material)
  const pinMm = component.lengthMm
  const xMm = beadCentreMm(component, hook)
  const at = spotAt(seat, xMm)
  const offset =
    made.boring === 'slotted'
      ? SLOT_OFFSET_OF_DIAMETER
      : made.boring === 'offCentre'
        ? OFF_CENTRE_OFFSET_OF_DIAMETER
        : 0
  const bead = substance(seat, made.massMg, {
    volumeMm3: made.volumeMm3,
    // the slot opens towards the point, where the neck of a jig hook leaves it
    at: { ...at, yMm: at.yMm + offset * made.diameterMm },
    elements: [{ kind: 'sphere', at, diameterMm: made.diameterMm, count: 1 }],
    massSdLog: spreadOf(seat),
  })
  if (pinMm === null) return bead
  const boundMm = PIN.boundOfShank * hook.shankMm
  const pinVolume = (Math.PI / 4) * PIN.diameterMm ** 2 * (pinMm + boundMm)
  const pinMg = pinVolume * PIN.densityMgPerMm3
  const massMg = bead.massMg + pinMg
  const pinAt = (boundMm - pinMm) / 2
  return {
    ...bead,
    massMg,
    volumeMm3: bead.volumeMm3 + pinVolume,
    at: { xMm: (bead.massMg * xMm + pinMg * pinAt) / massMg, yMm: bead.at.yMm },
    massSdLog: (bead.massSdLog * bead.massMg) / massMg,
    elements: [
      ...bead.elements,
      {
        kind: 'strands',
        at: { xMm: -pinMm / 2, yMm: at.yMm },
        count: 1,
        diameterMm: PIN.diameterMm,
        lengthMm: Math.max(pinMm - made.diameterMm / 2, 0.01),
        axes: [[1, 0, 0]],
        foldExponent: 0,
        envelope: null,
      },
    ],
  }
}

/** A cone, wide at the rear, bored and hollowed: a frustum less its bore and its cavity. */
export function coneSubstance(seat: Seat): Substance {
  const { component } = seat
  const diameterMm = sizeNumber(component.material) ?? CONE.usualMm
  const lengthMm = CONE.lengthOfDiameter * diameterMm
  const nose = CONE.noseOfDiameter * diameterMm
  const frustum = (Math.PI / 12) * lengthMm * (diameterMm ** 2 + diameterMm * nose + nose ** 2)
  const bore = (Math.PI / 4) * (CONE.boreOfDiameter * diameterMm) ** 2 * lengthMm
  const volumeMm3 = (frustum - bore) * (1 - CONE.cavityShare)
  const at = spotAt(seat, component.fromMm + 0.6 * lengthMm)
  return substance(seat, volumeMm3 * valueOf(component.material, 'densityMgPerMm3'), {
    volumeMm3,
    at,
    elements: [{ kind: 'body', at, ...cylinder(0.8 * diameterMm, lengthMm, 0.4) }],
    massSdLog: spreadOf(seat),
  })
}

/** A pair of eyes, hollow or solid, bound on one side of the shank. */
export function eyesSubstance(seat: Seat): Substance {
  const { material } = seat.component
  const diameterMm = sizeNumber(material) ?? 3
  const at = spotAt(seat, seat.component.fromMm + diameterMm / 2)
  if (material.family.massModel === 'disc') {
    const volumeMm3 = 2 * (Math.PI / 4) * diameterMm ** 2 * 0.15
    return substance(seat, volumeMm3 * valueOf(material, 'densityMgPerMm3'), { volumeMm3, at })
  }
  const outlineMm3 = 2 * (Math.PI / 6) * diameterMm ** 3
  const foam = material.family.massModel === 'foamEyes'
  const volumeMm3 = foam ? outlineMm3 : outlineMm3 * valueOf(material, 'packingShare')
  return substance(seat, volumeMm3 * valueOf(material, 'densityMgPerMm3'), {
    volumeMm3,
    airMm3: foam ? 0 : (outlineMm3 - volumeMm3) * valueOf(material, 'airShareDry'),
    at,
    elements: [{ kind: 'sphere', at, diameterMm, count: 2 }],
    massSdLog: BEAD_SD_LOG,
  })
}

/** Lead or tungsten sheet, wound in layers over its place. */
export function sheetSubstance(seat: Seat): Substance {
  const { component } = seat
  const lengthMm = component.toMm - component.fromMm
  const outline = (Math.PI / 4) * (component.outerMm ** 2 - component.coreMm ** 2) * lengthMm
  const volumeMm3 = Math.max(outline, 0) * valueOf(component.material, 'packingShare')
  return substance(seat, volumeMm3 * valueOf(component.material, 'densityMgPerMm3'), {
    volumeMm3,
    massSdLog: 0.15,
  })
}
