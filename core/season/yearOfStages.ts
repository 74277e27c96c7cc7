import { newYearOf } from './calendar.ts'
import { bandIn } from './foodStage.ts'
import type { FoodStage } from './foodStage.ts'
import { chanceOfDay } from './stageLikelihood.ts'
import type { ReachState } from './stageLikelihood.ts'

/** How likely a stage is through a year on a reach, every {@link YEAR_STEP_DAYS} days from 1 January. */
export interface StageYear {
  readonly stageId: string
  readonly values: readonly number[]
  /** how likely it may be */
  readonly highs: readonly number[]
  readonly best: number
  /** step at which it has nearly reached its best; null for what is there all year */
  readonly risesAt: number | null
}

export const YEAR_STEP_DAYS = 4
/** Foods that never pass this chance on the reach are left out. */
const LEAST = 0.05
const NEARLY = 0.7
/** A stage that never falls below this share of its best is there all year. */
const ALL_YEAR = 0.3

/** The stages of a reach through a year: those that come and go first, in the order in which they come. */
export function* yearOfStages(input: {
  readonly stages: readonly FoodStage[]
  readonly reach: ReachState
  readonly year: number
}): Generator<{ readonly done: number }, readonly StageYear[]> {
  const { stages, reach, year } = input
  const first = newYearOf(year)
  const found: StageYear[] = []
  for (const [nth, stage] of stages.entries()) {
    if (bandIn(stage, reach.waterKind) === null) continue
    const chances = Array.from({ length: Math.ceil(365 / YEAR_STEP_DAYS) + 1 }, (_, i) =>
      chanceOfDay(stage, reach, first + Math.min(i * YEAR_STEP_DAYS, 364)),
    )
    const values = chances.map(({ value }) => value)
    const best = Math.max(...values)
    yield { done: nth / stages.length }
    if (best < LEAST) continue
    found.push({
      stageId: stage.id,
      values,
      highs: chances.map(({ high }) => high),
      best,
      risesAt:
        Math.min(...values) > ALL_YEAR * best ? null : values.findIndex((value) => value >= NEARLY * best),
    })
  }
  return found.sort((a, b) => (a.risesAt ?? Infinity) - (b.risesAt ?? Infinity) || b.best - a.best)
}
