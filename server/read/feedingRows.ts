import { dayOfFeeding, epochDayOf, yearOfFeeding } from '../../core/index.ts'
import type { FeedingRow } from '../../core/index.ts'
import type { FeedingRowView, FoodStageId, ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { reading, readingImport } from '../db/schema.ts'
import { inTurns } from './inTurns.ts'
import { saidOrRead } from './likely.ts'
import type { SaidOfHour } from './likely.ts'
import { feedingScene, feedingSceneIfRead, loadNotes, loadSeason } from './season.ts'
import { loadStages } from './stages.ts'
import { loadWarmth } from './warmth.ts'
import type { SupposedReading } from './warmth.ts'

const rounded = (values: readonly number[]) => values.map((value) => Math.round(value * 1e4) / 1e4)

const toRow = ({ whatever, stages }: FeedingRow): FeedingRowView => ({
  whatever: rounded(whatever),
  stages: stages.map(({ stageId, about, onIt }) => ({
    stageId: stageId as FoodStageId,
    about: rounded(about),
    onIt: rounded(onIt),
  })),
})

const NOTHING: FeedingRowView = { whatever: [], stages: [] }

type AskedDay = { readonly reachId: ReachId; readonly on: string } & SaidOfHour

async function readHours(
  db: Reader,
  { reachId, on, ...said }: AskedDay,
  fromMin: number,
  toMin: number,
): Promise<FeedingRowView> {
  const scene = await feedingScene(db, reachId, on)
  if (!scene) return NOTHING
  const stages = (await loadStages(db)).map(({ core }) => core)
  const { conditions } = await saidOrRead(
    db,
    { reachId, on, localMin: Math.round((fromMin + toMin) / 2) },
    said,
  )
  return toRow(await inTurns(dayOfFeeding(stages, scene, epochDayOf(on), conditions, [fromMin, toMin])))
}

async function readHoursIfRead(
  db: Reader,
  supposed: SupposedReading,
  fromMin: number,
  toMin: number,
): Promise<FeedingRowView> {
  const scene = await feedingSceneIfRead(db, supposed)
  if (!scene) return NOTHING
  const { tempC: waterTempC, ...moment } = supposed
  const stages = (await loadStages(db)).map(({ core }) => core)
  const { conditions } = await saidOrRead(db, moment, { waterTempC })
  return toRow(
    await inTurns(dayOfFeeding(stages, scene, epochDayOf(supposed.on), conditions, [fromMin, toMin])),
  )
}

/** The same if its water had been read that day. */
export const loadHoursIfRead = keptUntilWrite(readHoursIfRead, [
  loadWarmth,
  loadNotes,
  loadStages,
  reading,
  readingImport,
])

/** What trout are on at a reach through some hours of a day, by half hours. */
export const loadHours = keptUntilWrite(readHours, [loadSeason, loadStages, loadWarmth, reading, readingImport])

async function readYear(db: Reader, reachId: ReachId, year: number): Promise<FeedingRowView> {
  const scene = await feedingScene(db, reachId, `${year}-12-31`)
  if (!scene) return NOTHING
  const stages = (await loadStages(db)).map(({ core }) => core)
  return toRow(await inTurns(yearOfFeeding(stages, scene, year)))
}

/** What trout are on at a reach through a year, by weeks. */
export const loadYear = keptUntilWrite(readYear, [loadSeason, loadStages, loadWarmth])
