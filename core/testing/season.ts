import { mean } from '../number/index.ts'
import { ODD_YEAR } from '../season/index.ts'
import { normalsFrom, randomFrom } from '../uncertainty/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import {
  broodsOf,
  drawSeason,
  drawYear,
  newYearOf,
  onsetDay,
  readYear,
  sceneOf,
  seasonOfReach,
  startDoubt,
  triggerAt,
  usualModel,
  windowOf,
  yearBetween,
} from '../season/index.ts'
import type {
  DatedTrigger,
  FeedingScene,
  FoodStage,
  FoodWord,
  SeasonDraws,
  SeasonNote,
  WatchedReach,
  WaterKind,
} from '../season/index.ts'

/** All that ships, as core reckons with it. */
export const stages: readonly FoodStage[] = shippedFoods.flatMap((food) =>
  food.stages.map((stage) => ({ ...stage, id: stage.key })),
)

export type TestReach = WatchedReach & { readonly waterKind: WaterKind }

/** A reach with a cosine year between two warmths of the months, in the northern valley. */
export const reachOf = (coldC: number, warmC: number, change: Partial<TestReach> = {}): TestReach => {
  const { latitudeDeg = 54 } = change
  return {
    key: 'reach',
    waterKey: 'river',
    waterKind: 'freestone',
    model: {
      ...usualModel(yearBetween(coldC, warmC, latitudeDeg < 0)),
      curveSdC: Array.from({ length: 12 }, () => 0.3),
    },
    latitudeDeg,
    longitudeDeg: 0,
    utcOffsetMinutes: 60,
    elevationM: 120,
    iceOffOn: null,
    days: [],
    ...change,
  }
}

export interface DrawAsked {
  readonly reach: TestReach
  readonly reaches?: readonly TestReach[]
  readonly notes?: readonly SeasonNote[]
  readonly said?: ReadonlyMap<string, FoodWord>
  readonly year?: number
  readonly of?: readonly FoodStage[]
  readonly draws?: number
  readonly seed?: number
}

