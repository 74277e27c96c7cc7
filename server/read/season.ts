import { asc, isNull, lte } from 'drizzle-orm'
import {
  dayMeanOf,
  drawSeason,
  epochDayOf,
  fitSwing,
  modelsOf,
  seasonOfReach,
  skillOf,
  trendCPerDay,
  turnOf,
  usualModel,
  usualSwing,
  waterAtC,
  yearOf,
} from '../../core/index.ts'
import type {
  DailySwing,
  DayReading,
  DaySum,
  FeedingScene,
  SeasonalModel,
  SeasonNote,
  SeasonOfReach,
  WatchedReach,
  WaterKind,
} from '../../core/index.ts'
import { usableZone } from '../../contract/index.ts'
import { offsetOn } from '../clock/localTime.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { observation, readingDay } from '../db/schema.ts'
import { inTurns } from './inTurns.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import { loadStages } from './stages.ts'
import type { FoodStageId, ReachId } from '../../contract/index.ts'

/** A note as it is stored. */
export type ObservationRow = typeof observation.$inferSelect

/** How warm a reach is, from its readings, its river's, or its kind. */
export interface Warmth {
  readonly loaded: LoadedReach
  readonly model: SeasonalModel
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  readonly latest: DayReading | null
  readonly swing: DailySwing
  readonly trendCPerDay: number | null
}

/** Readings this near to the surface say how warm a reach is, mm. */
const SURFACE_MM = 1500

type Sums = ReadonlyMap<number, readonly DaySum[]>

/** Sums of days by reach and depth, the shallowest first. */
async function sumsByReach(db: Reader): Promise<ReadonlyMap<string, Sums>> {
  const rows = await db
    .select()
    .from(readingDay)
    .where(lte(readingDay.depthMm, SURFACE_MM))
    .orderBy(asc(readingDay.reachId), asc(readingDay.depthMm), asc(readingDay.day))
  const byReach = new Map<string, Map<number, DaySum[]>>()
  for (const { reachId, depthMm, n, ...sums } of rows) {
    const depths = byReach.get(reachId) ?? new Map<number, DaySum[]>()
    byReach.set(reachId, depths.set(depthMm, [...(depths.get(depthMm) ?? []), { ...sums, count: n }]))
  }
  return byReach
}

/** Daily means of a reach from readings at whatever hours, the shallowest of each day; and how its water swings. */
function readDays({ water }: LoadedReach, sums: Sums | undefined) {
  const { kind: waterKind, latitudeDeg } = water
  let swing: DailySwing | null = null
  const byDay = new Map<number, DayReading>()
  for (const [depthMm, days] of sums ?? []) {
    const fitted = fitSwing(usualSwing({ waterKind, latitudeDeg, depthMm }), days)
    swing ??= fitted
    for (const sum of days) if (!byDay.has(sum.day)) byDay.set(sum.day, dayMeanOf(fitted, sum))
  }
  return {
    days: [...byDay.values()].sort((a, b) => a.day - b.day),
    swing: swing ?? usualSwing({ waterKind, latitudeDeg, depthMm: 0 }),
  }
}

/** How warm every reach is: those with readings first, then those that borrow from their own river. */
async function readWarmth(db: Reader): Promise<ReadonlyMap<string, Warmth>> {
  const reaches = await loadReaches(db)
  const sums = await sumsByReach(db)
  const read = new Map(reaches.map((loaded) => [loaded.reach.id, readDays(loaded, sums.get(loaded.reach.id))]))
  const models = modelsOf(
    reaches.map(({ reach }) => ({
      key: reach.id,
      waterKey: reach.waterId,
      elevationM: reach.elevationM,
      days: read.get(reach.id)?.days ?? [],
      usual: usualModel(reach.defaultTempC),
    })),
  )
  return new Map(
    reaches.map((loaded) => {
      const { reach } = loaded
      const { days, swing } = read.get(reach.id) ?? readDays(loaded, undefined)
      const latest = days.at(-1) ?? null
      return [
        reach.id,
        {
          loaded,
          model: models.get(reach.id) ?? usualModel(reach.defaultTempC),
          days,
          latest,
          swing,
          trendCPerDay: latest && trendCPerDay(days, latest.day),
        },
      ]
    }),
  )
}

/** How warm every reach is, from its readings, its river’s or its kind. */
export const loadWarmth = keptUntilWrite(readWarmth, [loadReaches, readingDay])

/** Temperature of a reach at a minute of a day, °C in tenths: from its latest reading towards its season. */
export async function tempAt(db: Reader, reachId: ReachId, on: string, localMin: number): Promise<number> {
  const warmth = (await loadWarmth(db)).get(reachId)
  return warmth ? waterAtC(warmth, epochDayOf(on), localMin) : 10
}

/** Notes that are not put away, by day. */
export const loadObservations = keptUntilWrite(readObservations, [observation])

async function readObservations(db: Reader): Promise<readonly ObservationRow[]> {
  return db.select().from(observation).where(isNull(observation.archivedAtMs)).orderBy(asc(observation.on))
}

/** Draws of a season: enough for tenths, few enough to be made while one waits. */
const DRAWS = 400
const SEED = 20_260

/** A reach as its season is drawn. */
export type SeasonedReach = WatchedReach & {
  readonly waterKind: WaterKind
  /** what is usual of its kind of water */
  readonly usual: SeasonalModel
}

