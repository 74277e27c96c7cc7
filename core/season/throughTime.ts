import { newYearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { feedingAt } from './feeding.ts'
import type { FeedingScene } from './drawnStages.ts'
import type { Feeding, FeedingNow } from './feeding.ts'
import type { FoodStage } from './foodStage.ts'
import type { HourConditions } from './needs.ts'
import { NOTHING_SAID } from './needs.ts'
import { sunTimes } from './sun.ts'

/** What trout are on through a row of moments; at each of them the shares and whatever comes sum to one. */
export interface FeedingRow {
  readonly whatever: readonly number[]
  readonly stages: readonly StageRow[]
}

/** A stage through a row of moments. */
export interface StageRow {
  readonly stageId: string
  readonly about: readonly number[]
  readonly onIt: readonly number[]
}

export const HALF_HOUR_MIN = 30
export const WEEK_DAYS = 7
/** Weeks of a year, the last of a day or two. */
export const WEEKS = 53
/** Of the draws each so-manieth is enough for a row. */
const OF_A_DAY = 2
const OF_A_YEAR = 4
/** Stages that never come to so much are left out. */
const LEAST = { about: 0.03, onIt: 0.003 }

function rowOf(
  moments: readonly FeedingNow[],
  join: (of: (one: Feeding) => number, stageId: string) => readonly number[],
): FeedingRow {
  // prettier-ignore
  const ids = new Set(moments.flatMap(({ stages }) => stages.map(({ stageId }) => stageId)))
  return {
    whatever: moments.map(({ whatever }) => whatever),
    stages: [...ids].flatMap((stageId): StageRow[] => {
      const about = join((one) => one.about, stageId)
      const onIt = join((one) => one.onIt, stageId)
      return Math.max(...about) < LEAST.about && Math.max(...onIt) < LEAST.onIt
        ? []
        : [{ stageId, about, onIt }]
    }),
  }
}

/** A day by half hours from midnight, or a part of one. */
export function* dayOfFeeding(
  stages: readonly FoodStage[],
  scene: FeedingScene,
  day: EpochDay,
  conditions: HourConditions,
  [fromMin, toMin]: readonly [number, number] = [0, 1440],
): Generator<{ readonly done: number }, FeedingRow> {
  const moments: FeedingNow[] = []
  for (let min = fromMin; min < toMin; min += HALF_HOUR_MIN) {
    moments.push(feedingAt(stages, scene, day, min + HALF_HOUR_MIN / 2, conditions, OF_A_DAY))
    yield { done: (min - fromMin) / (toMin - fromMin) }
  }
  const by = moments.map(({ stages: own }) => new Map(own.map((one) => [one.stageId, one])))
  return rowOf(moments, (of, id) => by.map((own) => (own.has(id) ? of(own.get(id) as Feeding) : 0)))
}

/** Hours of a day that stand for all of it, minutes from its sunrise, noon or sunset. */
function hoursOfDay(scene: FeedingScene, day: EpochDay): readonly number[] {
  const { sunriseLocalMin, solarNoonLocalMin: noon, sunsetLocalMin } = sunTimes(scene, day)
  const [rise, set] = [sunriseLocalMin ?? noon - 720, sunsetLocalMin ?? noon + 720]
  return [rise + 60, (rise + noon) / 2, noon + 30, (noon + set) / 2, set - 30, set + 30]
}

/**
 * A year by weeks from 1 January: of each week's middle day the chance of a stage at its best hour, and its share of the
 * fish over the day.
 */
export function* yearOfFeeding(
  stages: readonly FoodStage[],
  scene: FeedingScene,
  year: number,
): Generator<{ readonly done: number }, FeedingRow> {
  const weeks: FeedingNow[] = []
  for (let week = 0; week < WEEKS; week += 1) {
    const day = newYearOf(year) + Math.min(week * WEEK_DAYS + 3, 364)
    const hours = hoursOfDay(scene, day).map((min) =>
      feedingAt(stages, scene, day, min, NOTHING_SAID, OF_A_YEAR),
    )
    weeks.push({
      whatever: hours.reduce((sum, { whatever }) => sum + whatever, 0) / hours.length,
      stages: (hours[0]?.stages ?? []).map((first, i): Feeding => {
        const own = hours.map((hour) => hour.stages[i] as Feeding)
        return {
          ...first,
          about: Math.max(...own.map(({ about }) => about)),
          onIt: own.reduce((sum, { onIt }) => sum + onIt, 0) / own.length,
        }
      }),
    })
    yield { done: (week + 1) / WEEKS }
  }
  const by = weeks.map(({ stages: own }) => new Map(own.map((one) => [one.stageId, one])))
  return rowOf(weeks, (of, id) => by.map((own) => (own.has(id) ? of(own.get(id) as Feeding) : 0)))
}
