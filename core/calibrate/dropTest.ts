import type { Fly, WetState } from '../dressing/index.ts'
import { dressedWidthMm } from './width.ts'
import { dryness } from '../dressing/index.ts'
import { evaluateFly, preparedParts } from '../evaluate/index.ts'
import type { Calibration } from '../evaluate/index.ts'
import { descend, timeToDepth } from '../sink/index.ts'
import type { Tippet } from '../sink/index.ts'
import { dragShares } from './likeness.ts'
import type { DragShares } from './likeness.ts'
import { median, mean } from '../number/index.ts'

/** How the fall was timed: with a thumb on a stopwatch, from the frames of a film, or between two light gates. */
export const TIMINGS = ['thumb', 'film', 'gates'] as const
export type Timing = (typeof TIMINGS)[number]

/** A fly timed as it falls a known depth, several times. */
export interface DropTest {
  readonly id: string
  readonly variantId: string
  readonly depthMm: number
  readonly timesS: readonly number[]
  readonly timing: Timing
  readonly waterTempC: number
  /** inner width of tube or vase, mm; null in open water */
  readonly vesselMm: number | null
  /** line on it, as long as what can trail; null for none */
  readonly tippet: Tippet | null
  readonly wet: WetState
}

/** What a test says of a fly, before it is weighed against everything else that is known. */
export interface DropReading {
  readonly testId: string
  readonly variantId: string
  /** mean speed that was seen, and the estimate for the same fall */
  readonly seenMmPerS: number
  readonly estimateMmPerS: number
  /** seen ÷ estimate, as measured */
  readonly ratio: number
  /** q in F ∝ v^q at that speed */
  readonly exponent: number
  /** ln(drag ÷ estimate) that would explain it, and its standard deviation */
  readonly logDrag: number
  readonly sdLog: number
  /** share of its first air that it held: 1 straight from the vise, 0 soaked */
  readonly dryness: number
  /** variance of ln(weight in water) that weighing could take away */
  readonly weightVariance: number
  readonly shares: DragShares
  /** times that lie off the others, by place in the row */
  readonly outliers: readonly number[]
  /** what would make a better test */
  readonly advice: 'none' | 'dropFarther' | 'filmIt' | 'repeat'
}

/** A reading, or why there is none. */
export type DropOutcome =
  | ({ readonly kind: 'read' } & DropReading)
  | { readonly kind: 'floats' }
  | { readonly kind: 'doesNotFit' }
  | { readonly kind: 'noTimes' }
  /** nothing on a hook falls so fast: was the depth in another unit? */
  | { readonly kind: 'tooFast'; readonly seenMmPerS: number }

/**
 * Errors of timing, s. A thumb is late by about 0.15 s each time, which repeats do not cure, and scatters by 0.12;
 * a film is counted to a frame.
 */
const TIMING: Readonly<Record<Timing, { late: number; lateSd: number; scatter: number }>> = {
  thumb: { late: 0.15, lateSd: 0.08, scatter: 0.12 },
  film: { late: 0, lateSd: 0.015, scatter: 0.03 },
  gates: { late: 0, lateSd: 0.004, scatter: 0.01 },
}
const DEPTH_SD_MM = 8
const FASTEST_MM_PER_S = 3000
const OUTLIER_SDS = 3.5
/** Below this the error of a thumb is most of what is seen. */
const LEAST_DEPTH_MM = 700

/** Times that lie further off the median than chance allows; with fewer than three there is nothing to tell by. */
function outliersOf(timesS: readonly number[], scatterS: number): readonly number[] {
  if (timesS.length < 3) return []
  const middle = median(timesS)
  const spread = Math.max(1.4826 * median(timesS.map((time) => Math.abs(time - middle))), scatterS)
  return timesS.flatMap((time, i) => (Math.abs(time - middle) > OUTLIER_SDS * spread ? [i] : []))
}

