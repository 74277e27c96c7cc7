import { isDated } from './emergence/index.ts'
import type { DatedBrood } from './emergence/index.ts'
import type { FoodStage } from './foodStage.ts'

/** The broods of stages whose start can be foretold from a year; a stage without broods is one by itself. */
export function datedBroods(stages: readonly FoodStage[]): readonly DatedBrood[] {
  return stages.flatMap(({ id, trigger, broods }) => {
    const triggers = broods.length > 0 ? broods.map((brood) => brood.trigger) : [trigger]
    return triggers.flatMap((own, brood) => (isDated(own) ? [{ stageKey: id, brood, trigger: own }] : []))
  })
}
