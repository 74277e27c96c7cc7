import { KINDS } from '../dressing/index.ts'
import type { Part } from '../dressing/index.ts'
import { Z_80 } from '../number/index.ts'
import { flyDrag, lineDrag, localExponent, terminalSpeed, tippetPull } from '../sink/index.ts'
import type { FallModel, Tippet } from '../sink/index.ts'
import { logEstimate } from '../uncertainty/index.ts'
import type { Evidence } from '../uncertainty/index.ts'
import type { WaterProperties } from '../water/index.ts'
import type { Calibration } from './calibration.ts'
import type { DoubtShare, Fall } from './report.ts'

/** Drag of a straight trailing line is known better than that of a dressing. */
const STRAIGHT_LINE_SD_LOG = 0.1

/**
 * How well the drag of a line is known, as sd of its logarithm: of a curled one a straight line is the fast end of
 * what it may do, one in ten.
 */
export const lineDragSdLog = (
  tippet: Tippet,
  lengthMm: number,
  speedMmPerS: number,
  water: WaterProperties,
): number => {
  if (lengthMm <= 0) return STRAIGHT_LINE_SD_LOG
  const curled = lineDrag(tippet, lengthMm, speedMmPerS, water)
  const straight = lineDrag({ ...tippet, curlDeg: 0 }, lengthMm, speedMmPerS, water)
  return Math.hypot(STRAIGHT_LINE_SD_LOG, Math.log(curled / straight) / Z_80)
}

/** How far the weight in water moves, in mg, for one standard deviation of ln(mass) of a part. */
export function submergedSdMg(part: Part, waterDensity: number): number {
  return Math.abs(part.massMg - waterDensity * part.volumeMm3) * part.massSdLog
}

const inputOf = (kind: Part['kind']) => (kind === 'hook' ? 'hook' : KINDS[kind].doubtOf)

const WEIGHED = {
  hook: 'hookWeighed',
  bead: 'beadWeighed',
  wire: 'wireWeighed',
  dressing: 'dressingWeighed',
} as const

/** What a figure that follows from the masses rests on: the fly on a scale, else which of its goods were. */
export function reckonedBasis(parts: readonly Part[], calibration: Calibration): readonly Evidence[] {
  if (calibration.weighed) return ['flyWeighed', 'catalogue']
  const weighed = parts.filter(({ material }) => calibration.massFactors.has(material.id))
  return [...new Set(weighed.map(({ kind }): Evidence => WEIGHED[inputOf(kind)])), 'catalogue']
}

/** What the mass of a fly rests on. */
export const massBasis = (parts: readonly Part[], calibration: Calibration): readonly Evidence[] =>
  calibration.weighed ? ['weighed'] : reckonedBasis(parts, calibration)

/**
 * Terminal speed with its band by first-order propagation: at the root W = F(v), so
 * sd(ln v) = √(Σ sd(W)²/W² + Σ (share of drag × sd)²) / q, with q = d ln F / d ln v.
 * The worker checks it by sampling.
 */
export function fallOf(model: FallModel, parts: readonly Part[], calibration: Calibration): Fall {
  const speed = terminalSpeed(model)
  const exponent = localExponent(model, speed)
  const fly = flyDrag(model, speed)
  const line = Math.max(tippetPull(model, speed, model.tippet?.lengthMm ?? 0), 0)
  const variances = new Map<DoubtShare['input'], number>()
  const add = (input: DoubtShare['input'], sd: number) =>
    variances.set(input, (variances.get(input) ?? 0) + sd ** 2)
  add('drag', (fly / (fly + line)) * calibration.dragSdLog)
  if (model.tippet && line > 0) {
    const { tippet, water } = model
    add('tippet', (line / (fly + line)) * lineDragSdLog(tippet, tippet.lengthMm, speed, water))
  }
  // drops of this very fly saw drag over weight: its weight is then no doubt of its own
  for (const part of calibration.timedCount > 0 ? [] : parts) {
    add(inputOf(part.kind), submergedSdMg(part, model.water.densityMgPerMm3) / model.submergedMg)
  }
  const total = [...variances.values()].reduce((sum, variance) => sum + variance, 0)
  const basis: readonly Evidence[] = calibration.timedCount > 0 ? ['timed'] : reckonedBasis(parts, calibration)
  return {
    sinkSpeedMmPerS: logEstimate(speed, Math.sqrt(total) / exponent, basis),
    exponent,
    doubt: [...variances]
      .map(([input, variance]) => ({ input, share: variance / total }))
      .sort((a, b) => b.share - a.share),
  }
}
