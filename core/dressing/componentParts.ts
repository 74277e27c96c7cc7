import { linearMassMgPerMm, propertyOf, sizeNumber, strandDiameterMm, valueOf } from '../material/index.ts'
import { ringOfAxes } from '../sink/index.ts'
import type { DragElement } from '../sink/index.ts'
import { sdOfLog } from '../uncertainty/index.ts'
import { makeBead } from './bead.ts'
import type { FlyComponent } from './fly.ts'
import type { Part } from './part.ts'
import { threadLengthMm } from './thread.ts'
import { turnsThatFit, wrapLengthMm } from './wraps.ts'

/** What a component weighs, displaces and holds; the rest of a part follows from it. */
interface Substance {
  readonly massMg: number
  readonly volumeMm3: number
  readonly airMm3: number
  readonly elements: readonly DragElement[]
  readonly filmPerimeterMm: number
  readonly massSdLog: number
}

const FILM_SHARE_LIMIT = 0.6
const FLOATANT_FACTOR = 1.8
/** Bead mass spreads by ±15 % in goods of one size, amounts of soft material by ±30 % (80 %). */
const BEAD_SD_LOG = Math.log(1.15) / 1.2816
const AMOUNT_SD_LOG = Math.log(1.3) / 1.2816

const volumeOf = (massMg: number, component: FlyComponent) =>
  massMg / propertyOf(component.material, 'densityMgPerMm3', 1.3).value

function substance(component: FlyComponent, massMg: number, more: Partial<Substance> = {}): Substance {
  const volumeMm3 = more.volumeMm3 ?? volumeOf(massMg, component)
  return { massMg, volumeMm3, airMm3: 0, elements: [], filmPerimeterMm: 0, massSdLog: AMOUNT_SD_LOG, ...more }
}

/** Solid and air of something wound or dubbed between two diameters. */
function filling(component: FlyComponent, lengthMm: number): Substance {
  const { material, coreMm, outerMm } = component
  const envelopeMm3 = (Math.PI / 4) * Math.max(outerMm ** 2 - coreMm ** 2, 0) * lengthMm
  const packing = valueOf(material, 'packingShare', 0.5)
  const hollow = material.family.kind === 'hair' ? valueOf(material, 'hollowShare') : 0
  const solidMm3 = envelopeMm3 * packing * (1 - hollow)
  const massMg = solidMm3 * valueOf(material, 'densityMgPerMm3', 1.3)
  return substance(component, massMg, {
    volumeMm3: solidMm3 + envelopeMm3 * packing * hollow,
    airMm3: envelopeMm3 * (1 - packing) * valueOf(material, 'airShareDry'),
    elements: material.family.kind === 'dubbing' ? [guardHairs(component, lengthMm)] : [],
    filmPerimeterMm: 2 * lengthMm,
  })
}

/** Hairs that stand out of a dubbed body: 2.4 on a mm² for a spiky fur of stiffness 0.3, a tenth of the staple long. */
function guardHairs(component: FlyComponent, lengthMm: number): DragElement {
  const { material, outerMm } = component
  const hairMm = 0.1 * valueOf(material, 'fibreLengthMm', 14)
  const perMm2 = 2.4 * Math.min(valueOf(material, 'stiffness', 0.2) / 0.3, 1.5)
  const spreadMm = outerMm + 2 * hairMm * Math.SQRT1_2
  return {
    kind: 'strands',
    count: perMm2 * Math.PI * outerMm * lengthMm,
    diameterMm: valueOf(material, 'fibreDiameterMm', 0.02),
    lengthMm: hairMm,
    axes: ringOfAxes(45),
    foldExponent: valueOf(material, 'foldExponent'),
    envelope: {
      alongMm2: (Math.PI / 4) * spreadMm ** 2,
      acrossMm2: lengthMm * spreadMm,
      dragCoefficient: 1.2 * valueOf(material, 'dragEnvelope', 0.8),
    },
  }
}

