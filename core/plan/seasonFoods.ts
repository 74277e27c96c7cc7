import { bandIn } from '../season/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import type { FoodToCover } from './coverage.ts'

/** A month counts for a stage where it is at least so likely. */
const ABOUT = 0.1

/**
 * What a kind of water asks for over the whole year: each stage as long as it gets in any month, worth what it is in
 * its best one. Those that never come to at least `leastWorth` are left out.
 */
export function seasonFoods(
  stages: readonly FoodStage[],
  waterKind: WaterKind,
  leastWorth: number,
): readonly FoodToCover[] {
  return stages
    .flatMap((stage): FoodToCover[] => {
      const months = stage.months.flatMap((month) => (month && month.likelihood >= ABOUT ? [month] : []))
      const atHome = stage.waterKinds[waterKind] ?? 0
      if (months.length === 0 || bandIn(stage, waterKind) === null) return []
      const best = Math.max(...months.map(({ likelihood }) => likelihood))
      const worth = best * atHome * stage.importance
      if (worth < leastWorth) return []
      return [
        {
          stageKey: stage.id,
          worth,
          lengthMmLow: Math.min(...months.map(({ lengthMmLow }) => lengthMmLow)),
          lengthMmHigh: Math.max(...months.map(({ lengthMmHigh }) => lengthMmHigh)),
        },
      ]
    })
    .sort((a, b) => b.worth - a.worth)
}
