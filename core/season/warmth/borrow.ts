import { clamp, mean } from '../../number/index.ts'
import { MONTH_MIDDLES } from './seasonalModel.ts'
import type { SeasonalModel } from './seasonalModel.ts'

/** A reach that may lend its year: its height, and its own fitted model. */
export interface Lender {
  readonly elevationM: number
  readonly model: SeasonalModel
}

/** A river is cooler by so much for each metre of height, °C, and swings less by this share of its amplitude. */
const LAPSE = { meanCPerM: -0.009, amplitudePerM: -0.0006 }
/** Doubt of what was borrowed, sd in °C: at the same height, and more for each metre between. */
const DOUBT = { here: 0.4, perM: 0.004 }
/** Beyond this a height says nothing any more, m. */
const FARTHEST_M = 800

/** A lender's year as it would be at another height. */
function carried({ elevationM, model }: Lender, toM: number): SeasonalModel {
  const upM = toM - elevationM
  const swing = Math.max(1 + LAPSE.amplitudePerM * upM, 0.2)
  return {
    ...model,
    meanC: model.meanC + LAPSE.meanCPerM * upM,
    cos1C: model.cos1C * swing,
    sin1C: model.sin1C * swing,
    cos2C: model.cos2C * swing,
    sin2C: model.sin2C * swing,
    curveSdC: model.curveSdC.map((sd) => Math.hypot(sd, DOUBT.here + DOUBT.perM * Math.abs(upM))),
    readingDays: 0,
    basis: 'borrowed',
  }
}

/** The mean of each month at another height of the same water, °C in tenths: what a reach has until it is read. */
export function yearAtHeight(monthlyC: readonly number[], fromM: number, toM: number): readonly number[] {
  const upM = toM - fromM
  const middleC = mean(monthlyC)
  const swing = Math.max(1 + LAPSE.amplitudePerM * upM, 0.2)
  return monthlyC.map((monthC) => {
    const tempC = middleC + LAPSE.meanCPerM * upM + (monthC - middleC) * swing
    return Math.round(clamp(tempC, 0, 30) * 10) / 10
  })
}

/**
 * The year of a reach without readings of its own, from the reaches of its river that have some: the nearer in height
 * the more. Where the river is broken by a dam, a lake or a spring, the other side is another water.
 *
 * @returns null where nobody can lend
 */
export function borrowSeasonal(elevationM: number, lenders: readonly Lender[]): SeasonalModel | null {
  const near = lenders.filter(
    (lender) => lender.model.basis === 'readings' && Math.abs(lender.elevationM - elevationM) <= FARTHEST_M,
  )
  if (near.length === 0) return null
  const lent = near.map((lender) => carried(lender, elevationM))
  const weights = lent.map(({ curveSdC }) => 1 / mean(curveSdC.map((sd) => sd ** 2)))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const weighted = (of: (model: SeasonalModel) => number) =>
    lent.reduce((sum, model, i) => sum + of(model) * (weights[i] ?? 0), 0) / total
  return {
    meanC: weighted(({ meanC }) => meanC),
    cos1C: weighted(({ cos1C }) => cos1C),
    sin1C: weighted(({ sin1C }) => sin1C),
    cos2C: weighted(({ cos2C }) => cos2C),
    sin2C: weighted(({ sin2C }) => sin2C),
    noiseSdC: weighted(({ noiseSdC }) => noiseSdC),
    persistence: weighted(({ persistence }) => persistence),
    yearSdC: weighted(({ yearSdC }) => yearSdC),
    curveSdC: MONTH_MIDDLES.map((_, month) =>
      Math.max(
        1 / Math.sqrt(lent.reduce((sum, { curveSdC }) => sum + 1 / (curveSdC[month] ?? 1) ** 2, 0)),
        DOUBT.here,
      ),
    ),
    readingDays: 0,
    basis: 'borrowed',
  }
}
