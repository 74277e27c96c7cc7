import { sizeNumber, strandDiameterMm } from '../material/index.ts'
import { makeBead } from './bead.ts'
import type { Bead } from './bead.ts'
import type { Fly, FlyComponent } from './fly.ts'
import { turnsThatFit } from './wraps.ts'

/** What is found when a fly is checked. A fault means that it cannot be tied so; a caution that it can, but badly. */
export interface FitFinding {
  readonly severity: 'fault' | 'caution'
  readonly code:
    | 'beadLargerThanGape'
    | 'beadDoesNotPassBend'
    | 'gapeClosed'
    | 'gapeNarrowed'
    | 'jigNeedsSlot'
    | 'wireLongerThanShank'
    | 'beadAndWireCrowdShank'
    | 'tooManyTurns'
    | 'overdressed'
    | 'eyeCrowded'
    | 'threadTooFine'
    | 'ribMats'
    | 'mayRoll'
  readonly componentKey: string
  /** what was found and what would do: mm, turns, denier or a share */
  readonly found: number
  readonly limit: number
}

const BORE_CLEARANCE_MM = 0.03
const GAPE_CLOSED = 0.42
const GAPE_NARROWED = 0.55
const JIG_NECK_DEG = 30

/** Length of a bead's bore that is straight: the ball's chord at the bore, less a countersink. */
function straightBoreMm(bead: Bead): number {
  const chord = Math.sqrt(Math.max(bead.diameterMm ** 2 - bead.boreMm ** 2, 0))
  return bead.boring === 'countersunk' ? Math.max(chord - 0.38 * bead.diameterMm, 0) : chord
}

/**
 * Bore that a bead needs to go round the bend, mm. A straight hole of length L over a wire w bent to radius R must be
 * (R + w/2) − √((R − w/2)² − (L/2)²) wide; a slot lets the wire out, so a slotted bead needs only clear the wire.
 */
function boreNeededMm(bead: Bead, fly: Fly): number {
  const { wireMm, bendRadiusMm } = fly.hook
  if (bead.boring === 'slotted') return wireMm + BORE_CLEARANCE_MM
  const inner = (bendRadiusMm - wireMm / 2) ** 2 - (straightBoreMm(bead) / 2) ** 2
  if (inner <= 0) return Infinity
  return bendRadiusMm + wireMm / 2 - Math.sqrt(inner) + BORE_CLEARANCE_MM
}

function checkBead(component: FlyComponent, fly: Fly): readonly FitFinding[] {
  const bead = makeBead(component.material)
  const { gapeMm, wireMm, style } = fly.hook
  const finding = (
    severity: FitFinding['severity'],
    code: FitFinding['code'],
    found: number,
    limit: number,
  ): FitFinding => ({ severity, code, componentKey: component.key, found, limit })
  if (bead.diameterMm > gapeMm) return [finding('fault', 'beadLargerThanGape', bead.diameterMm, gapeMm)]
  const findings: FitFinding[] = []
  const needed = boreNeededMm(bead, fly)
  if (bead.boreMm < needed) findings.push(finding('fault', 'beadDoesNotPassBend', bead.boreMm, needed))
  const below = bead.boring === 'slotted' ? 0.35 * bead.diameterMm : bead.diameterMm / 2
  const open = (gapeMm - (below - wireMm / 2)) / gapeMm
  if (open < GAPE_CLOSED) findings.push(finding('fault', 'gapeClosed', open, GAPE_CLOSED))
  else if (open < GAPE_NARROWED) findings.push(finding('caution', 'gapeNarrowed', open, GAPE_NARROWED))
  if (style.neckDeg > JIG_NECK_DEG && bead.boring !== 'slotted' && component.fromMm < 0.2 * fly.hook.shankMm) {
    findings.push(finding('caution', 'jigNeedsSlot', bead.diameterMm, 0))
  }
  return findings
}

function checkWire(component: FlyComponent, fly: Fly, beadMm: number): readonly FitFinding[] {
  const diameterMm = strandDiameterMm(component.material)
  const needMm = ((component.turns ?? 0) * diameterMm) / (component.layers ?? 1)
  const { shankMm } = fly.hook
  const base = { componentKey: component.key, found: needMm }
  if (needMm > shankMm) return [{ ...base, severity: 'fault', code: 'wireLongerThanShank', limit: shankMm }]
  const freeMm = shankMm - beadMm / 2
  if (needMm > freeMm) return [{ ...base, severity: 'caution', code: 'beadAndWireCrowdShank', limit: freeMm }]
  return []
}

function checkTurns(component: FlyComponent): readonly FitFinding[] {
  const fits = turnsThatFit(component.toMm - component.fromMm, strandDiameterMm(component.material))
  if ((component.turns ?? 0) <= fits) return []
  return [
    {
      severity: 'caution',
      code: 'tooManyTurns',
      componentKey: component.key,
      found: component.turns ?? 0,
      limit: fits,
    },
  ]
}

/** Checks whether bead, wire and rib go on the hook at hand and leave it able to hook. */
export function checkFit(fly: Fly): readonly FitFinding[] {
  const beadMm = fly.components.reduce(
    (widest, { kind, material }) => (kind === 'bead' ? Math.max(widest, sizeNumber(material) ?? 0) : widest),
    0,
  )
  return fly.components.flatMap((component) => {
    if (component.kind === 'bead') return checkBead(component, fly)
    if (component.kind === 'wire') return checkWire(component, fly, beadMm)
    return component.kind === 'rib' && component.material.family.kind === 'wire' ? checkTurns(component) : []
  })
}
