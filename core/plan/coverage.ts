import { colourDistance } from '../colour/index.ts'
import type { StageLooks } from '../match/index.ts'
import { bandIn } from '../season/index.ts'
import type { FoodStage } from '../season/index.ts'
import type { ServingVariant } from './inputs.ts'
import type { Forbidden } from './rules.ts'
import { anchorsAmong, servedBy } from './serving.ts'
import type { Serving, ServingPlace } from './serving.ts'
import { standingOf } from './standing.ts'

/** A food that boxes are held against, with its length now. */
export interface FoodToCover {
  readonly stageKey: string
  readonly worth: number
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

export interface CoverageInput extends ServingPlace {
  readonly foods: readonly FoodToCover[]
  readonly stages: readonly (FoodStage &
    StageLooks & { readonly colours: readonly { readonly name: string; readonly hexWet: string }[] })[]
  readonly variants: readonly ServingVariant[]
  /** how many of each are wanted */
  readonly keep: number
  readonly asked: CoverRules
}

/** What a tier asks of a box beyond enough of each. */
export interface CoverRules {
  /** small ones and large ones of what comes in several sizes */
  readonly sizes: boolean
  /** a light and a heavy version of what is met below the film */
  readonly lightAndHeavy: boolean
  /** patterns to change to for what is taken in and on the film, where fish get choosy; 0 asks for none */
  readonly alternatives: number
  /** flies that anchor a team; 0 asks for none */
  readonly anchors: number
}

/** What a food asks of a box: enough of it; some small and some large; a light and a heavy version. */
export const COVER_PARTS = ['all', 'small', 'large', 'light', 'heavy'] as const
export type CoverPart = (typeof COVER_PARTS)[number]

/** One part of a food's cover. */
export interface CoverCell {
  readonly onHand: number
  readonly wanted: number
  /** short: some, but fewer than wanted; a hole: none, and at least one fish in twenty is on it */
  readonly state: 'covered' | 'short' | 'none' | 'hole' | 'notAsked'
  /** variants that serve it: those meant for it first, and of them those on hand */
  readonly by: readonly CoverFly[]
}

/** A variant in a row of cover. */
export interface CoverFly {
  readonly key: string
  readonly onHand: number
  /** how well it serves, 0 to 1 */
  readonly quality: number
  readonly meant: boolean
}

/** How a food is covered. */
export interface CoverRow {
  readonly stageKey: string
  readonly worth: number
  readonly cells: Readonly<Record<CoverPart, CoverCell>>
  /** flies that could pass for it where fish are not particular; they count for nothing */
  readonly couldPass: readonly CoverFly[]
  /** flies on hand that would serve, were it not for the user's note of the water */
  readonly barred: readonly { readonly key: string; readonly onHand: number; readonly why: Forbidden }[]
  /** the natural's colours, each with the flies on hand that come near it */
  readonly colours: readonly { readonly name: string; readonly hexWet: string; readonly onHand: number }[]
  /** different patterns on hand that serve it: where fish get choosy, one is not enough */
  readonly alternatives: Pick<CoverCell, 'wanted' | 'state'> & { readonly patterns: number }
}

/** Flies on hand that anchor a team. */
export type Anchors = Pick<CoverCell, 'onHand' | 'wanted' | 'state'>

/** A fly that falls faster than this with its line trailing is a heavy one, mm/s. */
const HEAVY_MM_PER_S = 250
const NEAR_COLOUR = 0.1
/** A colour of a fly that is less of it than this is no colour of it. */
const PLAIN_SHARE = 0.2
/** A natural whose lengths differ less than this has no small and large. */
const ONE_SIZE = 1.25

const fallOf = ({ behaviour }: ServingVariant) => (behaviour.kind === 'sinks' ? behaviour.sinkSpeedMmPerS : 0)

const stateOf = (held: number, wanted: number): CoverCell['state'] =>
  wanted === 0 ? 'notAsked' : held >= wanted ? 'covered' : held > 0 ? 'short' : 'none'

/** Whether the boxes hold enough flies that take a team down there. */
export function anchorsOf(
  variants: readonly ServingVariant[],
  { anchors }: CoverRules,
  place: ServingPlace,
): Anchors {
  const { serves } = anchorsAmong(variants, place)
  const onHand = serves.reduce((sum, { variant }) => sum + variant.onHand, 0)
  return { onHand, wanted: anchors, state: stateOf(onHand, anchors) }
}

const toFly = ({ variant: { key, onHand }, quality, meant }: Serving): CoverFly => ({
  key,
  onHand,
  quality,
  meant,
})

function cellOf(serving: readonly Serving[], wanted: number): CoverCell {
  const onHand = serving.reduce((sum, { variant }) => sum + variant.onHand, 0)
  return {
    onHand,
    wanted,
    state: stateOf(onHand, wanted),
    by: serving
      .map(toFly)
      .sort((a, b) => Number(b.meant) - Number(a.meant) || b.onHand - a.onHand || b.quality - a.quality),
  }
}

/** How the boxes cover the foods of a place and time, the most worthwhile first. Yields the share that is done. */
export function* coverageOf(input: CoverageInput): Generator<{ readonly done: number }, readonly CoverRow[]> {
  const { asked } = input
  const stages = new Map(input.stages.map((stage) => [stage.id, stage]))
  const onHand = new Map(input.variants.map((variant) => [variant.key, variant.onHand]))
  const onHandOf = (key: string) => onHand.get(key) ?? 0
  const rows: CoverRow[] = []
  for (const [nth, food] of input.foods.entries()) {
    const stage = stages.get(food.stageKey)
    const band = stage && bandIn(stage, input.waterKind)
    if (!stage || !band || food.lengthMmHigh === 0) continue
    const { serves: serving, couldPass, barred } = servedBy(input.variants, stage, food, input)
    const middle = Math.sqrt(food.lengthMmLow * food.lengthMmHigh)
    const sized = asked.sizes && food.lengthMmHigh / food.lengthMmLow >= ONE_SIZE
    const below = band === 'bottom' || band === 'midWater' || band === 'topHalfMetre'
    const sinks = asked.lightAndHeavy && below
    const of = (test: (one: Serving) => boolean) => serving.filter(test)
    const length = ({ variant }: Serving) => variant.look?.bodyLengthMm ?? 0
    const held = of(({ variant }) => variant.onHand > 0)
    const patterns = new Set(held.map(({ variant }) => variant.patternKey)).size
    const wantedPatterns = below ? 0 : asked.alternatives
    const standing = standingOf({ onIt: [food.worth], serves: serving }, onHandOf)
    const all = cellOf(serving, input.keep)
    rows.push({
      stageKey: food.stageKey,
      worth: food.worth,
      cells: {
        all: standing?.standing === 'hole' ? { ...all, state: 'hole' } : all,
        small: cellOf(
          of((one) => length(one) < middle),
          sized ? 1 : 0,
        ),
        large: cellOf(
          of((one) => length(one) >= middle),
          sized ? 1 : 0,
        ),
        light: cellOf(
          of(({ variant }) => fallOf(variant) < HEAVY_MM_PER_S),
          sinks ? 1 : 0,
        ),
        heavy: cellOf(
          of(({ variant }) => fallOf(variant) >= HEAVY_MM_PER_S),
          sinks ? 1 : 0,
        ),
      },
      colours: stage.colours.map(({ name, hexWet }) => ({
        name,
        hexWet,
        onHand: held.reduce((sum, { variant }) => {
          const near = variant.look?.palette.some(
            (seen) => seen.share >= PLAIN_SHARE && colourDistance(seen.hexWet, hexWet) <= NEAR_COLOUR,
          )
          return sum + (near ? variant.onHand : 0)
        }, 0),
      })),
      couldPass: couldPass.filter(({ variant }) => variant.onHand > 0).map(toFly),
      barred: barred
        .filter(({ variant }) => variant.onHand > 0)
        .map(({ variant: { key, onHand }, why }) => ({ key, onHand, why })),
      alternatives: { patterns, wanted: wantedPatterns, state: stateOf(patterns, wantedPatterns) },
    })
    yield { done: nth / input.foods.length }
  }
  return rows.sort((a, b) => b.worth - a.worth)
}
