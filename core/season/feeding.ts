import { clamp, Z_80 } from '../number/index.ts'
import { normalsFrom, randomFrom } from '../uncertainty/index.ts'
import { newYearOf, placeInYear, throughMonths, yearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { PEAK_SHARE, turnOf } from './emergence/index.ts'
import type { BroodDraws, SeasonDraws } from './emergence/index.ts'
import { bandIn } from './foodStage.ts'
import type { FoodStage, StageMonth, WaterKind } from './foodStage.ts'
import { hourWeight } from './hours.ts'
import { needFactor } from './needs.ts'
import type { HourConditions } from './needs.ts'
import type { Spot } from './sun.ts'

/** Trout concentrate on what is plentiful: share ∝ mass to this power (frequency-dependent selection, Greenwood & Elton 1979). */
const CONCENTRATION = 1.5
/** A stage is there in numbers where its hour and its place in the window leave so much of its amount. */
const IN_NUMBERS = 0.2
const YEAR_DAYS = 365
/** Powers that make it thickest at {@link PEAK_SHARE}. */
const RISE = 2.2 * PEAK_SHARE
const FALL = 2.2 * (1 - PEAK_SHARE)

/** What is known of a reach's season: its draws, and which foods live there. */
export interface SeasonOfReach {
  readonly draws: SeasonDraws
  /** chance that a food lives on the reach, by food */
  readonly presence: ReadonlyMap<string, number>
  /** by stage, how much of it there is here over what is usual; absent where nobody counted */
  readonly amounts: ReadonlyMap<string, number>
  /** days by which months and lengths of a stage come later here than where the larder was written, by stage */
  readonly laterDays: ReadonlyMap<string, number>
}

/** A reach and what is asked of it. */
export interface FeedingScene extends Spot {
  readonly waterKind: WaterKind
  readonly season: SeasonOfReach
}

/** One stage at a moment. */
export interface Feeding {
  readonly stageId: string
  /** chance that it is there in numbers now */
  readonly about: number
  /** share of the feeding trout that are taking it, averaged over what may be about */
  readonly onIt: number
  /** the same, were it about */
  readonly onItIfAbout: number
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

/** What trout feed on at a moment: the stages, and the share that takes whatever comes. All of them sum to one. */
export interface FeedingNow {
  readonly stages: readonly Feeding[]
  readonly whatever: number
}

/** Months of a stage on this side of the equator: six months on in the south. */
export const monthsAt = (
  stage: Pick<FoodStage, 'months'>,
  latitudeDeg: number,
): readonly (StageMonth | null)[] =>
  latitudeDeg >= 0 ? stage.months : [...stage.months.slice(6), ...stage.months.slice(0, 6)]

/** Length of a stage on a day, from the nearest month that knows one. */
export function lengthOn(months: readonly (StageMonth | null)[], day: EpochDay): readonly [number, number] {
  const { month } = placeInYear(day)
  for (let away = 0; away <= 6; away += 1) {
    const known = months[(month + away) % 12] ?? months[(month + 12 - away) % 12]
    if (known) return [known.lengthMmLow, known.lengthMmHigh]
  }
  return [0, 0]
}

/** Best month of a brood, for how likely it is while it is about. */
export function bestMonth(stage: FoodStage, brood: number): number {
  const own = stage.broods[brood]?.months
  return Math.max(
    ...stage.months.map((entry, month) => (!own || own.includes(month + 1) ? (entry?.likelihood ?? 0) : 0)),
  )
}

/** How thick an emergence is at a share of its stay, 0 to 1: thickest at a third of it. */
function thickness(share: number): number {
  if (share <= 0 || share >= 1) return 0
  return (share / PEAK_SHARE) ** RISE * ((1 - share) / (1 - PEAK_SHARE)) ** FALL
}

/** A log-normal through low, usual and peak, with one luck for all stages of a food: deviates above nought reach for the peak. */
const amountAt = ({ low, usual, peak }: FoodStage['amount'], luck: number): number =>
  usual * (luck >= 0 ? peak / usual : usual / low) ** (luck / Z_80)

interface Drawn {
  readonly stage: FoodStage
  readonly broods: readonly BroodDraws[]
  readonly chances: readonly number[]
  readonly presence: number
  readonly hour: number
  readonly scale: number
  /** of what has no dates: how likely its months have it */
  readonly monthly: number
  readonly need: number
  readonly dated: boolean
}

/** What each stage has at a moment that all draws share. */
function drawnStages(
  stages: readonly FoodStage[],
  scene: FeedingScene,
  day: EpochDay,
  localMin: number,
  conditions: HourConditions,
): readonly Drawn[] {
  const { season, waterKind } = scene
  const byStage = new Map<string, BroodDraws[]>()
  for (const brood of season.draws.broods)
    byStage.set(brood.stageId, [...(byStage.get(brood.stageId) ?? []), brood])
  return stages.flatMap((stage): Drawn[] => {
    const atHome = stage.waterKinds[waterKind] ?? 0
    const presence = season.presence.get(stage.foodId) ?? 1
    if (bandIn(stage, waterKind) === null || presence === 0) return []
    const broods = byStage.get(stage.id) ?? []
    const need = needFactor(stage.needs, conditions)
    const moved = day - Math.round(season.laterDays.get(stage.id) ?? 0)
    const months = monthsAt(stage, scene.latitudeDeg)
    return [{
      stage,
      broods,
      chances: broods.map(({ brood }) => bestMonth(stage, brood) * need),
      presence,
      hour: hourWeight(stage, scene, day, localMin, conditions.weather ?? 'any'),
      scale: stage.ease * Math.max(atHome, presence > 0.5 ? 0.15 : 0) * (season.amounts.get(stage.id) ?? 1),
      monthly: isDatedStage(stage) ? 0 : throughMonths(months.map((entry) => entry?.likelihood ?? 0), moved),
      need,
      dated: isDatedStage(stage),
    }]
  }) // prettier-ignore
}

const UNDATED = new Set(['allYear', 'light', 'level'])
const isDatedStage = ({ trigger, broods }: FoodStage): boolean =>
  broods.length > 0 ? broods.some((brood) => !UNDATED.has(brood.trigger.kind)) : !UNDATED.has(trigger.kind)

/** How a stage stands in one draw: chance that it is about at all, and how thick. */
interface Standing {
  chance: number
  thick: number
}

/** A dated stage in one draw on a day of its year, written into a place since it is asked for some ten thousand times. */
function standing({ broods, chances }: Drawn, n: number, day: number, into: Standing): void {
  into.chance = 0
  into.thick = 0
  for (let b = 0; b < broods.length; b += 1) {
    const { starts, ends } = broods[b] as BroodDraws
    const start = starts[n] as number
    if (Number.isNaN(start)) continue
    const days = Math.max((ends[n] as number) - start, 1)
    const dense = Math.max(thickness((day - start) / days), thickness((day + YEAR_DAYS - start) / days))
    if (dense <= into.thick) continue
    into.chance = chances[b] ?? 0
    into.thick = dense
  }
}

/**
 * What trout are on at a moment. The season is drawn some hundred times: which broods are about, jointly, and how much
 * of each food there is, one luck for all its stages; in each draw the feeding fish share themselves out by
 * (ease × amount)^1.5 against a reference drift of 1, which stands for those that take whatever comes; then the shares
 * are averaged.
 */
export function feedingAt(
  stages: readonly FoodStage[],
  scene: FeedingScene,
  day: EpochDay,
  localMin: number,
  conditions: HourConditions,
): FeedingNow {
  const { draws } = scene.season.draws
  const drawn = drawnStages(stages, scene, day, localMin, conditions)
  const turned = day - turnOf(scene.latitudeDeg)
  const dayOfYear = turned - newYearOf(yearOf(turned))
  const foods = [...new Set(drawn.map(({ stage }) => stage.foodId))]
  const foodOf = drawn.map(({ stage }) => foods.indexOf(stage.foodId))
  const random = randomFrom(day * 1009 + 7)
  const normal = normalsFrom(random)
  const [about, onIt, onItUp, up] = [0, 1, 2, 3].map(() => new Float64Array(drawn.length)) as [
    Float64Array, Float64Array, Float64Array, Float64Array,
  ] // prettier-ignore
  const mass = new Float64Array(drawn.length)
  const there = new Uint8Array(drawn.length)
  const [lives, chance, luck] = [0, 1, 2].map(() => new Float64Array(foods.length)) as [
    Float64Array, Float64Array, Float64Array,
  ] // prettier-ignore
  const now: Standing = { chance: 0, thick: 0 }
  let whatever = 0
  for (let n = 0; n < draws; n += 1) {
    for (let f = 0; f < foods.length; f += 1) {
      lives[f] = random()
      chance[f] = random()
      luck[f] = normal()
    }
    let total = 1
    for (let i = 0; i < drawn.length; i += 1) {
      const one = drawn[i] as Drawn
      const f = foodOf[i] as number
      mass[i] = 0
      there[i] = 0
      if ((lives[f] as number) >= one.presence) continue
      if (one.dated) standing(one, n, dayOfYear, now)
      else [now.chance, now.thick] = [one.monthly > 0 ? one.need : 0, one.monthly]
      const lot = chance[f] as number
      if (now.thick === 0 || lot >= now.chance) continue
      const weight =
        (one.scale * amountAt(one.stage.amount, luck[f] as number) * one.hour * now.thick) ** CONCENTRATION
      mass[i] = weight
      total += weight
      const numbers = one.dated ? one.hour * now.thick : one.hour
      there[i] = numbers >= IN_NUMBERS && (one.dated || lot < one.monthly * one.need) ? 1 : 0
    }
    whatever += 1 / total
    for (let i = 0; i < drawn.length; i += 1) {
      const share = (mass[i] as number) / total
      onIt[i] = (onIt[i] as number) + share
      if (there[i]) {
        about[i] = (about[i] as number) + 1
        onItUp[i] = (onItUp[i] as number) + share
        up[i] = (up[i] as number) + 1
      }
    }
  }
  return {
    whatever: whatever / draws,
    stages: drawn.map(({ stage }, i): Feeding => {
      const moved = day - Math.round(scene.season.laterDays.get(stage.id) ?? 0)
      const [lengthMmLow, lengthMmHigh] = lengthOn(monthsAt(stage, scene.latitudeDeg), moved)
      return {
        stageId: stage.id,
        about: (about[i] as number) / draws,
        onIt: (onIt[i] as number) / draws,
        onItIfAbout: (up[i] as number) > 0 ? (onItUp[i] as number) / (up[i] as number) : 0,
        lengthMmLow,
        lengthMmHigh,
      }
    }),
  }
}

/** How many stages the fish spread over in effect: one over the sum of squared shares (Simpson 1949), whatever comes among them. */
export const effectiveFoods = ({ stages, whatever }: FeedingNow): number =>
  1 / stages.reduce((sum, { onIt }) => sum + onIt ** 2, whatever ** 2)

/** In one word how closely a fly must match a stage. */
export const choosyWord = (choosy: number): 'easy' | 'fair' | 'choosy' => {
  const held = clamp(choosy, 0, 1)
  return held < 0.35 ? 'easy' : held < 0.6 ? 'fair' : 'choosy'
}
