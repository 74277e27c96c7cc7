import { PRIOR_DRAG_SD_LOG } from '../evaluate/index.ts'
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
  readonly airFactor: number
  /** tests of this very variant */
  readonly timedCount: number
  /** how much of what each test says is taken over, those that count for more than 1 % */
  readonly weights: readonly { readonly testId: string; readonly variantId: string; readonly weight: number }[]
}

/** Of the drag's doubt, the share that dressings which drag alike have in common; the rest is a variant's own. */
const SHARED = 0.8
/** Doubt in the air that a dressing holds, as sd of its logarithm. */
const AIR_SD_LOG = 0.7
/** What no number of drops of one variant takes away: the fly dropped is not the one fished, and a tube is no river. */
const FLOOR_SD_LOG = 0.05

const PRIOR = PRIOR_DRAG_SD_LOG ** 2

/**
 * The drag of a fly from its own drop tests and those of its likes.
 *
 * ln(drag) of all flies is Gaussian about the estimate with sd 0.25; two flies share 0.8 × their likeness of it, and
 * the rest is each one's own. What a test sees is drag ÷ weight, so the doubt in a variant's weight joins its own part.
 * Air held dry is a second unknown of each variant, of which a test sees as much as the air then bears: tests dry and
 * soaked come apart into air and drag. Conditioning on all readings at once is hierarchical shrinkage with these weights.
 */
export function shrinkDrag(readings: readonly DropReading[], target: ShrinkTarget): Shrunk {
  const own = (reading: DropReading) => reading.variantId === target.variantId
  const timedCount = readings.filter(own).length
  const common = (a: DragShares, b: DragShares, same: boolean) =>
    PRIOR * (SHARED * likeness(a, b) + (same ? 1 - SHARED : 0))
  const covariance = readings.map((a, i) =>
    readings.map((b, j) => {
      const same = a.variantId === b.variantId
      const ownPart = same
        ? Math.min(a.weightVariance, b.weightVariance) +
          a.airLeverage * b.airLeverage * AIR_SD_LOG ** 2 +
          FLOOR_SD_LOG ** 2
        : 0
      return common(a.shares, b.shares, same) + ownPart + (i === j ? a.sdLog ** 2 : 0)
    }),
  )
  const weightVariance = Math.max(0, ...readings.filter(own).map((reading) => reading.weightVariance))
  const withDrag = readings.map(
    (reading) => common(reading.shares, target.shares, own(reading)) + (own(reading) ? weightVariance : 0),
  )
  const seen = readings.map(({ logDrag }) => logDrag)
  const drag = condition(covariance, withDrag, PRIOR + weightVariance, seen)
  const withAir = readings.map((reading) => (own(reading) ? reading.airLeverage * AIR_SD_LOG ** 2 : 0))
  const air = condition(covariance, withAir, AIR_SD_LOG ** 2, seen)
  return {
    dragMultiplier: Math.exp(drag.mean),
    dragSdLog: Math.sqrt(drag.variance),
    airFactor: Math.exp(air.mean),
    timedCount,
    weights: readings
      .map(({ testId, variantId }, i) => ({ testId, variantId, weight: drag.weights[i] ?? 0 }))
      .filter(({ weight }) => Math.abs(weight) > 0.01),
  }
}
