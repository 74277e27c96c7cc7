import { clamp } from '../number/index.ts'
import { newYearOf, yearOf } from './calendar.ts'
import type { EpochDay } from './calendar.ts'
import { lengthOn, monthsAt, toDraw, YEAR_DAYS } from './drawnStages.ts'
import type { Drawn, FeedingScene } from './drawnStages.ts'
import { PEAK_SHARE, turnOf } from './emergence/index.ts'
import type { BroodDraws } from './emergence/index.ts'
import type { FoodStage } from './foodStage.ts'
import type { HourConditions } from './needs.ts'

/** A stage is there in numbers where its hour and its place in the window leave so much of its amount. */
const IN_NUMBERS = 0.2
/** Powers that make it thickest at {@link PEAK_SHARE}. */
const RISE = 2.2 * PEAK_SHARE
const FALL = 2.2 * (1 - PEAK_SHARE)

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

/** How thick an emergence is at a share of its stay, 0 to 1: thickest at a third of it. */
function thickness(share: number): number {
  if (share <= 0 || share >= 1) return 0
  return (share / PEAK_SHARE) ** RISE * ((1 - share) / (1 - PEAK_SHARE)) ** FALL
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
    const days = Math.max((ends[n] ?? 0) - start, 1)
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
    if ((lives[n] ?? 0) >= one.presence) continue
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
      const share = (mass[i] ?? 0) / total
      sums.onIt[i] = (sums.onIt[i] ?? 0) + share
      if (!there[i]) continue
      sums.about[i] = (sums.about[i] ?? 0) + 1
      sums.onItUp[i] = (sums.onItUp[i] ?? 0) + share
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
        onIt: (sums.onIt[i] ?? 0) / taken,
        onItIfAbout: up > 0 ? (sums.onItUp[i] ?? 0) / up : 0,
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
