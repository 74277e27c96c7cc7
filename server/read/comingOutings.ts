import { and, eq, gte, isNull } from 'drizzle-orm'
import { epochDayOf, lengthOn, monthsAt } from '../../core/index.ts'
import type { DisplayUnits, Technique } from '../../core/index.ts'
import type { Moment, OutingId, PlanOuting, ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outing } from '../db/schema.ts'
import { loadHours } from './feedingRows.ts'
import { loadLikely } from './likely.ts'
import { loadReaches } from './reaches.ts'
import { loadSettings } from './settings.ts'
import { loadStages, stageTitle } from './stages.ts'
import { mapOf } from './grouped.ts'

/** Outings further ahead are planned for when they come nearer. */
const MOST_OUTINGS = 6
const MOST_FOODS = 25

async function readComingOutings(db: Reader, today: string): Promise<readonly PlanOuting[]> {
  const rows = await db
    .select()
    .from(outing)
    .where(and(eq(outing.status, 'planned'), gte(outing.on, today), isNull(outing.archivedAtMs)))
    .orderBy(outing.on)
    .limit(MOST_OUTINGS)
  const reaches = await loadReaches(db)
  const found: PlanOuting[] = []
  for (const row of rows) {
    const place =
      reaches.find(({ reach }) => reach.id === row.reachId) ??
      reaches.find(({ water }) => water.id === row.waterId)
    if (!place) continue
    const { id, on, fromLocalMin, toLocalMin, technique, alsoTechniques } = row
    found.push(
      await outingAt(db, place, {
        id,
        on,
        fromLocalMin,
        toLocalMin,
        techniques: [technique, ...alsoTechniques],
      }),
    )
  }
  return found
}

/** An outing that is reckoned with where none is planned: an hour and a half on both sides of the moment. */
const AROUND_MIN = 90
const HALF_HOUR_MIN = 30
const LAST_MIN = 24 * 60 - 1

/** The water ahead: the outings to come, the next one first, or else the hours around the moment at its reach. */
export async function waterAhead(db: Reader, today: string, moment: Moment): Promise<readonly PlanOuting[]> {
  const coming = await loadComingOutings(db, today)
  if (coming.length > 0) return coming
  const place = (await loadReaches(db)).find(({ reach }) => reach.id === moment.reachId)
  if (!place) return []
  const { on, localMin } = moment
  return [
    await outingAt(db, place, {
      id: 'moment' as OutingId,
      on,
      fromLocalMin: Math.max(Math.floor((localMin - AROUND_MIN) / HALF_HOUR_MIN) * HALF_HOUR_MIN, 0),
      toLocalMin: Math.min(localMin + AROUND_MIN, LAST_MIN),
      techniques: [],
    }),
  ]
}

/** Some hours of a day at a place, and how they are fished. */
interface HoursThere {
  readonly id: OutingId
  readonly on: string
  readonly fromLocalMin: number
  readonly toLocalMin: number
  readonly techniques: readonly Technique[]
}

/** Hours at a place with what fish are on through them. */
export async function outingAt(
  db: Reader,
  { reach, water }: Awaited<ReturnType<typeof loadReaches>>[number],
  hours: HoursThere,
): Promise<PlanOuting> {
  const { body: settings } = await loadSettings(db)
  const { on, fromLocalMin, toLocalMin } = hours
  const { foods, whatever } = await loadFoodsOver(
    db,
    reach.id,
    water.latitudeDeg,
    { on, fromLocalMin, toLocalMin },
    settings.units,
  )
  return {
    outingId: hours.id,
    on,
    waterName: water.name,
    reachName: reach.name,
    fromLocalMin,
    hours: (toLocalMin - fromLocalMin) / 60,
    waterKind: water.kind,
    bedMm: reach.typicalDepthMm,
    surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
    snagginess: water.snagginess,
    techniques: [...hours.techniques],
    rules: water.rules,
    foods: foods.slice(0, MOST_FOODS),
    whatever,
  }
}

/** What fish are on over some hours of a day, half hour by half hour, the most first. */
const loadFoodsOver = keptUntilWrite(readFoodsOver, [loadHours, loadLikely, loadStages])

/** The outings to come, the next one first, with what fish are on through each. */
export const loadComingOutings = keptUntilWrite(readComingOutings, [
  outing,
  loadReaches,
  loadSettings,
  loadFoodsOver,
])

async function readFoodsOver(
  db: Reader,
  reachId: ReachId,
  latitudeDeg: number,
  { on, fromLocalMin, toLocalMin }: Pick<HoursThere, 'on' | 'fromLocalMin' | 'toLocalMin'>,
  units: DisplayUnits,
): Promise<Pick<PlanOuting, 'foods' | 'whatever'>> {
  const row = await loadHours(db, { reachId, on }, fromLocalMin, toLocalMin)
  const middle = await loadLikely(db, { reachId, on, localMin: middleOf(fromLocalMin, toLocalMin) }, units)
  const byId = mapOf(middle.foods, (food) => [food.foodStageId, food])
  const names = mapOf(await loadStages(db), (stage) => [stage.row.id, stage])
  const foods = row.stages
    .flatMap(({ stageId, onIt }): PlanOuting['foods'] => {
      const [stage, food] = [names.get(stageId), byId.get(stageId)]
      if (!stage) return []
      const [low, high] = lengthOn(monthsAt(stage.core, latitudeDeg), epochDayOf(on))
      return [
        {
          foodStageId: stage.row.id,
          name: stageTitle(stage),
          onIt: [...onIt],
          lengthMmLow: food?.lengthMmLow ?? low,
          lengthMmHigh: food?.lengthMmHigh ?? high,
        },
      ]
    })
    .sort((a, b) => mean(b.onIt) - mean(a.onIt))
  return { foods, whatever: [...row.whatever] }
}

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(values.length, 1)
const middleOf = (fromMin: number, toMin: number) => Math.round((fromMin + toMin) / 60) * 30
