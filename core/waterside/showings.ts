import type { StageLooks } from '../match/index.ts'
import { servedBy, servedWhatever } from '../plan/index.ts'
import type { ServedBy, Serving, ServingPlace, ServingVariant } from '../plan/index.ts'
import type { FoodStage } from '../season/index.ts'
import type { Technique } from '../technique/index.ts'

/** A stage that fish may be on today, as long as it is now. */
export interface StageToday {
  readonly stage: FoodStage & StageLooks
  readonly lengthMmLow: number
  readonly lengthMmHigh: number
}

/** A fly fished in one way, and how well it does there, 0 to 1: nought, or nothing of a stage, where it does not. */
export interface Showing {
  /** of the fly, see {@link ServingVariant} */
  readonly key: string
  /** null where nobody said how the day or the fly is fished */
  readonly way: Technique | null
  readonly stages: ReadonlyMap<string, number>
  readonly whatever: number
}

/** What flies are shown to, through a day at the water. */
export interface ShowingsInput {
  readonly flies: readonly ServingVariant[]
  readonly today: readonly StageToday[]
  /** 1 to 12 */
  readonly month: number
  readonly place: ServingPlace
}

const NOBODY_SAID = [null] as const
/** What could pass for a food takes so much of what a fly that serves it does: it is no answer to what was seen. Judgement. */
const COULD_PASS = 0.5
/** A fly that its tier fishes in other ways does so much of what it would in its own. Judgement. */
const NOT_ITS_WAY = 0.8

/** How well each fly does of those that serve, and of those that could pass. */
const qualities = (way: Technique | null, { serves, couldPass }: ServedBy): ReadonlyMap<string, number> => {
  const so = ({ variant, quality }: Serving, share: number): [string, number] => {
    const isItsWay = way === null || variant.ways.length === 0 || variant.ways.includes(way)
    return [variant.key, quality * share * (isItsWay ? 1 : NOT_ITS_WAY)]
  }
  return new Map([...serves.map((one) => so(one, 1)), ...couldPass.map((one) => so(one, COULD_PASS))])
}

/**
 * Each fly in each way of the day, with how well it does: a fly is in one depth at a time, so what it would do by another way
 * is not added to it. What the water's note forbids is left out, and so is what does nothing. Yields the share that is done.
 */
export function* showings({
  flies,
  today,
  month,
  place,
}: ShowingsInput): Generator<{ readonly done: number }, readonly Showing[]> {
  const said = place.techniques.length > 0 ? place.techniques : [...new Set(flies.flatMap(({ ways }) => ways))]
  const ways: readonly (Technique | null)[] = said.length > 0 ? said : NOBODY_SAID
  const found: Showing[] = []
  for (const [nth, way] of ways.entries()) {
    const there = { ...place, techniques: way ? [way] : [] }
    const fished = place.techniques.length > 0 ? flies : flies.filter((fly) => fly.ways.length === 0 || (way && fly.ways.includes(way))) // prettier-ignore
    const byFly = new Map(fished.map(({ key }) => [key, new Map<string, number>()]))
    for (const [i, { stage, ...lengths }] of today.entries()) {
      const does = qualities(way, servedBy(fished, stage, lengths, there))
      for (const [key, quality] of does) byFly.get(key)?.set(stage.id, quality)
      yield { done: (nth + i / today.length) / ways.length }
    }
    const whatever = qualities(way, servedWhatever(fished, month, there))
    for (const [key, stages] of byFly) {
      const alike = whatever.get(key) ?? 0
      if (stages.size > 0 || alike > 0) found.push({ key, way, stages, whatever: alike })
    }
  }
  return found
}
