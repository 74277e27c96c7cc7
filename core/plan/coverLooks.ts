import type { StageLooks } from '../match/index.ts'
import { sum } from '../number/index.ts'
import { bandIn, choosyIn, lengthOn, monthsAt, newYearOf, placeInYear, WEEK_DAYS } from '../season/index.ts'
import type { Clarity, FoodStage } from '../season/index.ts'
import type { FoodToCover } from './coverage.ts'
import type { ServingVariant } from './inputs.ts'
import type { YearRow } from './seasonFoods.ts'
import { isQuiet, servedBy, servedWhatever } from './serving.ts'
import type { ServingPlace } from './serving.ts'

/** Something that boxes are held against: what fish are on at some time, or in some situation, and how it is fished. */
export interface CoverLook {
  readonly key: string
  readonly foods: readonly FoodToCover[]
  /** share of the fish that take whatever comes; with the worth of the foods it sums to at most one */
  readonly whatever: number
  readonly place: ServingPlace
  /** how clear the water is; null as it usually is */
  readonly clarity: Clarity | null
  /** 1 to 12 */
  readonly month: number
  /** flies that are not for it at all, such as heavy ones in low clear water */
  readonly without: readonly string[]
}

/** How the flies on hand cover a look. */
export interface LookCover {
  readonly key: string
  /** share of the fish with something to show, times how well it does, 0 to 1 */
  readonly shown: number
  /** what flies that could pass would add */
  readonly passing: number
  /** share of the fish that is asked about at all */
  readonly asked: number
  /** what is served worst, the most fish first; null for what takes whatever comes */
  readonly lacking: readonly { readonly stageKey: string | null; readonly share: number }[]
  /** flies on hand that serve something of it */
  readonly flies: number
}

/** What is served so little of is named as lacking. */
const LACKING = 0.25
const LEAST_SHARE = 0.01

type Stages = ReadonlyMap<string, FoodStage & StageLooks>

/** How the flies on hand cover each of some looks. Yields the share that is done. */
export function* coverLooks(
  looks: readonly CoverLook[],
  variants: readonly ServingVariant[],
  stages: Stages,
): Generator<{ readonly done: number }, readonly LookCover[]> {
  const held = variants.filter(({ onHand }) => onHand > 0)
  const covers: LookCover[] = []
  for (const [nth, look] of looks.entries()) {
    const own = held.filter(({ key }) => !look.without.includes(key))
    const serving = new Map<string, number>()
    const rows: { stageKey: string | null; share: number; shown: number; passing: number }[] = []
    const add = (stageKey: string | null, share: number, found: ReturnType<typeof servedWhatever>) => {
      const best = (of: typeof found.serves) => Math.max(0, ...of.map(({ quality }) => quality))
      const shown = share * best(found.serves)
      const passing = Math.max(share * best(found.couldPass) - shown, 0)
      for (const { variant } of found.serves) serving.set(variant.key, variant.onHand)
      rows.push({ stageKey, share, shown, passing })
    }
    for (const food of look.foods) {
      const stage = stages.get(food.stageKey)
      if (!stage || !bandIn(stage, look.place.waterKind) || food.lengthMmHigh === 0) continue
      const looked = { ...stage, choosy: choosyIn(look.clarity, stage.choosy) }
      add(food.stageKey, food.worth, servedBy(own, looked, food, look.place))
      yield { done: nth / looks.length }
    }
    if (look.whatever > 0) add(null, look.whatever, servedWhatever(own, look.month, look.place))
    covers.push({
      key: look.key,
      shown: sum(rows.map(({ shown }) => shown)),
      passing: sum(rows.map(({ passing }) => passing)),
      asked: sum(rows.map(({ share }) => share)),
      lacking: rows
        .filter(({ share, shown }) => share >= LEAST_SHARE && shown < LACKING * share)
        .sort((a, b) => b.share - a.share)
        .map(({ stageKey, share }) => ({ stageKey, share })),
      flies: sum([...serving.values()]),
    })
  }
  return covers
}

const MONTHS = Array.from({ length: 12 }, (_, month) => month)
const mean = (values: readonly number[]) => (values.length === 0 ? 0 : sum(values) / values.length)

/** The months of a year at a reach as looks: what fish are on in each, by the mean of its weeks. */
export function monthLooks(
  stages: Stages,
  { whatever, stages: rows }: YearRow,
  year: number,
  place: ServingPlace & { readonly latitudeDeg: number },
): readonly CoverLook[] {
  const newYear = newYearOf(year)
  const monthOf = whatever.map((_, week) => placeInYear(newYear + week * WEEK_DAYS).month)
  return MONTHS.map((month) => {
    const weeks = monthOf.flatMap((of, week) => (of === month ? [week] : []))
    const over = (values: readonly number[]) => mean(weeks.map((week) => values[week] ?? 0))
    const middle = newYear + (weeks[Math.floor(weeks.length / 2)] ?? 0) * WEEK_DAYS
    return {
      key: String(month + 1),
      month: month + 1,
      place,
      clarity: null,
      without: [],
      whatever: over(whatever),
      foods: rows.flatMap(({ stageId, onIt }): FoodToCover[] => {
        const stage = stages.get(stageId)
        const worth = over(onIt)
        if (!stage || worth <= 0) return []
        const [lengthMmLow, lengthMmHigh] = lengthOn(monthsAt(stage, place.latitudeDeg), middle)
        return [{ stageKey: stageId, worth, lengthMmLow, lengthMmHigh }]
      }),
    }
  })
}

