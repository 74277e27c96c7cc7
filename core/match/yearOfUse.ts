import { bandIn, monthsAt, newYearOf, placeInYear, WEEK_DAYS, WEEKS } from '../season/index.ts'
import type { DepthBand, FoodStage, WaterKind } from '../season/index.ts'
import type { StageLooks } from './likeness.ts'
import type { MatchAspect } from './matchAspect.ts'
import { matchFly } from './matchFly.ts'
import type { FlyMatch, Matched, Verdict } from './matchFly.ts'
import type { School } from './school.ts'

/** A reach where a fly may be of use. */
export interface UseReach {
  readonly key: string
  readonly waterKind: WaterKind
  readonly latitudeDeg: number
  /** chance that a stage is about, by stage, week by week from 1 January; absent for what never is */
  readonly about: ReadonlyMap<string, readonly number[]>
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
}

export interface UseInput {
  readonly fly: Matched
  readonly stages: readonly (FoodStage & StageLooks)[]
  /** ids of stages that the pattern is meant for */
  readonly meantFor: readonly string[]
  readonly reaches: readonly UseReach[]
  readonly year: number
  readonly school: School
}

/** A food that the fly stands for on a reach, at the day of the year when it is of most use. */
export interface StageOfUse {
  readonly stageId: string
  /** days from 1 January */
  readonly dayOfYear: number
  /** chance to meet it in numbers then */
  readonly chance: number
  readonly score: number
  readonly verdict: Verdict
  readonly band: DepthBand
  /** what is least right about the fly for it; null where nothing is wrong */
  readonly worst: MatchAspect | null
}

/** What a fly is good for on a reach through the year. */
export interface YearOfUse {
  readonly key: string
  /** week by week from 1 January: chance of the likeliest food that it serves, times how well it does */
  readonly use: readonly number[]
  /** what it serves, the most likely first */
  readonly serves: readonly StageOfUse[]
  /** what it is meant for and does not serve here */
  readonly misses: readonly StageOfUse[]
}

/** A food less likely than this is not fished for. */
const LEAST_CHANCE = 0.1

const worstOf = ({ aspects }: FlyMatch) =>
  aspects.reduce<MatchAspect | null>(
    (worst, aspect) => (aspect.score < Math.min(worst?.score ?? 1, 1) ? aspect : worst),
    null,
  )

/** One stage on one reach: its use by step, and its best day; null where it is never likely or lives elsewhere. */
function stageThroughYear(stage: FoodStage & StageLooks, reach: UseReach, input: UseInput) {
  const { waterKind, bedMm, surfaceSpeedMmPerS } = reach
  const band = bandIn(stage, waterKind)
  const chances = reach.about.get(stage.id)
  if (!band || !chances || Math.max(...chances) < LEAST_CHANCE) return null
  const newYear = newYearOf(input.year)
  const days = Array.from({ length: WEEKS }, (_, i) => i * WEEK_DAYS)
  const matches = monthsAt(stage, reach.latitudeDeg).map((present) => {
    if (!present || present.lengthMmHigh === 0) return null
    const { lengthMmLow, lengthMmHigh } = present
    const place = { waterKind, bedMm, surfaceSpeedMmPerS, lengthMmLow, lengthMmHigh }
    return matchFly(input.fly, stage, place, { school: input.school, meant: input.meantFor.includes(stage.id) })
  })
  const matchOn = (day: number) => matches[placeInYear(newYear + day).month] ?? null
  const use = days.map((day, i) => (chances[i] ?? 0) * (matchOn(day)?.score ?? 0))
  const best = use.indexOf(Math.max(...use))
  const bestDay = days[best] ?? 0
  const match = matchOn(bestDay)
  const served = days.map((day, i) => (matchOn(day)?.verdict === 'serves' ? (use[i] ?? 0) : 0))
  const at: StageOfUse | null = match && {
    stageId: stage.id,
    dayOfYear: bestDay,
    chance: chances[best] ?? 0,
    score: match.score,
    verdict: match.verdict,
    band,
    worst: worstOf(match),
  }
  return at && { at, served }
}

/**
 * When and where a fly is of use: through a year on each reach, which foods it stands for, and what is off for those
 * that it is meant for. Yields the share that is done.
 */
export function* yearOfUse(input: UseInput): Generator<{ done: number }, readonly YearOfUse[]> {
  const found: YearOfUse[] = []
  for (const [nth, reach] of input.reaches.entries()) {
    const all: StageOfUse[] = []
    const use = Array.from({ length: WEEKS }, () => 0)
    for (const stage of input.stages) {
      const through = stageThroughYear(stage, reach, input)
      if (!through) continue
      all.push(through.at)
      for (const [i, value] of through.served.entries()) use[i] = Math.max(use[i] ?? 0, value)
      yield { done: nth / input.reaches.length }
    }
    const byUse = all.sort((a, b) => b.chance * b.score - a.chance * a.score)
    found.push({
      key: reach.key,
      use,
      serves: byUse.filter(({ verdict }) => verdict === 'serves'),
      misses: byUse.filter(({ stageId, verdict }) => verdict !== 'serves' && input.meantFor.includes(stageId)),
    })
  }
  return found
}
