import { colourDistance } from '../colour/index.ts'
import { matchFly } from '../match/index.ts'
import type { FlyMatch, School, StageLooks } from '../match/index.ts'
import { bandIn } from '../season/index.ts'
import type { FoodStage, WaterKind } from '../season/index.ts'
import type { ServingVariant } from './inputs.ts'

/** A food that boxes are held against, with its length now. */
export interface FoodToCover {
  readonly stageKey: string
  readonly worth: number
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

export interface CoverageInput {
  readonly foods: readonly FoodToCover[]
  readonly stages: readonly (FoodStage &
    StageLooks & { readonly colours: readonly { readonly name: string; readonly hexWet: string }[] })[]
  readonly variants: readonly ServingVariant[]
  readonly waterKind: WaterKind
  readonly bedMm: number
  readonly surfaceSpeedMmPerS: number
  readonly school: School
  /** how many of each are wanted */
  readonly keep: number
  readonly rules: CoverRules
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
  readonly state: 'covered' | 'thin' | 'missing' | 'notAsked'
  /** variants that serve it, those on hand first */
  readonly by: readonly { readonly key: string; readonly onHand: number }[]
}

/** How a food is covered. */
export interface CoverRow {
  readonly stageKey: string
  readonly worth: number
  readonly cells: Readonly<Record<CoverPart, CoverCell>>
  /** the natural's colours, each with the flies on hand that come near it */
  readonly colours: readonly { readonly name: string; readonly hexWet: string; readonly onHand: number }[]
  /** different patterns on hand that serve it: where fish get choosy, one is not enough */
  readonly alternatives: Pick<CoverCell, 'wanted' | 'state'> & { readonly patterns: number }
}

/** Flies on hand that anchor a team. */
export type Anchors = Pick<CoverCell, 'onHand' | 'wanted' | 'state'>

/** A fly that falls faster than this with its line trailing is a heavy one, mm/s. */
const HEAVY_MM_PER_S = 250
/** From this speed on a fly takes a team down, mm/s. */
const ANCHOR_MM_PER_S = 300
const NEAR_COLOUR = 0.14
/** A natural whose lengths differ less than this has no small and large. */
const ONE_SIZE = 1.25

const fallOf = ({ behaviour }: ServingVariant) => (behaviour.kind === 'sinks' ? behaviour.sinkSpeedMmPerS : 0)

type Serving = { readonly variant: ServingVariant; readonly match: FlyMatch }

const stateOf = (held: number, wanted: number): CoverCell['state'] =>
  wanted === 0 ? 'notAsked' : held >= wanted ? 'covered' : held > 0 ? 'thin' : 'missing'

/** Whether the boxes hold enough flies that take a team down. */
export function anchorsOf(variants: readonly ServingVariant[], { anchors }: CoverRules): Anchors {
  const onHand = variants.reduce(
    (sum, variant) => (fallOf(variant) >= ANCHOR_MM_PER_S ? sum + variant.onHand : sum),
    0,
  )
  return { onHand, wanted: anchors, state: stateOf(onHand, anchors) }
}

function cellOf(serving: readonly Serving[], wanted: number): CoverCell {
  const onHand = serving.reduce((sum, { variant }) => sum + variant.onHand, 0)
  return {
    onHand,
    wanted,
    state: stateOf(onHand, wanted),
    by: serving
      .map(({ variant: { key, onHand: count } }) => ({ key, onHand: count }))
      .sort((a, b) => b.onHand - a.onHand),
  }
}

/** How the boxes cover the foods of a place and time, the most worthwhile first. Yields the share that is done. */
export function* coverageOf(input: CoverageInput): Generator<{ readonly done: number }, readonly CoverRow[]> {
  const { rules } = input
  const stages = new Map(input.stages.map((stage) => [stage.id, stage]))
  const rows: CoverRow[] = []
  for (const [nth, food] of input.foods.entries()) {
    const stage = stages.get(food.stageKey)
    const band = stage && bandIn(stage, input.waterKind)
    if (!stage || !band || food.lengthMmHigh === 0) continue
    const place = { ...input, lengthMmLow: food.lengthMmLow, lengthMmHigh: food.lengthMmHigh }
    const serving = input.variants.flatMap((variant): Serving[] => {
      if (!variant.look) return []
      const match = matchFly({ behaviour: variant.behaviour, look: variant.look }, stage, place, input.school)
      const meant = variant.meantFor.includes(food.stageKey)
      return match.verdict === 'serves' || (match.verdict === 'inPart' && meant) ? [{ variant, match }] : []
    })
    const middle = Math.sqrt(food.lengthMmLow * food.lengthMmHigh)
    const sized = rules.sizes && food.lengthMmHigh / food.lengthMmLow >= ONE_SIZE
    const below = band === 'bottom' || band === 'midWater' || band === 'topHalfMetre'
    const sinks = rules.lightAndHeavy && below
    const of = (test: (one: Serving) => boolean) => serving.filter(test)
    const length = ({ variant }: Serving) => variant.look?.bodyLengthMm ?? 0
    const held = of(({ variant }) => variant.onHand > 0)
    const patterns = new Set(held.map(({ variant }) => variant.patternKey)).size
    const wantedPatterns = below ? 0 : rules.alternatives
    rows.push({
      stageKey: food.stageKey,
      worth: food.worth,
      cells: {
        all: cellOf(serving, input.keep),
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
          const hex = variant.look?.bodyHexWet
          return sum + (hex && colourDistance(hex, hexWet) <= NEAR_COLOUR ? variant.onHand : 0)
        }, 0),
      })),
      alternatives: { patterns, wanted: wantedPatterns, state: stateOf(patterns, wantedPatterns) },
    })
    yield { done: nth / input.foods.length }
  }
  return rows.sort((a, b) => b.worth - a.worth)
}