/** Situations at the water that tiers keep flies for. */
export const SITUATIONS = ['nothingShowing', 'rising', 'evening', 'coloured', 'lowAndClear', 'deep', 'dryOnly'] as const // prettier-ignore
export type Situation = (typeof SITUATIONS)[number]

/** A day by half hours from midnight, as it is and with the water rising and coloured. */
export interface SituationsInput {
  readonly usual: YearRow
  readonly coloured: YearRow
  /** lengths of the day, by stage */
  readonly lengths: ReadonlyMap<string, readonly [lowMm: number, highMm: number]>
  readonly place: ServingPlace
  readonly month: number
  readonly variants: readonly ServingVariant[]
}

/** Half hours in which anyone fishes, from four in the morning on; and the evening, from five in the afternoon. */
const FISHED = { from: 8, to: 47 }
const EVENING_FROM = 34
/** Fish look closely where the water is low and clear, and only small, light or muted flies come near them. Judgement. */
const CHOOSY = 0.45
const SMALL_HOOK = 16
/** A deep place is so many times as deep as usual, and at least so deep. */
const DEEPER = { times: 2, leastMm: 1500 }

/** The situations of a day at a reach as looks: of those foods that make each, their shares summing to one. */
export function situationLooks(stages: Stages, input: SituationsInput): readonly CoverLook[] {
  const { usual, coloured, lengths, place, month, variants } = input
  const bandOf = (stageId: string) => {
    const stage = stages.get(stageId)
    return stage ? bandIn(stage, place.waterKind) : null
  }
  const film = (id: string) => bandOf(id) === 'inFilm' || bandOf(id) === 'onFilm'
  const look = (
    key: Situation,
    { whatever, stages: rows }: YearRow,
    of: {
      readonly keeps?: (stageId: string) => boolean
      readonly fromHalf?: number
      readonly place?: Partial<ServingPlace>
      readonly without?: readonly string[]
      readonly anything?: boolean
      readonly clarity?: Clarity
    },
  ): CoverLook => {
    const { keeps = () => true, fromHalf = FISHED.from, anything = true } = of
    const over = (values: readonly number[]) => mean(values.slice(fromHalf, FISHED.to + 1))
    const kept = rows.flatMap(({ stageId, onIt }) => {
      const worth = over(onIt)
      return worth > 0 && keeps(stageId) ? [{ stageId, worth }] : []
    })
    const rest = anything ? over(whatever) : 0
    const total = rest + sum(kept.map(({ worth }) => worth))
    return {
      key,
      month,
      place: { ...place, ...of.place },
      clarity: of.clarity ?? null,
      without: of.without ?? [],
      whatever: total > 0 ? rest / total : 0,
      foods: kept.map(({ stageId, worth }) => {
        const [lengthMmLow, lengthMmHigh] = lengths.get(stageId) ?? [0, 0]
        return { stageKey: stageId, worth: worth / total, lengthMmLow, lengthMmHigh }
      }),
    }
  }
  const shy = variants
    .filter((variant) => variant.weighted && (variant.hookSize ?? 0) < SMALL_HOOK && !isQuiet(variant))
    .map(({ key }) => key)
  return [
    look('nothingShowing', usual, { keeps: (id) => !film(id) }),
    look('rising', usual, { keeps: film, anything: false }),
    look('evening', usual, { fromHalf: EVENING_FROM }),
    look('coloured', coloured, { clarity: 'coloured' }),
    look('lowAndClear', usual, {
      keeps: (id) => (stages.get(id)?.choosy ?? 0) >= CHOOSY,
      anything: false,
      clarity: 'clear',
      without: shy,
    }),
    look('deep', usual, {
      keeps: (id) => bandOf(id) === 'bottom',
      anything: false,
      place: { bedMm: Math.max(DEEPER.times * place.bedMm, DEEPER.leastMm) },
    }),
    look('dryOnly', usual, { place: { rules: { ...place.rules, dryOnly: true }, techniques: ['dry'] } }),
  ]
}

/** Where in its life a stage is taken: what a row of a life cycle has in its columns. */
export const LIFE_STEPS = ['below', 'rising', 'emerging', 'adult', 'spent'] as const
export type LifeStep = (typeof LIFE_STEPS)[number]

const STEP_OF: Readonly<Record<string, LifeStep>> = {
  risingNymph: 'rising', pupa: 'rising', pupaRising: 'rising', pupaDeep: 'rising',
  emerger: 'emerging', cripple: 'emerging',
  dun: 'adult', adult: 'adult', wingedAdult: 'adult', landingAdult: 'adult',
  spinner: 'spent', sunkSpinner: 'spent', eggLayer: 'spent', divingEggLayer: 'spent', drowned: 'spent', stricken: 'spent',
} // prettier-ignore

/** Foods that live under water all their lives have no adult that flies. */
export function lifeStepOf({ stage, depthBandRiver, depthBandStillwater }: FoodStage): LifeStep {
  const step = STEP_OF[stage] ?? 'below'
  const bands = [depthBandRiver, depthBandStillwater].filter((band) => band !== null)
  const under = bands.every((band) => band !== 'onFilm' && band !== 'inFilm')
  return step === 'adult' && under ? 'below' : step
}