/** Fibres tied in by one end: tail, legs, shuck, wing, gills. */
function bunch(component: FlyComponent, leanDeg: number): Substance {
  const { material } = component
  const lengthMm = component.lengthMm ?? 0
  const yarn = material.family.kind === 'yarn' || material.family.kind === 'rubber'
  const count = yarn ? (component.strands ?? 1) : (component.fibreCount ?? fibresOf(component))
  const diameterMm = yarn ? strandDiameterMm(material) : valueOf(material, 'fibreDiameterMm', 0.05)
  const perMm =
    yarn || material.family.massModel === 'fibre' ? linearMassMgPerMm(material) : fibreMassPerMm(component)
  const massMg = count * perMm * lengthMm
  const spreadMm = diameterMm * Math.sqrt(count) + 2 * lengthMm * Math.sin((leanDeg * Math.PI) / 180)
  const packing = valueOf(material, 'packingShare', 0.3)
  const solidMm3 = volumeOf(massMg, component)
  return substance(component, massMg, {
    airMm3: Math.min(solidMm3 / packing - solidMm3, solidMm3 * 8) * valueOf(material, 'airShareDry'),
    elements: [
      {
        kind: 'strands',
        count,
        diameterMm,
        lengthMm,
        axes: ringOfAxes(leanDeg),
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: {
          alongMm2: (Math.PI / 4) * spreadMm ** 2,
          acrossMm2: lengthMm * spreadMm,
          dragCoefficient: 1.2 * valueOf(material, 'dragEnvelope', 0.7),
        },
      },
    ],
    filmPerimeterMm: 2 * lengthMm,
  })
}

/** Fibres where only feathers or nothing are counted. */
function fibresOf(component: FlyComponent): number {
  const perFeather = valueOf(component.material, 'fibresPerFeather', 0)
  return perFeather > 0 ? (component.strands ?? 1) * Math.min(perFeather, 60) : 12
}

const fibreMassPerMm = ({ material }: FlyComponent) =>
  (Math.PI / 4) *
  valueOf(material, 'fibreDiameterMm', 0.03) ** 2 *
  valueOf(material, 'densityMgPerMm3', 1.3) *
  valueOf(material, 'barbuleMassFactor', 1)

/** A feather wound on edge: stem and barbs standing out all round. */
function woundHackle(component: FlyComponent, leanDeg: number): Substance {
  const { material, coreMm } = component
  const turns = component.turns ?? 3
  const stemMm = valueOf(material, 'stemDiameterMm', 0.2)
  const woundMm = wrapLengthMm(turns, coreMm, stemMm, stemMm)
  const reachMm = component.lengthMm ?? 4
  const count = woundMm * valueOf(material, 'fibresPerMm', 6)
  const density = valueOf(material, 'densityMgPerMm3', 1.3)
  const massMg = (Math.PI / 4) * stemMm ** 2 * density * woundMm + count * fibreMassPerMm(component) * reachMm
  const acrossMm = coreMm + 2 * reachMm * Math.sin((leanDeg * Math.PI) / 180)
  return substance(component, massMg, {
    airMm3: count * reachMm * 0.004 * valueOf(material, 'airShareDry'),
    elements: [
      {
        kind: 'strands',
        count,
        diameterMm: valueOf(material, 'fibreDiameterMm', 0.04),
        lengthMm: reachMm,
        axes: ringOfAxes(leanDeg),
        foldExponent: valueOf(material, 'foldExponent'),
        envelope: {
          alongMm2: (Math.PI / 4) * acrossMm ** 2,
          acrossMm2: acrossMm * (Math.max(component.toMm - component.fromMm, stemMm) + reachMm),
          dragCoefficient: 1.17 * valueOf(material, 'dragEnvelope', 0.8),
        },
      },
    ],
    filmPerimeterMm: 2 * Math.PI * reachMm,
  })
}

function wound(component: FlyComponent, lengthMm: number): Substance {
  const diameterMm = strandDiameterMm(component.material)
  const turns = component.turns ?? turnsThatFit(lengthMm, diameterMm)
  const wireMm = wrapLengthMm(turns, component.coreMm, diameterMm, turns > 0 ? lengthMm / turns : diameterMm)
  return substance(component, wireMm * linearMassMgPerMm(component.material), { massSdLog: 0.06 })
}

function coat(component: FlyComponent, lengthMm: number): Substance {
  const volumeMm3 = (Math.PI / 4) * Math.max(component.outerMm ** 2 - component.coreMm ** 2, 0) * lengthMm
  return substance(component, volumeMm3 * valueOf(component.material, 'densityMgPerMm3', 1.18))
}

function foam(component: FlyComponent, lengthMm: number): Substance {
  const across = sizeNumber(component.material) ?? valueOf(component.material, 'thicknessMm', 2)
  const envelopeMm3 = across * across * 1.2 * (component.lengthMm ?? lengthMm)
  const volumeMm3 = envelopeMm3 * valueOf(component.material, 'volumeShareUnderThread', 0.7)
  return substance(component, volumeMm3 * valueOf(component.material, 'densityMgPerMm3', 0.12), { volumeMm3 })
}

