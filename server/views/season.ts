import { and, desc, eq, isNotNull, isNull, lte } from 'drizzle-orm'
import type {
  ObservationLine,
  ReachId,
  ReachSeasonView,
  ReachWarmth,
  SeasonStateView,
  WaterId,
} from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { reading, readingImport } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import {
  loadKeptWindows,
  loadLearned,
  loadBroodsHash,
  loadObservations,
  loadWarmth,
  seenOn,
  windowsHash,
} from '../read/season.ts'
import type { Warmth } from '../read/season.ts'
import { loadStages } from '../read/stages.ts'

/** How warm a reach is, as pages get it. */
export const toReachWarmth = ({ model, latest, trendCPerDay }: Warmth): ReachWarmth => ({
  model: { ...model },
  latest: latest && { ...latest },
  trendCPerDay,
})

/** For each reach, what its windows hang on, and whether those that are kept are of today's inputs. */
export async function seasonStateView(db: Reader): Promise<SeasonStateView> {
  const kept = await loadKeptWindows(db)
  const warmths = [...(await loadWarmth(db)).values()]
  return {
    broodsHash: await loadBroodsHash(db),
    reaches: await Promise.all(
      warmths.map(async (warmth) => ({
        reachId: warmth.loaded.reach.id,
        model: { ...warmth.model },
        latitudeDeg: warmth.loaded.water.latitudeDeg,
        elevationM: warmth.loaded.reach.elevationM,
        iceOffOn: warmth.loaded.water.iceOffMonthDay,
        inputHash: await windowsHash(db, warmth),
        keptHash: kept.get(warmth.loaded.reach.id)?.inputHash ?? null,
      })),
    ),
  }
}

async function observationLines(db: Reader, waterId: WaterId): Promise<ObservationLine[]> {
  const warmths = await loadWarmth(db)
  const stages = new Map((await loadStages(db)).map((stage) => [stage.row.id, stage]))
  return (await loadObservations(db))
    .filter(({ reachId }) => warmths.get(reachId)?.loaded.water.id === waterId)
    .map(({ id, version, archivedAtMs: _archived, ...row }) => ({
      id,
      version,
      observation: row,
      foodName: stages.get(row.foodStageId)?.foodName ?? '',
      stageName: stages.get(row.foodStageId)?.row.stageName ?? '',
    }))
    .reverse()
}

/** The latest level of a reach, and what it was about a day before. */
async function latestLevel(db: Reader, reachId: ReachId): Promise<ReachSeasonView['level']> {
  const ofReach = and(
    eq(readingImport.reachId, reachId),
    isNull(readingImport.archivedAtMs),
    isNotNull(reading.levelMm),
  )
  const [latest] = await db
    .select({ reading, source: readingImport.source })
    .from(reading)
    .innerJoin(readingImport, eq(readingImport.id, reading.importId))
    .where(ofReach)
    .orderBy(desc(reading.day), desc(reading.localMin))
    .limit(1)
  if (!latest || latest.reading.levelMm === null) return null
  const { day, localMin, levelMm, clarityMm } = latest.reading
  const [before] = await db
    .select({ levelMm: reading.levelMm })
    .from(reading)
    .innerJoin(readingImport, eq(readingImport.id, reading.importId))
    .where(and(ofReach, eq(reading.day, day - 1), lte(reading.localMin, localMin)))
    .orderBy(desc(reading.localMin))
    .limit(1)
  return { day, localMin, levelMm, clarityMm, dayBeforeMm: before?.levelMm ?? null, source: latest.source }
}

/** The season of one reach: readings by day, imports, windows before and after the notes, notes of its water. */
export async function reachSeasonView(db: Reader, reachId: ReachId): Promise<ReachSeasonView> {
  const warmth = (await loadWarmth(db)).get(reachId)
  if (!warmth) throw new ProblemError('unknownId', 'There is no such reach.')
  const imports = await db
    .select()
    .from(readingImport)
    .where(and(eq(readingImport.reachId, reachId), isNull(readingImport.archivedAtMs)))
    .orderBy(desc(readingImport.atMs))
  const learned = await loadLearned(db, reachId)
  const level = await latestLevel(db, reachId)
  type Window = ReachSeasonView['windows'][number]['before']
  const plain = (window: (typeof learned)[number]['before']): Window => ({
    ...window,
    stageKey: window.stageKey as Window['stageKey'],
    onset: [...window.onset],
  })
  return {
    reachId: reachId,
    warmth: toReachWarmth(warmth),
    days: warmth.days.map(({ day, meanC }): [number, number] => [day, Math.round(meanC * 100) / 100]),
    imports: imports.map(({ id, version, source, depthMm, rowCount, firstDay, lastDay, atMs }) => ({
      id,
      version,
      source,
      depthMm,
      rowCount,
      firstDay,
      lastDay,
      atMs,
    })),
    level,
    windows: learned.map(({ before, after, learned: { shiftDays, notes }, backtest }) => ({
      before: plain(before),
      after: plain(after),
      shiftDays,
      notes,
      backtest,
    })),
    seenOn: Object.fromEntries([...(await seenOn(db, reachId))].map(([stage, on]) => [stage, [...on]])),
    observations: await observationLines(db, warmth.loaded.water.id),
  }
}
