import { Z_80 } from '../number/index.ts'
import { normalsFrom, randomFrom, seedOf } from '../uncertainty/index.ts'
import { placeInYear, throughMonths } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { broodsOf } from './emergence/index.ts'
import type { BroodDraws, SeasonDraws } from './emergence/index.ts'
import { bandIn } from './foodStage.ts'
import type { FoodStage, StageMonth, WaterKind } from './foodStage.ts'
import { hourWeight } from './hours.ts'
import { needFactor } from './needs.ts'
import { seenShare } from './clarity.ts'
import type { HourConditions } from './needs.ts'
import type { Spot } from './sun.ts'

/** Days after which a season that runs over the year's end is looked for again. */
export const YEAR_DAYS = 365

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

/** What chance gives a food in each draw, one luck for all its stages: they come and go together. */
interface Luck {
  /** below its chance it lives here, and is about */
  readonly lives: Float64Array
  readonly lot: Float64Array
  /** of its amount: a standard normal deviate over that of the 90 % point */
  readonly amount: Float64Array
}

const lucks = new WeakMap<SeasonOfReach, Map<string, Luck>>()

/** Draws are also taken by every second and every fourth: each quarter of them is even in itself. */
const QUARTERS = 4

/** Numbers from 0 to 1, one of each step in an order by chance, so that what is rare is neither missed nor too common. */
function spreadEvenly(draws: number, random: () => number): Float64Array {
  const spread = new Float64Array(draws)
  for (let quarter = 0; quarter < QUARTERS; quarter += 1) {
    const own = Array.from({ length: Math.ceil((draws - quarter) / QUARTERS) }, (_, i) => i)
    for (let i = own.length - 1; i > 0; i -= 1) {
      const other = Math.floor(random() * (i + 1))
      ;[own[i], own[other]] = [own[other] ?? 0, own[i] ?? 0]
    }
    own.forEach((step, i) => (spread[quarter + i * QUARTERS] = (step + random()) / own.length))
  }
  return spread
}

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
    lives: spreadEvenly(draws, random),
    lot: spreadEvenly(draws, random),
    amount: Float64Array.from({ length: draws }, () => normal() / Z_80),
  }
  known.set(foodId, made)
  return made
}

/** A stage that may be there at a moment, as its draws are weighed. */
export interface Drawn {
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
export function toDraw(
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
  const [, lengthMmHigh] = conditions.clarity ? lengthOn(monthsAt(stage, latitudeDeg), moved) : [0, 0]
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
        stage.ease *
        usual *
        Math.max(atHome, presence > 0.5 ? 0.15 : 0) *
        (season.amounts.get(stage.id) ?? 1) *
        seenShare(conditions.clarity, lengthMmHigh),
      upLog: usual > 0 ? Math.log(peak / usual) : 0,
      downLog: low > 0 ? Math.log(usual / low) : 0,
      monthly,
      need,
      dated,
    },
  ]
}