/** A strip laid along the body: back, wing case, side. */
function laid(component: FlyComponent, lengthMm: number): Substance {
  const areaMm2 = lengthMm * component.outerMm * 0.9
  const thicknessMm = valueOf(component.material, 'thicknessMm', 0.08)
  return substance(component, areaMm2 * thicknessMm * valueOf(component.material, 'densityMgPerMm3', 1.2))
}

/** A whole feather stood up or laid flat as a wing. */
const isFeather = (component: FlyComponent) => ['feather', 'cdc'].includes(component.material.family.kind)

function eyes(component: FlyComponent): Substance {
  const diameterMm = sizeNumber(component.material) ?? 3
  const solid = valueOf(component.material, 'packingShare', 1)
  const volumeMm3 = 2 * (Math.PI / 6) * diameterMm ** 3 * solid
  return substance(component, volumeMm3 * valueOf(component.material, 'densityMgPerMm3', 8), {
    volumeMm3,
    elements: [{ kind: 'sphere', diameterMm, count: 2 }],
    massSdLog: BEAD_SD_LOG,
  })
}

function bead(component: FlyComponent): Substance {
  const made = makeBead(component.material)
  const spread = Math.hypot(BEAD_SD_LOG, sdOfLog(propertyOf(component.material, 'densityMgPerMm3')) / 2)
  return substance(component, made.massMg, {
    volumeMm3: made.volumeMm3,
    elements: [{ kind: 'sphere', diameterMm: made.diameterMm, count: 1 }],
    massSdLog: spread,
  })
}

/** What a component amounts to, or null for a kind that core cannot reckon with yet. */
function substanceOf(component: FlyComponent, all: readonly FlyComponent[], shankMm: number): Substance | null {
  const lengthMm = Math.max(component.toMm - component.fromMm, 0)
  switch (component.kind) {
    case 'bead':
      return bead(component)
    case 'eyes':
      return eyes(component)
    case 'wire':
    case 'rib':
      return wound(component, lengthMm)
    case 'thread': {
      const strandMm = threadLengthMm(component, all, shankMm)
      return substance(component, strandMm * linearMassMgPerMm(component.material))
    }
    case 'hotSpot':
      return wound({ ...component, turns: component.turns ?? 5 }, lengthMm)
    case 'body':
    case 'thorax':
      return ['wire', 'thread'].includes(component.material.family.kind)
        ? wound(component, lengthMm)
        : filling(component, lengthMm)
    case 'collar':
      return component.material.family.kind === 'dubbing'
        ? filling(component, lengthMm)
        : woundHackle(component, 50)
    case 'hackle':
      return woundHackle(component, 85)
    case 'tail':
    case 'shuck':
      return bunch(component, 12)
    case 'legs':
    case 'gills':
      return bunch(component, 55)
    case 'wing':
    case 'post':
      return bunch(isFeather(component) ? { ...component, fibreCount: fibresOf(component) } : component, 70)
    case 'coat':
      return coat(component, lengthMm)
    case 'back':
    case 'wingCase':
      return laid(component, lengthMm)
    case 'foam':
      return foam(component, lengthMm)
    case 'cone':
    case 'sheet':
    case 'strip':
    case 'egg':
      return null
  }
}

/**
 * A component as a part, or null for a kind that core cannot reckon with yet.
 *
 * @param all the fly's components, since thread binds in each of them
 */
export function componentPart(
  component: FlyComponent,
  all: readonly FlyComponent[],
  shankMm: number,
): Part | null {
  const made = substanceOf(component, all, shankMm)
  if (!made) return null
  const share = valueOf(component.material, 'filmSupportShare', 0.1)
  const behind = component.kind === 'tail' || component.kind === 'shuck'
  return {
    key: component.key,
    kind: component.kind,
    material: component.material,
    ...made,
    wettingStrokes: valueOf(component.material, 'wettingStrokes', 2),
    centroid: {
      xMm: behind ? component.toMm + (component.lengthMm ?? 0) / 2 : (component.fromMm + component.toMm) / 2,
      yMm:
        component.side === 'above'
          ? component.outerMm / 2
          : component.side === 'below'
            ? -component.outerMm / 2
            : 0,
    },
    filmSupportShare: Math.min(
      share * (component.treatment === 'floatant' ? FLOATANT_FACTOR : 1),
      FILM_SHARE_LIMIT,
    ),
  }
}
