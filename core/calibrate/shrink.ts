import { PRIOR_DRAG_SD_LOG } from '../evaluate/index.ts'
import { logEstimate } from '../uncertainty/index.ts'
import type { Estimate } from '../uncertainty/index.ts'
import type { DropReading } from './dropTest.ts'
import { condition } from './gaussian.ts'
import { likeness } from './likeness.ts'
import type { DragShares } from './likeness.ts'

/** The fly whose drag is asked for. */
export interface ShrinkTarget {
  readonly variantId: string
  readonly shares: DragShares
}

/** What all tests together say of the drag of a fly. */
export interface Shrunk {
  readonly dragMultiplier: number
  /** standard deviation of ln(drag) that remains; with tests of its own, that of ln(drag ÷ weight) */
  readonly dragSdLog: number
  /** ln of what clinging air adds to its drag while it is dry */
  readonly dryLogDrag: number
  /** tests of this very variant */
  readonly timedCount: number
  /** how much of what each test says is taken over, those that count for more than 1 % */
  readonly weights: readonly { readonly testId: string; readonly variantId: string; readonly weight: number }[]
}

/** Of the doubt in drag and in held air, the share that dressings which drag alike have in common; the rest is a variant's own. */
const SHARED = 0.8
/** Doubt in what clinging air adds to the drag of a dry fly, as sd of its logarithm. */
const DRY_SD_LOG = 0.25
/** What no number of drops of one variant takes away: the fly dropped is not the one fished, and a tube is no river. */
const FLOOR_SD_LOG = 0.05

const PRIOR = PRIOR_DRAG_SD_LOG ** 2

/** What two flies have in common: the covariance of their ln(drag), and of what clinging air adds to it. */
function commonOf(a: ShrinkTarget, b: ShrinkTarget) {
  const same = a.variantId === b.variantId
  const share = SHARED * likeness(a.shares, b.shares) + (same ? 1 - SHARED : 0)
  return { same, drag: PRIOR * share, air: DRY_SD_LOG ** 2 * share }
}

/**
 * The drag of a fly from its own drop tests and those of its likes.
 *
 * ln(drag) of all flies is Gaussian about the estimate with sd 0.25; two flies share 0.8 × their likeness of it, and
 * the rest is each one's own. What a test sees is drag ÷ weight, so the doubt in a variant's weight joins its own part.
 * What clinging air adds is a second unknown, shared by likes as drag is, of which a test sees as much as the fly is
 * still dry: tests dry and soaked come apart into air and drag. Conditioning on all readings at once is hierarchical
 * shrinkage with these weights.
 */
export function shrinkDrag(readings: readonly DropReading[], target: ShrinkTarget): Shrunk {
  const own = (reading: DropReading) => reading.variantId === target.variantId
  const timedCount = readings.filter(own).length
  const covariance = readings.map((a, i) =>
    readings.map((b, j) => {
      const common = commonOf(a, b)
      const ownPart = common.same ? Math.min(a.weightVariance, b.weightVariance) + FLOOR_SD_LOG ** 2 : 0
      const air = a.dryness * b.dryness * common.air
      return common.drag + air + ownPart + (i === j ? a.sdLog ** 2 : 0)
    }),
  )
  const weightVariance = Math.max(0, ...readings.filter(own).map((reading) => reading.weightVariance))
  const seen = readings.map(({ logDrag }) => logDrag)
  const withDrag = readings.map(
    (reading) => commonOf(reading, target).drag + (own(reading) ? weightVariance : 0),
  )
  const drag = condition(covariance, withDrag, PRIOR + weightVariance, seen)
  const withAir = readings.map((reading) => reading.dryness * commonOf(reading, target).air)
  const dry = condition(covariance, withAir, DRY_SD_LOG ** 2, seen)
  return {
    dragMultiplier: Math.exp(drag.mean),
    dragSdLog: Math.sqrt(drag.variance),
    dryLogDrag: dry.mean,
    timedCount,
    weights: readings
      .map(({ testId, variantId }, i) => ({ testId, variantId, weight: drag.weights[i] ?? 0 }))
      .filter(({ weight }) => Math.abs(weight) > 0.01),
  }
}

/** What was foretold of a drop before it was known, and whether the 80 % band held it. */
export interface Foretold {
  readonly speed: Estimate
  readonly held: boolean
}

/** Foretells a drop from the tests before it, in the state and by the timing that it had. */
export function foretold(reading: DropReading, earlier: readonly DropReading[]): Foretold {
  const { dragMultiplier, dragSdLog, dryLogDrag, timedCount } = shrinkDrag(earlier, reading)
  const weight = timedCount > 0 ? 0 : reading.weightVariance
  const sd = Math.sqrt(
    dragSdLog ** 2 + weight + reading.sdLog ** 2 + FLOOR_SD_LOG ** 2 + (reading.dryness * DRY_SD_LOG) ** 2,
  )
  const speed = logEstimate(
    reading.estimateMmPerS *
      (dragMultiplier * Math.exp(dryLogDrag * reading.dryness)) ** (-1 / reading.exponent),
    sd / reading.exponent,
    timedCount > 0 ? ['timed'] : ['catalogue'],
  )
  return { speed, held: speed.low <= reading.seenMmPerS && reading.seenMmPerS <= speed.high }
}