/**
 * Speed in a wide vessel over that in one of this width: 1 / (1 − (d/D)^1.5), Munroe 1888, Trans. AIME 17, 637,
 * for bodies that fall faster than they creep.
 */
export const wallFactor = (bodyMm: number, vesselMm: number | null): number =>
  vesselMm === null ? 1 : 1 / (1 - Math.min(bodyMm / vesselMm, 0.8) ** 1.5)

/**
 * Reads a drop test against the estimate of the same fall, with line, start from rest, temperature and wetness as they
 * were. ln(drag ÷ estimate) = −q ln(seen ÷ estimate), with q the exponent of drag at that speed.
 *
 * @param masses what weighing says; drag itself is taken as not yet measured
 */
export function readDrop(test: DropTest, fly: Fly, masses: Calibration): DropOutcome {
  const { late, lateSd, scatter } = TIMING[test.timing]
  const outliers = outliersOf(test.timesS, scatter)
  const kept = test.timesS.filter((_, i) => !outliers.includes(i))
  if (kept.length === 0 || kept.some((time) => !(time > 0)) || !(test.depthMm > 0)) return { kind: 'noTimes' }
  const conditions = {
    waterTempC: test.waterTempC,
    tippet: test.tippet,
    wet: test.wet,
    filmTreatment: 'none',
  } as const
  const report = evaluateFly(fly, conditions, masses)
  if (report.kind !== 'sinks') return { kind: report.kind }
  const meanS = mean(kept)
  const seenMmPerS = test.depthMm / meanS
  if (seenMmPerS > FASTEST_MM_PER_S) return { kind: 'tooFast', seenMmPerS }

  const { model } = report
  const fall = report.trailing ?? report.free
  const leaderMm = test.tippet?.lengthMm ?? Infinity
  const descent = descend({ ...model, tippet: test.tippet }, test.depthMm, Math.max(leaderMm, test.depthMm))
  const estimateS = timeToDepth(descent, test.depthMm) ?? test.depthMm / fall.sinkSpeedMmPerS.value
  const estimateMmPerS = test.depthMm / estimateS
  const trueS = Math.max(meanS - late, 0.2 * meanS)
  const open = (test.depthMm / trueS) * wallFactor(dressedWidthMm(fly), test.vesselMm)
  const observed =
    kept.length > 2
      ? Math.sqrt(kept.reduce((sum, time) => sum + (time - meanS) ** 2, 0) / (kept.length - 1))
      : 0
  const spreadS = Math.max(observed, scatter)
  const sdOfSpeed = Math.hypot(
    lateSd / trueS,
    spreadS / trueS / Math.sqrt(kept.length),
    DEPTH_SD_MM / test.depthMm,
  )

  const parts = preparedParts(fly, conditions, masses)
  const density = model.water.densityMgPerMm3
  const weightSd = parts.reduce(
    (sum, part) => sum + ((part.massMg - density * part.volumeMm3) * part.massSdLog) ** 2,
    0,
  )
  return {
    kind: 'read',
    testId: test.id,
    variantId: test.variantId,
    seenMmPerS,
    estimateMmPerS,
    ratio: seenMmPerS / estimateMmPerS,
    logDrag: -fall.exponent * Math.log(open / estimateMmPerS),
    sdLog: fall.exponent * sdOfSpeed,
    dryness: dryness(parts, test.wet),
    weightVariance: weightSd / model.submergedMg ** 2,
    shares: dragShares(fly, parts),
    exponent: fall.exponent,
    outliers,
    advice: adviceFor(test, sdOfSpeed, kept.length),
  }
}

function adviceFor(test: DropTest, sdOfSpeed: number, count: number): DropReading['advice'] {
  if (test.depthMm < LEAST_DEPTH_MM) return 'dropFarther'
  if (test.timing === 'thumb' && sdOfSpeed > 0.08) return 'filmIt'
  return count < 3 ? 'repeat' : 'none'
}
