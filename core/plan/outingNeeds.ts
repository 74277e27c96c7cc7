import { sum } from '../number/index.ts'
import { bandIn } from '../season/index.ts'
import type { DepthBand, FoodStage } from '../season/index.ts'
import type { School, StageLooks } from '../match/index.ts'
import { HALF_HOUR, needHours } from './hours.ts'
import type { NeedHours } from './hours.ts'
import type { ComingOuting, ServingVariant } from './inputs.ts'
import type { LossRate } from './losses.ts'
import { isWayAllowed } from './rules.ts'
import { fallFor } from '../technique/index.ts'
import type { Behaviour } from '../technique/index.ts'
import { anchorsAmong, servedBy, servedWhatever } from './serving.ts'
import type { ServedBy } from './serving.ts'

/** What an outing asks of the boxes: a food, something for fish that take whatever comes, or an anchor. */
export interface OutingNeed<Variant extends ServingVariant = ServingVariant>
  extends NeedHours, ServedBy<Variant> {
  readonly kind: 'food' | 'whatever' | 'anchor'
  /** null where it is no food */
  readonly stageKey: string | null
  readonly band: DepthBand | null
  /** whether any fly at all could be shown to them, by the ways of the day and the note of the water */
  readonly reachable: boolean
  readonly rate: LossRate
  /** hours that its flies are in the water over the whole outing */
  readonly fishedHours: number
}

/** How often flies are lost where they are fished for a band; without a variant, those of somebody new to it. */
export type RateAt<Variant> = (band: DepthBand, outing: ComingOuting, variant: Variant | null) => LossRate

export interface OutingServingsInput<Variant extends ServingVariant> {
  readonly outing: ComingOuting
  readonly variants: readonly Variant[]
  readonly stages: ReadonlyMap<string, FoodStage & StageLooks>
  readonly school: School
}

interface Progress {
  readonly done: number
}

/** What hardly a fish is on asks for no fly of its own. */
const LEAST_ON_IT = 0.004
/** Of the fish on food at the bottom, those that a light fly on a tight line reaches only with an anchor. Judgement. */
const BY_ANCHOR = 0.25

/** Whether some fly of the right weight could be shown at a depth by the ways of the day. */
function isReachable(band: DepthBand, { techniques, rules }: ComingOuting): boolean {
  const film = band === 'onFilm' || band === 'inFilm'
  const ideal: Behaviour = film
    ? { kind: 'floats', posture: 'low' }
    : { kind: 'sinks', sinkSpeedMmPerS: 100, freeMmPerS: 110, submergedMg: 20 }
  if (rules.dryOnly && !film) return false
  const ways = techniques.filter((way) => isWayAllowed(rules, way))
  return techniques.length === 0 || ways.some((way) => fallFor(way, ideal) !== null)
}

/** How far two foods are fished with the same flies, 0 to 1: what both have over what either has. */
function kinship(flies: ReadonlySet<string>, others: ReadonlySet<string>): number {
  let shared = 0
  for (const key of flies) if (others.has(key)) shared += 1
  const either = flies.size + others.size - shared
  return either === 0 ? 0 : shared / either
}

/** Hours in the water before the middle of each half hour, where so much of each is fished. */
function fishedBefore(shares: readonly number[]): readonly number[] {
  let before = 0
  return shares.map((share) => {
    const middle = before + (HALF_HOUR * share) / 2
    before += HALF_HOUR * share
    return middle
  })
}

/** One thing that an outing asks for, with the flies for it. */
export interface OutingServing<Variant extends ServingVariant = ServingVariant> extends ServedBy<Variant> {
  readonly kind: OutingNeed['kind']
  readonly stageKey: string | null
  readonly band: DepthBand | null
  readonly onIt: readonly number[]
}

/** Where what is fished for whatever comes is lost: mid-water, between the two. */
const WHATEVER_BAND: DepthBand = 'midWater'

/**
 * What an outing asks for, with the flies that serve it: the part that takes its time, and hangs neither on how many flies
 * there are nor on what was lost. Yields the share that is done.
 */
export function* outingServings<Variant extends ServingVariant>({
  outing,
  variants,
  stages,
  school,
}: OutingServingsInput<Variant>): Generator<Progress, readonly OutingServing<Variant>[]> {
  const place = { ...outing, school }
  const tight = outing.techniques.includes('tightLineNymph') && outing.rules.maxFlies !== 1
  const foods: OutingServing<Variant>[] = []
  for (const [nth, { stageKey, onIt, ...lengths }] of outing.foods.entries()) {
    const stage = stages.get(stageKey)
    const band = stage && bandIn(stage, outing.waterKind)
    const mean = sum(onIt) / Math.max(onIt.length, 1)
    if (!stage || !band || mean < LEAST_ON_IT || lengths.lengthMmHigh === 0) continue
    foods.push({ kind: 'food', stageKey, band, onIt, ...servedBy(variants, stage, lengths, place) })
    yield { done: nth / outing.foods.length }
  }
  const month = Number(outing.on.slice(5, 7))
  const whatever: OutingServing<Variant> = {
    kind: 'whatever',
    stageKey: null,
    band: null,
    onIt: outing.whatever,
    ...servedWhatever(variants, month, place),
  }
  if (!tight) return [...foods, whatever]
  const atBottom = outing.whatever.map((_, half) =>
    sum(foods.map(({ band, onIt }) => (band === 'bottom' ? (onIt[half] ?? 0) : 0))),
  )
  return [
    ...foods.map((food) =>
      food.band === 'bottom' ? { ...food, onIt: food.onIt.map((share) => (1 - BY_ANCHOR) * share) } : food,
    ),
    whatever,
    {
      kind: 'anchor',
      stageKey: null,
      band: 'bottom',
      onIt: atBottom.map((share) => BY_ANCHOR * share),
      ...anchorsAmong(variants, place),
    },
  ]
}

/**
 * What an outing asks for, half hour by half hour. A fly is in the water while fish are on what it stands for, and in part
 * while they are on what the same flies serve besides; an anchor all the while that anything at the bottom is fished. That
 * time does not hang on how many flies there are.
 */
export const outingNeeds = <Variant extends ServingVariant>(
  outing: ComingOuting,
  servings: readonly OutingServing<Variant>[],
  rateAt: RateAt<Variant>,
): readonly OutingNeed<Variant>[] => {
  const flies = servings.map(({ serves }) => new Set(serves.map(({ variant }) => variant.key)))
  return servings.map((one, at) => {
    const own = flies[at] ?? new Set()
    const kin = flies.map((others, i) => (i === at ? 1 : kinship(own, others)))
    const shares = outing.whatever.map((_, half) =>
      Math.min(sum(servings.map(({ onIt }, i) => (kin[i] ?? 0) * (onIt[half] ?? 0))), 1),
    )
    const [best] = one.serves
    const rate = rateAt(one.band ?? WHATEVER_BAND, outing, best?.meant ? best.variant : null)
    return {
      ...one,
      ...needHours(one.onIt, fishedBefore(shares), rate),
      reachable: one.band === null || isReachable(one.band, outing),
      rate,
      fishedHours: HALF_HOUR * sum(shares),
    }
  })
}
