import { bandIn, monthsAt } from '../season/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import type { FoodToCover } from './coverage.ts'

/** What trout are on at a reach through a year: by week and stage, and the rest that takes whatever comes. */
export interface YearRow {
  readonly whatever: readonly number[]
  readonly stages: readonly { readonly stageId: string; readonly onIt: readonly number[] }[]
}

/**
 * What a reach asks for over the whole year: each stage as long as it gets in any month, worth the share of fish that are
 * on it in its best week. Those that never come to at least `leastWorth` are left out.
 */
export function seasonFoods(
  stages: readonly FoodStage[],
  year: YearRow,
  { waterKind, latitudeDeg }: { readonly waterKind: WaterKind; readonly latitudeDeg: number },
  leastWorth: number,
): readonly FoodToCover[] {
  const byId = new Map(stages.map((stage) => [stage.id, stage]))
  return year.stages
    .flatMap(({ stageId, onIt }): FoodToCover[] => {
      const stage = byId.get(stageId)
      const worth = Math.max(...onIt)
      if (!stage || bandIn(stage, waterKind) === null || worth < leastWorth) return []
      const months = monthsAt(stage, latitudeDeg).flatMap((month) =>
        month && month.lengthMmHigh > 0 ? [month] : [],
      )
      if (months.length === 0) return []
      return [
        {
          stageKey: stageId,
          worth,
          lengthMmLow: Math.min(...months.map(({ lengthMmLow }) => lengthMmLow)),
          lengthMmHigh: Math.max(...months.map(({ lengthMmHigh }) => lengthMmHigh)),
        },
      ]
    })
    .sort((a, b) => b.worth - a.worth)
}
