import { is } from '../dressing/index.ts'
import type { Part } from '../dressing/index.ts'

/** What weighing says of the mass of a drawer's goods against the catalogue. */
export interface MassFactor {
  /** weighed over reckoned */
  readonly factor: number
  /** standard deviation of ln(factor) that remains */
  readonly sdLog: number
}

/** What the user's own measurements say of a fly; neutral and wide until there are some. */
export interface Calibration {
  readonly dragMultiplier: number
  /** standard deviation of ln(dragMultiplier) */
  readonly dragSdLog: number
  /** ln of what the air that clings to it adds to its drag while it is dry; fades as it soaks */
  readonly dryLogDrag: number
  /** drops of this very variant that were timed */
  readonly timedCount: number
  /** by id of the material */
  readonly massFactors: ReadonlyMap<string, MassFactor>
  /** the whole fly on a scale, mg; null where nobody weighed it */
  readonly weighed: { readonly massMg: number; readonly sdMg: number } | null
}

/** Before any drop was timed: the drag of a dressing is known to a factor of 1.38 (80 %). */
export const PRIOR_DRAG_SD_LOG = 0.25

export const UNCALIBRATED: Calibration = {
  dragMultiplier: 1,
  dragSdLog: PRIOR_DRAG_SD_LOG,
  dryLogDrag: 0,
  timedCount: 0,
  massFactors: new Map(),
  weighed: null,
}

/**
 * A part whose goods were weighed. Heavier hooks have thicker wire of the same steel; a bead of another weight is of
 * another metal, so that its volume stays.
 */
function reweighed(part: Part, factors: Calibration['massFactors']): Part {
  const weighed = factors.get(part.material.id)
  if (!weighed) return part
  const solid = is(part.kind, 'piece')
  return {
    ...part,
    massMg: part.massMg * weighed.factor,
    massSdLog: Math.hypot(weighed.sdLog, part.kind === 'hook' || solid ? 0 : part.massSdLog),
    volumeMm3: part.volumeMm3 * (solid ? 1 : weighed.factor),
  }
}

/**
 * Parts of a fly that was weighed whole: what it weighs more or less than reckoned is shared out by how little each
 * part was known (the linear Gaussian update); together they are then as sure as the scale.
 */
function sharedOut(parts: readonly Part[], weighed: NonNullable<Calibration['weighed']>): readonly Part[] {
  const variances = parts.map((part) => (part.massMg * part.massSdLog) ** 2)
  const total = variances.reduce((sum, variance) => sum + variance, 0) + weighed.sdMg ** 2
  const missing = weighed.massMg - parts.reduce((sum, { massMg }) => sum + massMg, 0)
  return parts.map((part, i) => {
    const variance = variances[i] ?? 0
    const massMg = Math.max(part.massMg + (variance / total) * missing, 0.05 * part.massMg)
    const sdMg = weighed.sdMg * Math.sqrt(variance / (total - weighed.sdMg ** 2))
    return {
      ...part,
      massMg,
      massSdLog: sdMg / massMg,
      volumeMm3: is(part.kind, 'piece') ? part.volumeMm3 : (part.volumeMm3 * massMg) / part.massMg,
    }
  })
}

/** The parts of a fly as the user's scale has them. */
export function calibratedParts(parts: readonly Part[], calibration: Calibration): readonly Part[] {
  const known = parts.map((part) => reweighed(part, calibration.massFactors))
  return calibration.weighed ? sharedOut(known, calibration.weighed) : known
}
