import { normalsFrom, randomFrom, seedOf } from '../../uncertainty/index.ts'
import type { FoodStage } from '../foodStage.ts'
import { drawYear } from './drawnYear.ts'
import { NotedReach } from './notedReach.ts'
import type { WatchedReach } from './notedReach.ts'
import { anomalySums, AS_USUAL, durationFrom, onsetDay } from './onset.ts'
import { placeNote, saw } from './notes.ts'
import type { PlacedNote, SeasonNote } from './notes.ts'
import { ROW_DAYS } from './place.ts'
import { PEAK_SHARE, startDoubt, strainFrom } from './strain.ts'
import type { NotedYear } from './strain.ts'
import { heldToNotes } from './thisYear.ts'
import { broodsOf } from './trigger.ts'
import type { DatedTrigger } from './trigger.ts'

/** How the seasons of a reach may go in one year: some hundred draws of each brood, all of one weather. */
export interface SeasonDraws {
  readonly reachKey: string
  readonly year: number
  readonly draws: number
  readonly broods: readonly BroodDraws[]
}

/** One brood of a stage in each draw; days from the first of the reach's season year. */
export interface BroodDraws {
  readonly stageId: string
  readonly foodId: string
  readonly brood: number
  /** first day; NaN in a draw that never brings it */
  readonly starts: Float32Array
  readonly ends: Float32Array
  /** notes of this reach or others that had a say */
  readonly notes: readonly PlacedNote[]
  readonly trigger: DatedTrigger
}

/** What a season is drawn from. */
export interface DrawInput {
  readonly reach: WatchedReach
  /** all reaches that notes were made at, this one among them */
  readonly reaches: readonly WatchedReach[]
  readonly stages: readonly FoodStage[]
  /** as far as they are known: those of later days are left out by whoever asks */
  readonly notes: readonly SeasonNote[]
  readonly year: number
  readonly draws: number
  readonly seed: number
}

export interface SeasonProgress {
  /** 0 to 1 */
  readonly done: number
}

/** A row of no days, which no brood has. */
const NO_DAYS = new Float32Array(0)

/** A brood of a stage, with what starts it here. */
interface Brood {
  readonly stage: FoodStage
  readonly brood: number
  readonly trigger: DatedTrigger
  /** the trigger without its lag: stages of one brood mostly wait for the same sign */
  readonly sign: DatedTrigger
  readonly waitsFor: string
  readonly lagDays: number
  readonly doubt: ReturnType<typeof startDoubt>
  /** food and brood, whose stages share their draws */
  readonly group: string
}

/** The brood of a stage that a day belongs to: the one whose usual middle is nearest. */
function nearestBrood(stage: FoodStage, day: number, there: NotedReach): number {
  let [best, least] = [0, Infinity]
  broodsOf(stage).forEach(({ brood, trigger }) => {
    const start = onsetDay(there.triggerOf(trigger), there.scene.year, AS_USUAL)
    if (start === null) return
    const off = Math.abs(start + PEAK_SHARE * trigger.durationDays - day)
    if (off < least) [best, least] = [brood, off]
  })
  return best
}

/** Notes of dated stages by food and brood, each with the reach that it was made at. */
function notesByBrood(input: DrawInput, noted: ReadonlyMap<string, NotedReach>) {
  const stages = new Map(input.stages.map((stage) => [stage.id, stage]))
  const groups = new Map<string, { readonly placed: PlacedNote; readonly there: NotedReach }[]>()
  for (const note of input.notes) {
    const stage = stages.get(note.stageId)
    const there = noted.get(note.reachKey)
    if (!stage || !there || broodsOf(stage).length === 0) continue
    const placed = placeNote(note, stage, there.reach, input.reach)
    const key = `${stage.foodId} ${nearestBrood(stage, placed.day, there)}`
    const group = groups.get(key) ?? []
    group.push({ placed, there })
    groups.set(key, group)
  }
  return groups
}

type Group = readonly { readonly placed: PlacedNote; readonly there: NotedReach }[]

const triggerOfBrood = (stage: FoodStage, brood: number) =>
  broodsOf(stage).find((one) => one.brood === brood)?.trigger ?? null

/** Past years of a group of notes, each reach's by itself. */
function pastYears(group: Group, brood: number, thisYear: number): readonly NotedYear[] {
  const years = new Map<string, { placed: PlacedNote[]; there: NotedReach; year: number }>()
  // a search that found nothing says when only of what is known to live there
  const livesHere = group.some(({ placed }) => saw(placed))
  for (const { placed, there } of group) {
    if (placed.year >= thisYear || !(livesHere || saw(placed))) continue
    const key = `${there.reach.key} ${placed.year}`
    const known = years.get(key) ?? { placed: [], there, year: placed.year }
    known.placed.push(placed)
    years.set(key, known)
  }
  return [...years.values()].map(({ placed, there, year }) => ({
    notes: placed,
    ways: there.ways(year).length,
    stay: ({ stage }, way, thresholdC) => {
      const trigger = triggerOfBrood(stage, brood)
      return trigger && there.stay(trigger, stage.id, brood, year, way, thresholdC)
    },
  }))
}

