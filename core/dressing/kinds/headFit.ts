import type { Material } from '../../material/index.ts'
import { sizeNumber } from '../../material/index.ts'
import { beadCentreMm, makeBead } from '../bead.ts'
import { CONE } from '../cone.ts'
import { finding } from '../finding.ts'
import type { FitFinding } from '../finding.ts'
import type { Fly, FlyComponent } from '../fly.ts'

/** What is bored and slid over the point: how wide it is, and the straight part of its hole. */
interface Bored {
  readonly diameterMm: number
  readonly boreMm: number
  readonly straightBoreMm: number
  /** how far it stands below the middle of the wire */
  readonly belowMm: number
  readonly slotted: boolean
}

const BORE_CLEARANCE_MM = 0.03
const GAPE_CLOSED = 0.42
const GAPE_NARROWED = 0.55
const JIG_NECK_DEG = 30
const COUNTERSINK_OF_DIAMETER = 0.38
const SLOTTED_BELOW_OF_DIAMETER = 0.35

/** A bead's straight bore is the ball's chord at the bore, less a countersink. */
export function boredBead(material: Material): Bored {
  const { diameterMm, boreMm, boring } = makeBead(material)
  const chord = Math.sqrt(Math.max(diameterMm ** 2 - boreMm ** 2, 0))
  const slotted = boring === 'slotted'
  return {
    diameterMm,
    boreMm,
    straightBoreMm:
      boring === 'countersunk' ? Math.max(chord - COUNTERSINK_OF_DIAMETER * diameterMm, 0) : chord,
    belowMm: slotted ? SLOTTED_BELOW_OF_DIAMETER * diameterMm : diameterMm / 2,
    slotted,
  }
}

/** A cone is hollow from the rear to half its length. */
export function boredCone(material: Material): Bored {
  const diameterMm = sizeNumber(material) ?? CONE.usualMm
  return {
    diameterMm,
    boreMm: CONE.boreOfDiameter * diameterMm,
    straightBoreMm: (CONE.lengthOfDiameter * diameterMm) / 2,
    belowMm: diameterMm / 2,
    slotted: false,
  }
}

/**
 * Bore that is needed to go round the bend, mm. A straight hole of length L over a wire w bent to radius R must be
 * (R + w/2) − √((R − w/2)² − (L/2)²) wide; a slot lets the wire out, so what is slotted need only clear the wire.
 */
function boreNeededMm({ slotted, straightBoreMm }: Bored, { hook: { wireMm, bendRadiusMm } }: Fly): number {
  if (slotted) return wireMm + BORE_CLEARANCE_MM
  const inner = (bendRadiusMm - wireMm / 2) ** 2 - (straightBoreMm / 2) ** 2
  if (inner <= 0) return Infinity
  return bendRadiusMm + wireMm / 2 - Math.sqrt(inner) + BORE_CLEARANCE_MM
}

const isHead = ({ kind }: FlyComponent) => kind === 'bead' || kind === 'cone'

/** The stretch of the shank, or of a pin, that a head takes, mm. */
function stretchOf(component: FlyComponent, fly: Fly): readonly [fromMm: number, toMm: number] {
  const { material, fromMm, kind } = component
  if (kind === 'cone') {
    return [fromMm, fromMm + CONE.lengthOfDiameter * boredCone(material).diameterMm]
  }
  const centreMm = beadCentreMm(component, fly.hook)
  const { diameterMm } = makeBead(material)
  return [centreMm - diameterMm / 2, centreMm + diameterMm / 2]
}

/** Heads of which less than this share lies in another touch only. */
const TOUCHING = 0.05

/** What a head and one before it would need of the shank, and what they have, mm; null where there is room. */
function collides(component: FlyComponent, fly: Fly): readonly [needMm: number, haveMm: number] | null {
  const [fromMm, toMm] = stretchOf(component, fly)
  for (const other of fly.components) {
    if (other === component) return null
    if (!isHead(other)) continue
    const [otherFrom, otherTo] = stretchOf(other, fly)
    const shared = Math.min(toMm, otherTo) - Math.max(fromMm, otherFrom)
    if (shared > TOUCHING * (toMm - fromMm)) {
      return [toMm - fromMm + otherTo - otherFrom, Math.max(toMm, otherTo) - Math.min(fromMm, otherFrom)]
    }
  }
  return null
}

/** Whether a bead or cone passes the bend, and how much of the gape it leaves open. */
export const headFit =
  (boredOf: (material: Material) => Bored) =>
  (component: FlyComponent, fly: Fly): readonly FitFinding[] => {
    const collision = collides(component, fly)
    if (collision) return [finding(component, 'fault', 'headsCollide', ...collision)]
    // on a pin it stands before the eye: it passes no bend and closes no gape
    if (component.lengthMm !== null) return []
    const bored = boredOf(component.material)
    const { gapeMm, wireMm, shankMm, style } = fly.hook
    if (bored.diameterMm > gapeMm) {
      return [finding(component, 'fault', 'beadLargerThanGape', bored.diameterMm, gapeMm)]
    }
    const findings: FitFinding[] = []
    const needed = boreNeededMm(bored, fly)
    if (bored.boreMm < needed)
      findings.push(finding(component, 'fault', 'beadDoesNotPassBend', bored.boreMm, needed))
    const open = (gapeMm - (bored.belowMm - wireMm / 2)) / gapeMm
    if (open < GAPE_CLOSED) findings.push(finding(component, 'fault', 'gapeClosed', open, GAPE_CLOSED))
    else if (open < GAPE_NARROWED)
      findings.push(finding(component, 'caution', 'gapeNarrowed', open, GAPE_NARROWED))
    if (style.neckDeg > JIG_NECK_DEG && !bored.slotted && component.fromMm < 0.2 * shankMm)
      findings.push(finding(component, 'caution', 'jigNeedsSlot', bored.diameterMm, 0))
    return findings
  }
