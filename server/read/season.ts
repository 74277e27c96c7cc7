import { asc, isNull } from 'drizzle-orm'
import { drawSeason, epochDayOf, seasonOfReach, skillOf, turnOf, usualModel, yearOf } from '../../core/index.ts'
import type {
  FeedingScene, SeasonalModel, SeasonDraws, SeasonNote, SeasonOfReach, WatchedReach, WaterKind,
} from '../../core/index.ts' // prettier-ignore
import { usableZone } from '../../contract/index.ts'
import type { FoodStageId, ReachId } from '../../contract/index.ts'
import { offsetOn } from '../clock/localTime.ts'
import type { Reader } from '../db/database.ts'
import { keptByOrigin, keptUntilWrite } from '../db/kept.ts'
import { observation } from '../db/schema.ts'
import { inTurns } from './inTurns.ts'
import { loadStages } from './stages.ts'
import { loadWarmth, warmthIfRead } from './warmth.ts'
import type { SupposedReading, Warmths } from './warmth.ts'

/** A note as it is stored. */
export type ObservationRow = typeof observation.$inferSelect

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

/** Reaches as their seasons are drawn, by id. */
type SeasonedReaches = ReadonlyMap<string, SeasonedReach>

const seasonedOf = (warmths: Warmths): SeasonedReaches =>
  new Map(
    [...warmths].map(([key, { loaded, model, days }]): [string, SeasonedReach] => {
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

/** Reaches as their seasons are drawn, by id. */
export const loadSeasonedReaches = keptUntilWrite(
  async (db: Reader) => seasonedOf(await loadWarmth(db)),
  [loadWarmth],
)

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

interface Drawn {
  readonly reachId: ReachId
  readonly year: number
  readonly reaches: SeasonedReaches
  readonly notes: readonly SeasonNote[]
}

/** Each takes half a megabyte. */
const MOST_DRAWN = 12

const drawsOf = keptByOrigin(
  (drawn: Parameters<typeof drawSeason>[0]): Promise<SeasonDraws> => inTurns(drawSeason(drawn)),
  MOST_DRAWN,
)

async function drawWith(db: Reader, { reachId, year, reaches, notes }: Drawn): Promise<SeasonOfReach | null> {
  const reach = reaches.get(reachId)
  if (!reach) return null
  const stages = (await loadStages(db)).map(({ core }) => core)
  const said = new Map(Object.entries((await loadWarmth(db)).get(reachId)?.loaded.water.foodWords ?? {}))
  const drawn = { reach, reaches: [...reaches.values()], stages, notes, year, draws: DRAWS, seed: SEED }
  const draws = await drawsOf(drawn)
  return seasonOfReach(draws, { ...drawn, said })
}

async function readSeason(db: Reader, reachId: ReachId, year: number): Promise<SeasonOfReach | null> {
  return drawWith(db, { reachId, year, reaches: await loadSeasonedReaches(db), notes: await loadNotes(db) })
}

/** The season of a reach in a year, drawn from its readings, its notes and those of other reaches. */
export const loadSeason = keptUntilWrite(readSeason, [loadSeasonedReaches, loadStages, loadNotes])

async function readUnlearned(db: Reader, reachId: ReachId, year: number): Promise<SeasonOfReach | null> {
  return drawWith(db, { reachId, year, reaches: await loadSeasonedReaches(db), notes: [] })
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

async function sceneOf(
  db: Reader,
  reach: SeasonedReach,
  season: SeasonOfReach,
  on: string,
): Promise<FeedingScene | null> {
  const water = (await loadWarmth(db)).get(reach.key)?.loaded.water
  if (!water) return null
  const { waterKind, latitudeDeg, longitudeDeg } = reach
  return {
    waterKind,
    latitudeDeg,
    longitudeDeg,
    utcOffsetMinutes: offsetOn(on, usableZone(water.timeZone)),
    season,
  }
}

/** A reach with its season on a day, as feeding is asked for; null where there is no such reach. */
export async function feedingScene(db: Reader, reachId: ReachId, on: string): Promise<FeedingScene | null> {
  const reach = (await loadSeasonedReaches(db)).get(reachId)
  const season = reach && (await loadSeason(db, reachId, seasonYear(reach, on)))
  return reach && season ? sceneOf(db, reach, season, on) : null
}

/** The same if something had been read of it that day: its season is drawn anew. */
export async function feedingSceneIfRead(db: Reader, supposed: SupposedReading): Promise<FeedingScene | null> {
  const { reachId, on } = supposed
  const reaches = seasonedOf(await warmthIfRead(db, supposed))
  const reach = reaches.get(reachId)
  if (!reach) return null
  const season = await drawWith(db, {
    reachId,
    year: seasonYear(reach, on),
    reaches,
    notes: await loadNotes(db),
  })
  return season && sceneOf(db, reach, season, on)
}