/** A season drawn to its end. */
export function drawn({
  reach,
  reaches = [reach],
  notes = [],
  year = 2026,
  of = stages,
  draws = 400,
  seed = 3,
}: DrawAsked): SeasonDraws {
  // prettier-ignore
  const work = drawSeason({ reach, reaches, stages: of, notes, year, draws, seed })
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

/** A reach with its season, as feeding is asked for. */
export function sceneFor(asked: DrawAsked): FeedingScene {
  const { reach, reaches = [reach], notes = [], of = stages, said = new Map() } = asked
  const season = seasonOfReach(drawn(asked), { reach, reaches, stages: of, notes, said })
  const { waterKind, latitudeDeg, longitudeDeg, utcOffsetMinutes } = reach
  return { waterKind, latitudeDeg, longitudeDeg, utcOffsetMinutes, season }
}

/**
 * Years that a made-up river lives through: daily water, and when a brood with its own strain starts in each. As many of
 * them are out of the ordinary as the season believes; none where single years are to be without doubt.
 */
function livedYears(
  reach: TestReach,
  trigger: DatedTrigger,
  strain: { readonly thresholdC: number; readonly days: number },
  years: readonly number[],
  random: () => number,
  yearSdDays: number,
) {
  const normal = normalsFrom(random)
  const scene = sceneOf(reach)
  const own = triggerAt(trigger, scene)
  const unread = readYear(scene, () => null)
  return years.map((year) => {
    drawYear(scene, unread, normal)
    const first = newYearOf(year)
    const days = Array.from({ length: 365 }, (_, day) => ({
      day: first + day,
      meanC: scene.year.waterC[day] ?? 0,
    }))
    const odd = yearSdDays > 0 && random() < ODD_YEAR.chance
    const off = (odd ? ODD_YEAR.sdDays : yearSdDays) * normal()
    const start = onsetDay(own, scene.year, { ...strain, days: strain.days + off })
    return { year, days, start }
  })
}

/**
 * A river that lived through some years with a strain of its own, each read day by day, its first days noted by the day.
 *
 * @param strainZ how far its strain lies off, in sd; drawn where nobody says
 */
export function notedRiver(stageId: string, years: readonly number[], seed: number, strainZ?: number) {
  const [brood] = broodsOf(stages.find(({ id }) => id === stageId) as FoodStage)
  if (!brood) throw new Error(`${stageId} has no dates`)
  const doubt = startDoubt(brood.trigger)
  const random = randomFrom(seed)
  const normal = normalsFrom(random)
  const drawnZ = [normal(), normal()] as const
  const [thresholdZ, daysZ] = strainZ === undefined ? drawnZ : ([strainZ, strainZ] as const)
  const strain = { thresholdC: doubt.thresholdSdC * thresholdZ, days: doubt.ownSdDays * daysZ }
  const reach = reachOf(3, 16.6)
  const lived = livedYears(reach, brood.trigger, strain, years, random, 0)
  const notes = lived.flatMap(({ year, start }): SeasonNote[] =>
    start === null
      ? []
      : [{ reachKey: reach.key, stageId, day: newYearOf(year) + Math.round(start) + 2, localMin: null, kind: 'firstSeen', count: null, effortMinutes: null }],
  ) // prettier-ignore
  return { reach: { ...reach, usual: reach.model, days: lived.flatMap(({ days }) => days) }, notes }
}

/** How a forecast did on made-up rivers so many days before the day expected: share of 80 % windows that held, errors in days. */
export interface Issued {
  readonly lead: number
  readonly held: number
  readonly errorDays: number
  /** without this year's readings */
  readonly blindDays: number
}

const PAST = [2022, 2023, 2024, 2025]
const NOW = 2026

/**
 * Forecasts as they are issued: each made-up river has a strain of its own and lives through five years; four are noted
 * and read, the fifth is foretold from what was known so many days before the day that was expected when it began.
 * Counted back from the true day instead, nobody could have known which forecast that was: then windows look too wide
 * long before and too narrow at the last, however right they are.
 */
export function skillAsIssued(asked: {
  readonly stageId: string
  readonly rivers: number
  readonly leadDays: readonly number[]
  readonly draws: number
  readonly seed: number
}): readonly Issued[] {
  const of = stages.filter(({ id }) => id === asked.stageId)
  const [brood] = broodsOf(of[0] as FoodStage)
  if (!brood) throw new Error(`${asked.stageId} has no dates`)
  const { trigger } = brood
  const doubt = startDoubt(trigger)
  const random = randomFrom(asked.seed)
  const normal = normalsFrom(random)
  const found: { lead: number; held: boolean; error: number; blind: number }[] = []
  for (let river = 0; river < asked.rivers; river += 1) {
    const reach = reachOf(3, 16.6)
    const strain = { thresholdC: doubt.thresholdSdC * normal(), days: doubt.ownSdDays * normal() }
    const lived = livedYears(reach, trigger, strain, [...PAST, NOW], random, doubt.yearSdDays)
    const now = lived[PAST.length]
    const truth = now?.start ?? null
    if (!now || truth === null) continue
    const past = lived.slice(0, PAST.length)
    const notes = past.flatMap(({ year, start }): SeasonNote[] => {
      const day = newYearOf(year) + Math.round((start ?? 0) + 2 + 4 * normal())
      const seen = { localMin: null, kind: 'firstSeen' as const, count: null, effortMinutes: null }
      return start === null ? [] : [{ reachKey: reach.key, stageId: asked.stageId, day, ...seen }]
    })
    const onset = (days: TestReach['days']) => {
      const asking = { reach: { ...reach, days }, of, notes, draws: asked.draws, seed: river + 1 }
      const draws = drawn(asking).broods[0]
      const window = draws && windowOf(draws)
      return window?.onset ?? []
    }
    const read = past.flatMap(({ days }) => days)
    const foretold = onset(read)[5] ?? 0
    const blind = Math.abs(foretold - truth)
    for (const lead of asked.leadDays) {
      const known = now.days.filter(({ day }) => day <= newYearOf(NOW) + foretold - lead)
      const deciles = onset([...read, ...known])
      const held = truth >= (deciles[1] ?? 0) && truth <= (deciles[9] ?? 0)
      found.push({ lead, held, error: Math.abs((deciles[5] ?? 0) - truth), blind })
    }
  }
  return asked.leadDays.map((lead) => {
    const own = found.filter((one) => one.lead === lead)
    return {
      lead,
      held: mean(own.map(({ held }) => Number(held))),
      errorDays: mean(own.map(({ error }) => error)),
      blindDays: mean(own.map(({ blind }) => blind)),
    }
  })
}
