import { and, desc, eq, isNull } from 'drizzle-orm'
import { firstDayOf, windowOf } from '../../core/index.ts'
import type { BroodDraws } from '../../core/index.ts'
import type { ObservationLine, ReachId, ReachSeasonView, ReachWarmth, WaterId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { readingImport } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import {
  loadObservations,
  loadSeason,
  loadSeasonedReaches,
  loadUnlearned,
  seasonYear,
  seenOn,
} from '../read/season.ts'
import { latestLevel } from '../read/level.ts'
import { loadStages } from '../read/stages.ts'
import { loadWarmth } from '../read/warmth.ts'
import type { Warmth } from '../read/warmth.ts'

/** How warm a reach is, as pages get it. */
export const toReachWarmth = ({ model, latest, swing, trendCPerDay }: Warmth): ReachWarmth => ({
  model: { ...model, curveSdC: [...model.curveSdC] },
  latest: latest && { ...latest },
  swing: { ...swing },
  trendCPerDay,
})

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

type Window = ReachSeasonView['windows'][number]['before']

/** The windows of a reach in the year of a day: as if nobody had noted anything, and as the notes move them. */
async function learnedWindows(db: Reader, reachId: ReachId, on: string): Promise<ReachSeasonView['windows']> {
  const reach = (await loadSeasonedReaches(db)).get(reachId)
  if (!reach) return []
  const year = seasonYear(reach, on)
  const [season, unlearned] = [await loadSeason(db, reachId, year), await loadUnlearned(db, reachId, year)]
  const plain = (brood: BroodDraws): Window | null => {
    const window = windowOf(brood)
    return (
      window && {
        ...window,
        stageKey: window.stageKey as Window['stageKey'],
        onset: [...window.onset],
        last: [...window.last],
      }
    )
  }
  return (season?.draws.broods ?? []).flatMap((brood) => {
    const earlier = unlearned?.draws.broods.find(
      (one) => one.stageId === brood.stageId && one.brood === brood.brood,
    )
    const after = plain(brood)
    const before = earlier ? plain(earlier) : null
    if (!after || !before) return []
    return [{ before, after, shiftDays: firstDayOf(after) - firstDayOf(before), notes: brood.notes.length }]
  })
}

/** The season of one reach: readings by day, imports, windows before and after the notes, notes of its water. */
export async function reachSeasonView(db: Reader, reachId: ReachId, on: string): Promise<ReachSeasonView> {
  const warmth = (await loadWarmth(db)).get(reachId)
  if (!warmth) throw new ProblemError('unknownId', 'There is no such reach.')
  const imports = await db
    .select()
    .from(readingImport)
    .where(and(eq(readingImport.reachId, reachId), isNull(readingImport.archivedAtMs)))
    .orderBy(desc(readingImport.atMs))
  const level = await latestLevel(db, reachId)
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
    windows: await learnedWindows(db, reachId, on),
    seenOn: Object.fromEntries([...(await seenOn(db, reachId))].map(([stage, on]) => [stage, [...on]])),
    observations: await observationLines(db, warmth.loaded.water.id),
  }
}
