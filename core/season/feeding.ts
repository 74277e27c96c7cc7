import { clamp, Z_80 } from '../number/index.ts'
import { normalsFrom, randomFrom, seedOf } from '../uncertainty/index.ts'
import { newYearOf, placeInYear, throughMonths, yearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { broodsOf, PEAK_SHARE, turnOf } from './emergence/index.ts'
import type { BroodDraws, SeasonDraws } from './emergence/index.ts'
import { bandIn } from './foodStage.ts'
import type { FoodStage, StageMonth, WaterKind } from './foodStage.ts'
import { hourWeight } from './hours.ts'
import { needFactor } from './needs.ts'
import type { HourConditions } from './needs.ts'
import type { Spot } from './sun.ts'

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

/** What chance gives a food in each draw, one luck for all its stages: they come and go together. */
interface Luck {
  /** below its chance it lives here, and is about */
  readonly lives: Float64Array
  readonly lot: Float64Array
  /** of its amount: a standard normal deviate over that of the 90 % point */
  readonly amount: Float64Array
}

const lucks = new WeakMap<SeasonOfReach, Map<string, Luck>>()

/** The luck of a food in a season, the same at every moment of it, and whatever other foods there are. */
function luckOf(season: SeasonOfReach, foodId: string): Luck {
  const known = lucks.get(season) ?? new Map<string, Luck>()
  lucks.set(season, known)
  const found = known.get(foodId)
  if (found) return found
  const { draws } = season.draws
  const random = randomFrom(seedOf(foodId))
  const normal = normalsFrom(random)
  const made: Luck = {
    lives: Float64Array.from({ length: draws }, random),
    lot: Float64Array.from({ length: draws }, random),
    amount: Float64Array.from({ length: draws }, () => normal() / Z_80),
  }
  known.set(foodId, made)
  return made
}

interface Drawn {
  readonly stage: FoodStage
  readonly luck: Luck
  readonly broods: readonly BroodDraws[]
  readonly chances: readonly number[]
  readonly presence: number
  readonly hour: number
  /** ease and usual amount where its hour is best, here over where it is at home */
  readonly scale: number
  /** logarithms of peak over usual and of usual over low */
  readonly upLog: number
  readonly downLog: number
  /** of what has no dates: how likely its months have it */
  readonly monthly: number
  readonly need: number
  readonly dated: boolean
}

const spans = new WeakMap<BroodDraws, readonly [first: number, last: number]>()

/** From the earliest start of any draw to the latest end. */
function spanOf(brood: BroodDraws): readonly [number, number] {
  const known = spans.get(brood)
  if (known) return known
  let [first, last] = [Infinity, -Infinity]
  brood.starts.forEach((start, n) => {
    if (Number.isNaN(start)) return
    first = Math.min(first, start)
    last = Math.max(last, brood.ends[n] as number)
  })
  const span = [first, last] as const
  spans.set(brood, span)
  return span
}

const isOpen = (brood: BroodDraws, dayOfYear: number): boolean => {
  const [first, last] = spanOf(brood)
  return (
    (first <= dayOfYear && dayOfYear <= last) ||
    (first <= dayOfYear + YEAR_DAYS && dayOfYear + YEAR_DAYS <= last)
  )
}

const broodsByStage = new WeakMap<SeasonOfReach, ReadonlyMap<string, readonly BroodDraws[]>>()

function broodsIn(season: SeasonOfReach): ReadonlyMap<string, readonly BroodDraws[]> {
  const known = broodsByStage.get(season)
  if (known) return known
  const byStage = new Map<string, BroodDraws[]>()
  for (const brood of season.draws.broods)
    byStage.set(brood.stageId, [...(byStage.get(brood.stageId) ?? []), brood])
  broodsByStage.set(season, byStage)
  return byStage
}

/** A stage that may be there, to be drawn; what cannot is left out. */
function toDraw(
  stage: FoodStage,
  scene: FeedingScene,
  day: EpochDay,
  dayOfYear: number,
  localMin: number,
  conditions: HourConditions,
): readonly Drawn[] {
  const { season, waterKind, latitudeDeg } = scene
  const atHome = stage.waterKinds[waterKind] ?? 0
  const presence = season.presence.get(stage.foodId) ?? 1
  if (bandIn(stage, waterKind) === null || presence === 0) return []
  const dated = broodsOf(stage).length > 0
  const broods = (broodsIn(season).get(stage.id) ?? []).filter((brood) => isOpen(brood, dayOfYear))
  const moved = day - Math.round(season.laterDays.get(stage.id) ?? 0)
  const likely = monthsAt(stage, latitudeDeg).map((entry) => entry?.likelihood ?? 0)
  const monthly = dated ? 0 : throughMonths(likely, moved)
  const need = needFactor(stage.needs, conditions)
  if (need === 0 || (dated ? broods.length === 0 : monthly === 0)) return []
  const { low, usual, peak } = stage.amount
  return [
    {
      stage,
      luck: luckOf(season, stage.foodId),
      broods,
      chances: broods.map(({ brood }) => bestMonth(stage, brood) * need),
      presence,
      hour: hourWeight(stage, scene, day, localMin, conditions.weather ?? 'any'),
      // where it lives although its kind of water is none of its own, there is a little of it
      scale:
        stage.ease * usual * Math.max(atHome, presence > 0.5 ? 0.15 : 0) * (season.amounts.get(stage.id) ?? 1),
      upLog: usual > 0 ? Math.log(peak / usual) : 0,
      downLog: low > 0 ? Math.log(usual / low) : 0,
      monthly,
      need,
      dated,
    },
  ]
}

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

/** What of a stage's draws is added up. */
interface Sums {
  readonly about: Float64Array
  readonly onIt: Float64Array
  readonly onItUp: Float64Array
}

/** Weighs every stage in one draw, into `mass`, and notes which are there in numbers; gives the total with the reference drift. */
function weighDraw(
  drawn: readonly Drawn[],
  n: number,
  dayOfYear: number,
  mass: Float64Array,
  there: Uint8Array,
): number {
  const now: Standing = { chance: 0, thick: 0 }
  let total = 1
  for (let i = 0; i < drawn.length; i += 1) {
    const one = drawn[i] as Drawn
    mass[i] = 0
    there[i] = 0
    const { lives, lot, amount } = one.luck
    if ((lives[n] as number) >= one.presence) continue
    if (one.dated) standing(one, n, dayOfYear, now)
    else {
      now.chance = one.need
      now.thick = one.monthly
    }
    const drawnLot = lot[n] as number
    if (now.thick === 0 || drawnLot >= now.chance) continue
    const luck = amount[n] as number
    const much = one.scale * one.hour * now.thick * Math.exp(luck * (luck >= 0 ? one.upLog : one.downLog))
    const weight = much * Math.sqrt(much)
    mass[i] = weight
    total += weight
    const numbers = one.dated ? one.hour * now.thick : one.hour
    there[i] = numbers >= IN_NUMBERS && (one.dated || drawnLot < one.monthly * one.need) ? 1 : 0
  }
  return total
}

/**
 * What trout are on at a moment. The season is drawn some hundred times: which broods are about, jointly, and how much
 * of each food there is, one luck for all its stages; in each draw the feeding fish share themselves out by
 * (ease × amount)^1.5, for trout concentrate on what is plentiful (frequency-dependent selection, Greenwood & Elton
 * 1979), against a reference drift of 1, which stands for those that take whatever comes; then the shares
 * are averaged.
 *
 * @param every takes only each so-manieth draw, where many moments are asked for
 */
export function feedingAt(
  stages: readonly FoodStage[],
  scene: FeedingScene,
  day: EpochDay,
  localMin: number,
  conditions: HourConditions,
  every = 1,
): FeedingNow {
  const { season, latitudeDeg } = scene
  const turned = day - turnOf(latitudeDeg)
  const dayOfYear = turned - newYearOf(yearOf(turned))
  const drawn = stages.flatMap((stage) => toDraw(stage, scene, day, dayOfYear, localMin, conditions))
  const row = () => new Float64Array(drawn.length)
  const sums: Sums = { about: row(), onIt: row(), onItUp: row() }
  const mass = row()
  const there = new Uint8Array(drawn.length)
  let [whatever, taken] = [0, 0]
  for (let n = 0; n < season.draws.draws; n += every) {
    const total = weighDraw(drawn, n, dayOfYear, mass, there)
    whatever += 1 / total
    taken += 1
    for (let i = 0; i < drawn.length; i += 1) {
      const share = (mass[i] as number) / total
      sums.onIt[i] = (sums.onIt[i] as number) + share
      if (!there[i]) continue
      sums.about[i] = (sums.about[i] as number) + 1
      sums.onItUp[i] = (sums.onItUp[i] as number) + share
    }
  }
  return {
    whatever: whatever / taken,
    stages: drawn.map(({ stage }, i): Feeding => {
      const moved = day - Math.round(season.laterDays.get(stage.id) ?? 0)
      const [lengthMmLow, lengthMmHigh] = lengthOn(monthsAt(stage, latitudeDeg), moved)
      const up = sums.about[i] as number
      return {
        stageId: stage.id,
        about: up / taken,
        onIt: (sums.onIt[i] as number) / taken,
        onItIfAbout: up > 0 ? (sums.onItUp[i] as number) / up : 0,
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