async function readSeasonedReaches(db: Reader): Promise<ReadonlyMap<string, SeasonedReach>> {
  return new Map(
    [...(await loadWarmth(db))].map(([key, { loaded, model, days }]): [string, SeasonedReach] => {
      const { water, reach } = loaded
      return [
        key,
        {
          key,
          waterKey: water.id,
          waterKind: water.kind,
          latitudeDeg: water.latitudeDeg,
          longitudeDeg: water.longitudeDeg,
          utcOffsetMinutes: offsetOn('2026-06-21', usableZone(water.timeZone)),
          elevationM: reach.elevationM,
          iceOffOn: water.iceOffMonthDay,
          model,
          usual: usualModel(reach.defaultTempC),
          days,
        },
      ]
    }),
  )
}

/** Reaches as their seasons are drawn, by id. */
export const loadSeasonedReaches = keptUntilWrite(readSeasonedReaches, [loadWarmth])

async function readNotes(db: Reader): Promise<readonly SeasonNote[]> {
  return (await loadObservations(db)).map(
    ({ reachId: reachKey, foodStageId: stageId, on, localMin, kind, count, effortMinutes }) => ({
      reachKey,
      stageId,
      day: epochDayOf(on),
      localMin,
      kind,
      count,
      effortMinutes,
    }),
  )
}

/** Notes as the season reads them. */
export const loadNotes = keptUntilWrite(readNotes, [loadObservations])

async function drawWith(db: Reader, reachId: ReachId, year: number, notes: readonly SeasonNote[]) {
  const reaches = await loadSeasonedReaches(db)
  const reach = reaches.get(reachId)
  if (!reach) return null
  const stages = (await loadStages(db)).map(({ core }) => core)
  const said = new Map(Object.entries((await loadWarmth(db)).get(reachId)?.loaded.water.foodWords ?? {}))
  const input = { reach, reaches: [...reaches.values()], stages, notes, said }
  const draws = await inTurns(drawSeason({ ...input, year, draws: DRAWS, seed: SEED }))
  return seasonOfReach(draws, input)
}

async function readSeason(db: Reader, reachId: ReachId, year: number): Promise<SeasonOfReach | null> {
  return drawWith(db, reachId, year, await loadNotes(db))
}

/** The season of a reach in a year, drawn from its readings, its notes and those of other reaches. */
export const loadSeason = keptUntilWrite(readSeason, [loadSeasonedReaches, loadStages, loadNotes])

async function readUnlearned(db: Reader, reachId: ReachId, year: number): Promise<SeasonOfReach | null> {
  return drawWith(db, reachId, year, [])
}

/** The same as if nobody had noted anything. */
export const loadUnlearned = keptUntilWrite(readUnlearned, [loadSeasonedReaches, loadStages])

async function readSkill(db: Reader, reachId: ReachId, stageId: FoodStageId) {
  const reaches = await loadSeasonedReaches(db)
  const reach = reaches.get(reachId)
  const all = (await loadStages(db)).map(({ core }) => core)
  const stage = all.find(({ id }) => id === stageId)
  if (!reach || !stage) return null
  const stages = all.filter(({ foodId }) => foodId === stage.foodId)
  const ids = new Set(stages.map(({ id }) => id))
  const notes = (await loadNotes(db)).filter((note) => ids.has(note.stageId))
  return inTurns(
    skillOf({ reach, reaches: [...reaches.values()], stages, notes, stageId, draws: DRAWS, seed: SEED }),
  )
}

/** How good the forecasts of a stage were at a reach, as they would have been issued. */
export const loadSkill = keptUntilWrite(readSkill, [loadSeasonedReaches, loadStages, loadNotes])

/** The year of a reach's seasons that a day belongs to: from July in the south. */
export const seasonYear = ({ latitudeDeg }: { readonly latitudeDeg: number }, on: string): number =>
  yearOf(epochDayOf(on) - turnOf(latitudeDeg))

/** Days MM-DD of notes, by stage, on the reach's water. */
export async function seenOn(db: Reader, reachId: ReachId): Promise<ReadonlyMap<string, readonly string[]>> {
  const warmths = await loadWarmth(db)
  const waterId = warmths.get(reachId)?.loaded.water.id
  const byStage = new Map<string, string[]>()
  for (const row of await loadObservations(db)) {
    if (row.kind === 'absent' || warmths.get(row.reachId)?.loaded.water.id !== waterId) continue
    byStage.set(row.foodStageId, [...(byStage.get(row.foodStageId) ?? []), row.on.slice(5)])
  }
  for (const days of byStage.values()) days.sort()
  return byStage
}

/** A reach with its season on a day, as feeding is asked for; null where there is no such reach. */
export async function feedingScene(db: Reader, reachId: ReachId, on: string): Promise<FeedingScene | null> {
  const reach = (await loadSeasonedReaches(db)).get(reachId)
  const water = (await loadWarmth(db)).get(reachId)?.loaded.water
  const season = reach && (await loadSeason(db, reachId, seasonYear(reach, on)))
  if (!reach || !water || !season) return null
  const { waterKind, latitudeDeg, longitudeDeg } = reach
  return {
    waterKind,
    latitudeDeg,
    longitudeDeg,
    utcOffsetMinutes: offsetOn(on, usableZone(water.timeZone)),
    season,
  }
}
