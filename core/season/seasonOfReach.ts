import { clamp, median } from '../number/index.ts'
import { throughMonths } from './calendar.ts'
import { broodsOf, placeNote, turnOf, usualStart } from './emergence/index.ts'
import type { PlacedNote, SeasonDraws, SeasonNote, WatchedReach } from './emergence/index.ts'
import { bestMonth, monthsAt } from './drawnStages.ts'
import type { SeasonOfReach } from './drawnStages.ts'
import type { FoodStage, WaterKind } from './foodStage.ts'
import { PLENTY, presenceOf, saidPresence, usualPresence } from './presence.ts'
import type { FoodWord } from './presence.ts'

/** What is usual counts as much as so many animals. */
const USUAL_WEIGHT = 4
const AMOUNT = { least: 0.1, most: 10 }

const medianStart = (draws: SeasonDraws, stageId: string): number | null => {
  const brood = draws.broods.find((one) => one.stageId === stageId && one.brood === 0)
  const started = brood ? [...brood.starts].filter((start) => !Number.isNaN(start)) : []
  return started.length > 0 ? median(started) : null
}

/** Days by which months and lengths come later here, of stages that move with one that has a date. */
function laterDays(stages: readonly FoodStage[], draws: SeasonDraws): ReadonlyMap<string, number> {
  const byId = new Map(stages.map((stage) => [stage.id, stage]))
  return new Map(
    stages.flatMap((stage): [string, number][] => {
      // of several broods each would move its own months: those stay
      const leader = byId.get(stage.shiftsWith ?? '') ?? stage
      const [first, ...others] = broodsOf(leader)
      if (!first || others.length > 0) return []
      const here = medianStart(draws, leader.id)
      const usual = usualStart(first.trigger)
      return here === null || usual === null ? [] : [[stage.id, here - usual]]
    }),
  )
}

/** Chance that a noted stage was about on its day, were its food there. */
function aboutOn({ stage, day }: PlacedNote, draws: SeasonDraws, latitudeDeg: number): number {
  const broods = draws.broods.filter(({ stageId }) => stageId === stage.id)
  if (broods.length === 0)
    return throughMonths(monthsAt(stage, latitudeDeg).map((entry) => entry?.likelihood ?? 0), day + turnOf(latitudeDeg)) // prettier-ignore
  return Math.max(
    ...broods.map(({ brood, starts, ends }) => {
      const open = starts.reduce((n, start, i) => n + (start <= day && day <= (ends[i] ?? 0) ? 1 : 0), 0)
      return (open / starts.length) * bestMonth(stage, brood)
    }),
  )
}

/** How much of each counted stage there is over what is usual: gamma–Poisson against what else was in the same sample. */
function countedAmounts(notes: readonly PlacedNote[]): ReadonlyMap<string, number> {
  const samples = new Map<number, PlacedNote[]>()
  for (const placed of notes) {
    const { note } = placed
    if (note.kind !== 'counted' || note.count === null || placed.weight < 1) continue
    samples.set(note.day, [...(samples.get(note.day) ?? []), placed])
  }
  const found = new Map<string, number>()
  const expected = new Map<string, number>()
  for (const sample of samples.values()) {
    if (sample.length < 2) continue
    const total = sample.reduce((sum, { note }) => sum + (note.count ?? 0), 0)
    const usual = sample.reduce((sum, { stage }) => sum + stage.amount.usual, 0)
    for (const { note, stage } of sample) {
      found.set(stage.id, (found.get(stage.id) ?? 0) + (note.count ?? 0))
      expected.set(stage.id, (expected.get(stage.id) ?? 0) + (total * stage.amount.usual) / usual)
    }
  }
  return new Map(
    [...found].map(([id, count]) => [
      id,
      clamp((USUAL_WEIGHT + count) / (USUAL_WEIGHT + (expected.get(id) ?? 0)), AMOUNT.least, AMOUNT.most),
    ]),
  )
}

/** The season of a reach in a year: its draws, with what notes say of which foods live there and how much of them. */
export function seasonOfReach(
  draws: SeasonDraws,
  input: {
    readonly reach: WatchedReach & { readonly waterKind: WaterKind }
    readonly reaches: readonly WatchedReach[]
    readonly stages: readonly FoodStage[]
    readonly notes: readonly SeasonNote[]
    /** what the user says of foods on this water, by food */
    readonly said?: ReadonlyMap<string, FoodWord>
  },
): SeasonOfReach {
  const { reach, stages, said = new Map<string, FoodWord>() } = input
  const byId = new Map(stages.map((stage) => [stage.id, stage]))
  const reaches = new Map(input.reaches.map((one) => [one.key, one]))
  const placed = input.notes.flatMap((note): PlacedNote[] => {
    const [stage, there] = [byId.get(note.stageId), reaches.get(note.reachKey)]
    return stage && there ? [placeNote(note, stage, there, reach)] : []
  })
  const ofFood = new Map<string, FoodStage[]>()
  for (const stage of stages) ofFood.set(stage.foodId, [...(ofFood.get(stage.foodId) ?? []), stage])
  const presence = new Map(
    [...ofFood].map(([foodId, own]) => [
      foodId,
      said.has(foodId)
        ? saidPresence(said.get(foodId) as FoodWord)
        : presenceOf(
            usualPresence(own, reach.waterKind),
            placed.filter(({ stage }) => stage.foodId === foodId),
            (note) => aboutOn(note, draws, reach.latitudeDeg),
          ),
    ]),
  ) // prettier-ignore
  const amounts = new Map(countedAmounts(placed))
  for (const { id, foodId } of stages) {
    if (said.get(foodId) === 'strong') amounts.set(id, PLENTY * (amounts.get(id) ?? 1))
  }
  return { draws, presence, amounts, laterDays: laterDays(stages, draws) }
}