/** Strains drawn by their chance, one a draw, in a row that knows no order. */
function drawnStrains(strains: ReturnType<typeof strainFrom>, draws: number, random: () => number) {
  const sums: number[] = []
  let sum = 0
  for (const { chance } of strains) sums.push((sum += chance))
  return Array.from({ length: draws }, () => {
    const at = random() * sum
    return strains[sums.findIndex((until) => at <= until)] ?? strains[0]
  })
}

/**
 * The season of a reach in one year as it may go. Weather: the year's readings exactly, and from the latest on with the
 * persistence of the reach. Strain: what notes of past years leave of the doubt of threshold and days. This year's notes
 * then choose among the draws. All stages of one brood share their draw.
 */
export function* drawSeason(input: DrawInput): Generator<SeasonProgress, SeasonDraws> {
  const { reach, stages, draws, year } = input
  const noted = new Map(
    input.reaches.map((one, i) => [one.key, new NotedReach(one, input.seed + 7919 * (i + 1))]),
  )
  const here = noted.get(reach.key) ?? new NotedReach(reach, input.seed)
  const { scene } = here
  const groups = notesByBrood(input, noted)
  const random = randomFrom(input.seed)
  const normal = normalsFrom(random)
  const broods = stages.flatMap((stage) =>
    broodsOf(stage).map(({ brood, trigger }): Brood => {
      const own = here.triggerOf(trigger)
      const { lagDays = 0, durationDays: _days, ...sign } = own
      return {
        stage,
        brood,
        trigger: own,
        sign: { ...own, lagDays: 0 },
        lagDays,
        doubt: startDoubt(trigger),
        group: `${stage.foodId} ${brood}`,
        waitsFor: `${stage.foodId} ${brood} ${JSON.stringify(sign)}`,
      }
    }),
  )
  const byGroup = new Map<string, { readonly own: Brood[]; readonly notes: Group }>()
  for (const brood of broods) {
    const key = brood.group
    const known = byGroup.get(key) ?? { own: [], notes: groups.get(key) ?? [] }
    known.own.push(brood)
    byGroup.set(key, known)
  }
  const strains = new Map<string, ReturnType<typeof drawnStrains>>()
  for (const [key, { own, notes }] of byGroup) {
    const [first] = own
    if (!first) continue
    const past = pastYears(notes, first.brood, year)
    strains.set(key, drawnStrains(strainFrom(first.doubt, past), draws, random))
  }
  yield { done: 0.2 }
  const starts = broods.map(() => new Float32Array(draws).fill(NaN))
  const ends = broods.map(() => new Float32Array(draws).fill(NaN))
  const read = here.read(year)
  const sums = new Float64Array(ROW_DAYS + 1)
  const onsets = new Map<string, number | null>()
  for (let n = 0; n < draws; n += 1) {
    drawYear(scene, read, normal)
    anomalySums(scene.year, scene.water, sums)
    onsets.clear()
    broods.forEach(({ group, waitsFor, trigger, sign, lagDays }, i) => {
      let start = onsets.get(waitsFor)
      if (start === undefined) {
        start = onsetDay(sign, scene.year, strains.get(group)?.[n] ?? AS_USUAL)
        onsets.set(waitsFor, start)
      }
      if (start === null) return
      const from = Math.max(start + lagDays, 0)
      ;(starts[i] ?? NO_DAYS)[n] = from
      ;(ends[i] ?? NO_DAYS)[n] = from + durationFrom(trigger, scene.year, sums, from)
    })
    if (n % 20 === 19) yield { done: 0.2 + (0.7 * (n + 1)) / draws }
  }
  for (const [key, { own, notes }] of byGroup) {
    const [first] = own
    if (!first) continue
    const rows = own.map((brood) => {
      const i = broods.indexOf(brood)
      return { stageId: brood.stage.id, starts: starts[i] ?? NO_DAYS, ends: ends[i] ?? NO_DAYS }
    })
    const now = notes
      .filter(({ placed }) => placed.year === year)
      .map(({ placed, there }) => ({
        placed,
        laterHereDays: laterHere(here, there, placed.stage, first.brood),
      }))
    heldToNotes(rows, now, first.doubt.yearSdDays, randomFrom(input.seed + seedOf(key)))
  }
  yield { done: 1 }
  return {
    reachKey: reach.key,
    year,
    draws,
    broods: broods.map(({ stage, brood, trigger, group }, i) => ({
      stageId: stage.id,
      foodId: stage.foodId,
      brood,
      trigger,
      starts: starts[i] ?? NO_DAYS,
      ends: ends[i] ?? NO_DAYS,
      notes: (groups.get(group) ?? []).map(({ placed }) => placed),
    })),
  }
}

/** Days by which a brood usually starts later here than there. */
function laterHere(here: NotedReach, there: NotedReach, stage: FoodStage, brood: number): number {
  const trigger = triggerOfBrood(stage, brood)
  if (here === there || !trigger) return 0
  const [own, its] = [here, there].map((one) => onsetDay(one.triggerOf(trigger), one.scene.year, AS_USUAL))
  return own === undefined || own === null || its === undefined || its === null ? 0 : own - its
}
