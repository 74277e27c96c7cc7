import { borrowSeasonal } from './borrow.ts'
import { fitSeasonal } from './fitSeasonal.ts'
import type { DayReading } from './fitSeasonal.ts'
import type { SeasonalModel } from './seasonalModel.ts'

/** A reach as its year is fitted. */
export interface ReadReach {
  readonly key: string
  readonly waterKey: string
  readonly elevationM: number
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  /** what is usual of its kind */
  readonly usual: SeasonalModel
}

/** The year of each reach: by its own readings, over what the other reaches of its water lend, or what is usual of its kind. */
export function modelsOf(reaches: readonly ReadReach[]): ReadonlyMap<string, SeasonalModel> {
  const fitted = new Map(
    reaches.flatMap(({ key, days, usual }) =>
      days.length > 0 ? [[key, fitSeasonal(days, usual)] as const] : [],
    ),
  )
  return new Map(
    reaches.map(({ key, waterKey, elevationM, days, usual }) => {
      const lenders = reaches.flatMap((other) => {
        const model = fitted.get(other.key)
        return model && other.waterKey === waterKey && other.key !== key
          ? [{ elevationM: other.elevationM, model }]
          : []
      })
      return [key, fitSeasonal(days, borrowSeasonal(elevationM, lenders) ?? usual)]
    }),
  )
}
