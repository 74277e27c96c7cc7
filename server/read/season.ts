import { asc, isNull } from 'drizzle-orm'
import {
  borrowSeasonal,
  CORE_VERSION,
  datedBroods,
  epochDayOf,
  fitSeasonal,
  forecastC,
  learnedBroods,
  trendCPerDay,
  usualModel,
} from '../../core/index.ts'
import type {
  DatedBrood,
  DayReading,
  EmergenceWindow,
  LearnedBrood,
  ReachSeason,
  SeasonalModel,
  SeenNote,
  WatchedReach,
} from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { observation, readingDay, seasonWindow } from '../db/schema.ts'
import { contentHash } from '../db/ids.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import { loadStages } from './stages.ts'
import type { ReachId } from '../../contract/index.ts'

/** A note as it is stored. */
export type ObservationRow = typeof observation.$inferSelect

/** How warm a reach is, from its readings, its river's, or its kind. */
export interface Warmth {
  readonly loaded: LoadedReach
  readonly model: SeasonalModel
  /** daily means just below the surface, in order */
  readonly days: readonly DayReading[]
  readonly latest: DayReading | null
  readonly trendCPerDay: number | null
}

/** Readings this near to the surface say how warm a reach is, mm. */
const SURFACE_MM = 1500

async function daysByReach(db: Reader): Promise<ReadonlyMap<string, readonly DayReading[]>> {
  const rows = await db.select().from(readingDay).orderBy(asc(readingDay.reachId), asc(readingDay.day))
  const byReach = new Map<string, DayReading[]>()
  for (const { reachId, depthMm, day, meanC } of rows) {
    if (depthMm > SURFACE_MM) continue
    const own = byReach.get(reachId) ?? []
    if (own.at(-1)?.day !== day) own.push({ day, meanC })
    byReach.set(reachId, own)
  }
  return byReach
}

/** How warm every reach is: those with readings first, then those that borrow from their own river. */
async function readWarmth(db: Reader): Promise<ReadonlyMap<string, Warmth>> {
  const reaches = await loadReaches(db)
  const days = await daysByReach(db)
  const fitted = new Map(
    reaches.flatMap(({ reach }) => {
      const own = days.get(reach.id) ?? []
      return own.length > 0 ? [[reach.id, fitSeasonal(own, usualModel(reach.defaultTempC))] as const] : []
    }),
  )
  return new Map(
    reaches.map((loaded) => {
      const { reach } = loaded
      const own = days.get(reach.id) ?? []
      const lenders = reaches.flatMap(({ reach: other }) => {
        const model = fitted.get(other.id)
        return model && other.waterId === reach.waterId && other.id !== reach.id
          ? [{ elevationM: other.elevationM, model }]
          : []
      })
      const prior = borrowSeasonal(reach.elevationM, lenders) ?? usualModel(reach.defaultTempC)
      const latest = own.at(-1) ?? null
      return [
        reach.id,
        {
          loaded,
          model: fitSeasonal(own, prior),
          days: own,
          latest,
          trendCPerDay: latest && trendCPerDay(own, latest.day),
        },
      ]
    }),
  )
}

/** How warm every reach is, from its readings, its river’s or its kind. */
export const loadWarmth = keptUntilWrite(readWarmth, [loadReaches, readingDay])

const inTenths = (tempC: number) => Math.round(Math.min(Math.max(tempC, 0), 30) * 10) / 10

/** Temperature of a reach on a day, °C in tenths: from its latest reading towards its season. */
export async function tempOn(db: Reader, reachId: ReachId, on: string): Promise<number> {
  const warmth = (await loadWarmth(db)).get(reachId)
  return warmth ? inTenths(forecastC(warmth.model, warmth.latest, epochDayOf(on)).value) : 10
}

async function readBroods(db: Reader): Promise<readonly DatedBrood[]> {
  return datedBroods((await loadStages(db)).map(({ core }) => core))
}
/** Broods of the larder that have dates. */
export const loadBroods = keptUntilWrite(readBroods, [loadStages])

const rounded = (model: SeasonalModel) =>
  Object.entries(model).map(([key, value]) => [key, typeof value === 'number' ? value.toFixed(3) : value])

/** What the season takes from the larder, as a hash: two answers that have the same speak of the same broods. */
export const loadBroodsHash = keptUntilWrite(
  async (db: Reader) => contentHash(await loadBroods(db)),
  [loadBroods],
)

/** What the windows of a reach hang on, as a hash: kept windows of another one are stale. */
export async function windowsHash(db: Reader, { loaded, model }: Warmth): Promise<string> {
  const broods = await loadBroods(db)
  return contentHash([
    CORE_VERSION,
    rounded(model),
    loaded.water.latitudeDeg,
    loaded.reach.elevationM,
    loaded.water.iceOffMonthDay,
    broods,
  ])
}

/** Windows that pages worked out, by reach, with what they were worked out from. */
export const loadKeptWindows = keptUntilWrite(readKeptWindows, [seasonWindow])

async function readKeptWindows(db: Reader) {
  return new Map((await db.select().from(seasonWindow)).map((row) => [row.reachId, row]))
}

/** Notes that are not put away, by day. */
export const loadObservations = keptUntilWrite(readObservations, [observation])

async function readObservations(db: Reader): Promise<readonly ObservationRow[]> {
  return db.select().from(observation).where(isNull(observation.archivedAtMs)).orderBy(asc(observation.on))
}

async function readLearned(db: Reader, reachId: ReachId): Promise<readonly LearnedBrood[]> {
  const kept = await loadKeptWindows(db)
  const reaches = new Map(
    [...(await loadWarmth(db))].flatMap(([key, { loaded, model, days }]): [string, WatchedReach][] => {
      const windows = kept.get(loaded.reach.id)?.windows
      const { latitudeDeg } = loaded.water
      const reach = { key, waterKey: loaded.water.id, latitudeDeg, elevationM: loaded.reach.elevationM }
      return windows ? [[key, { ...reach, model, days, windows }]] : []
    }),
  )
  const reach = reaches.get(reachId)
  if (!reach) return []
  const notes = (await loadObservations(db)).map(
    ({ reachId: reachKey, foodStageId: stageKey, on, kind, effortMinutes }): SeenNote => ({
      reachKey,
      stageKey,
      on,
      kind,
      effortMinutes,
    }),
  )
  return learnedBroods(reach, reaches, await loadBroods(db), notes)
}

/** The broods of a reach as the notes move them; none until its windows were worked out. */
export const loadLearned = keptUntilWrite(readLearned, [
  loadWarmth,
  loadKeptWindows,
  loadBroods,
  loadObservations,
])

/** Days MM-DD of earlier notes, by stage, on the reach's water. */
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

/** What the season engine knows of a reach on a day; null until its windows were worked out. */
export async function reachSeasonOn(db: Reader, reachId: ReachId, on: string): Promise<ReachSeason | null> {
  const learned = await loadLearned(db, reachId)
  const warmth = (await loadWarmth(db)).get(reachId)
  if (learned.length === 0 || !warmth) return null
  const windows = new Map<string, EmergenceWindow[]>()
  for (const { after } of learned) windows.set(after.stageKey, [...(windows.get(after.stageKey) ?? []), after])
  return {
    windows,
    seenOn: await seenOn(db, reachId),
    waterTempC: await tempOn(db, reachId, on),
    trendCPerDay: warmth.trendCPerDay,
    measured: warmth.days.length > 0,
  }
}
