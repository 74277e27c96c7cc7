import type { Fly, WetState } from '../dressing/index.ts'
import { dressedWidthMm } from './width.ts'
import { dryness } from '../dressing/index.ts'
import { evaluateFly, lineDragSdLog, preparedParts } from '../evaluate/index.ts'
import type { Calibration } from '../evaluate/index.ts'
import { descend, flyDrag, lineDrag, terminalSpeed, timeToDepth } from '../sink/index.ts'
import type { FallModel, Tippet } from '../sink/index.ts'
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
  /** line on it, all that follows it down, and the curl that it was foretold with; null for none */
  readonly tippet: Tippet | null
  readonly wet: WetState
}

/** What a test says of a fly, before it is weighed against everything else that is known. */
export interface DropReading {
  readonly testId: string
  readonly variantId: string
  /** depth over the mean of the times, and what the estimate would have shown by the same watch in the same vessel */
  readonly seenMmPerS: number
  readonly estimateMmPerS: number
  /** seen ÷ estimate, 1 for a drop that came as foretold */
  readonly ratio: number
  /** by how much ln(drag of the fly) has to change for a change of ln(speed): q over the fly's share of all drag */
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
  | { readonly kind: 'floats' | 'hovers' }
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

/** How far the drag of a fly may be off for a drop to be read, as factor: beyond it something else is wrong. */
const DRAG_OFF_AT_MOST = 20

/** Seconds that a fall to a depth takes in a vessel, with all of its line that follows it. */
export const fallS = (model: FallModel, depthMm: number, wall: number): number =>
  (timeToDepth(descend(model, depthMm, 'follows'), depthMm) ?? depthMm / terminalSpeed(model)) * wall

/** ln of the factor on the fly's own drag with which a fall takes so long, by bisection. */
function logDragFor(model: FallModel, timeS: number, depthMm: number, wall: number): number {
  const off = (logDrag: number) =>
    fallS({ ...model, dragMultiplier: model.dragMultiplier * Math.exp(logDrag) }, depthMm, wall) - timeS
  let [low, high] = [-Math.log(DRAG_OFF_AT_MOST), Math.log(DRAG_OFF_AT_MOST)]
  if (off(low) >= 0) return low
  if (off(high) <= 0) return high
  while (high - low > 1e-4) {
    const middle = (low + high) / 2
    if (off(middle) > 0) high = middle
    else low = middle
  }
  return (low + high) / 2
}

/**
 * Reads a drop test against the estimate of the same fall, with line, start from rest, temperature, vessel and wetness
 * as they were: the drag of the fly with which it would have taken as long. The drag of the line is taken as known to
 * {@link lineDragSdLog}, so that a drop with much line says less of the fly.
 *
 * @param masses what weighing says; drag itself is taken as not yet measured
 */
export function readDrop(test: DropTest, fly: Fly, masses: Calibration): DropOutcome {
  const { late, lateSd, scatter } = TIMING[test.timing]
  const outliers = outliersOf(test.timesS, scatter)
  const kept = test.timesS.filter((_, i) => !outliers.includes(i))
  if (kept.length === 0 || kept.some((time) => !(time > 0)) || !(test.depthMm > 0)) return { kind: 'noTimes' }
  const { waterTempC, tippet, wet, depthMm } = test
  const conditions = { waterTempC, tippet, wet, filmTreatment: 'none' } as const
  const report = evaluateFly(fly, conditions, masses)
  if (report.kind !== 'sinks') return { kind: report.kind }
  const meanS = mean(kept)
  const seenMmPerS = depthMm / meanS
  if (seenMmPerS > FASTEST_MM_PER_S) return { kind: 'tooFast', seenMmPerS }

  const { model } = report
  const fall = report.trailing ?? report.free
  const wall = wallFactor(dressedWidthMm(fly), test.vesselMm)
  const estimateS = fallS(model, depthMm, wall)
  const estimateMmPerS = depthMm / (estimateS + late)
  const trueS = Math.max(meanS - late, 0.2 * meanS)
  const observed =
    kept.length > 2
      ? Math.sqrt(kept.reduce((sum, time) => sum + (time - meanS) ** 2, 0) / (kept.length - 1))
      : 0
  const spreadS = Math.max(observed, scatter)
  const sdOfSpeed = Math.hypot(lateSd / trueS, spreadS / trueS / Math.sqrt(kept.length), DEPTH_SD_MM / depthMm)
  const line = lineShare(model, depthMm / estimateS, depthMm)
  const exponent = fall.exponent / (1 - line.share)

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
    logDrag: logDragFor(model, trueS, depthMm, wall),
    sdLog: Math.hypot(exponent * sdOfSpeed, (line.share / (1 - line.share)) * line.sdLog),
    dryness: dryness(parts, wet),
    weightVariance: weightSd / model.submergedMg ** 2,
    shares: dragShares(fly, parts),
    exponent,
    outliers,
    advice: adviceFor(test, sdOfSpeed, kept.length),
  }
}

/** Share of all drag that the line has on the way down, and how well it is known. */
function lineShare(model: FallModel, speedMmPerS: number, depthMm: number) {
  const { tippet, water } = model
  if (!tippet) return { share: 0, sdLog: 0 }
  // as the line is paid out with the fly, so much of it trails on the mean of the way
  const { lengthMm } = tippet
  const meanMm = depthMm <= lengthMm ? depthMm / 2 : lengthMm * (1 - lengthMm / depthMm / 2)
  const line = lineDrag(tippet, meanMm, speedMmPerS, water)
  return {
    share: line / (line + flyDrag(model, speedMmPerS)),
    sdLog: lineDragSdLog(tippet, meanMm, speedMmPerS, water),
  }
}

function adviceFor(test: DropTest, sdOfSpeed: number, count: number): DropReading['advice'] {
  if (test.depthMm < LEAST_DEPTH_MM) return 'dropFarther'
  if (test.timing === 'thumb' && sdOfSpeed > 0.08) return 'filmIt'
  return count < 3 ? 'repeat' : 'none'
}
