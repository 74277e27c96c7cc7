import { KINDS } from '../dressing/index.ts'
import type { Part } from '../dressing/index.ts'
import { flyDrag, localExponent, terminalSpeed, tippetPull } from '../sink/index.ts'
import type { FallModel } from '../sink/index.ts'
import { logEstimate } from '../uncertainty/index.ts'
import type { Evidence } from '../uncertainty/index.ts'
import type { Calibration } from './calibration.ts'
import type { DoubtShare, Fall } from './report.ts'

/** Drag of a trailing line is known better than that of a dressing. */
const TIPPET_DRAG_SD_LOG = 0.1

/** How far the weight in water moves, in mg, for one standard deviation of ln(mass) of a part. */
export function submergedSdMg(part: Part, waterDensity: number): number {
  return Math.abs(part.massMg - waterDensity * part.volumeMm3) * part.massSdLog
}

/** What the mass of a fly rests on. */
export function massBasis(calibration: Calibration): readonly Evidence[] {
  return calibration.weighed || calibration.massFactors.size > 0 ? ['weighed', 'catalogue'] : ['catalogue']
}

const inputOf = (kind: Part['kind']): DoubtShare['input'] => (kind === 'hook' ? 'hook' : KINDS[kind].doubtOf)

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
  if (line > 0) add('tippet', (line / (fly + line)) * TIPPET_DRAG_SD_LOG)
  // drops of this very fly saw drag over weight: its weight is then no doubt of its own
  for (const part of calibration.timedCount > 0 ? [] : parts) {
    add(inputOf(part.kind), submergedSdMg(part, model.water.densityMgPerMm3) / model.submergedMg)
  }
  const total = [...variances.values()].reduce((sum, variance) => sum + variance, 0)
  const basis: readonly Evidence[] = calibration.timedCount > 0 ? ['timed'] : massBasis(calibration)
  return {
    sinkSpeedMmPerS: logEstimate(speed, Math.sqrt(total) / exponent, basis),
    exponent,
    doubt: [...variances]
      .map(([input, variance]) => ({ input, share: variance / total }))
      .sort((a, b) => b.share - a.share),
  }
}
