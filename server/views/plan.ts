import { and, eq, gte, inArray, isNotNull, isNull, notInArray, sql } from 'drizzle-orm'
import { epochDayOf, lengthOn, TECHNIQUES, wording } from '../../core/index.ts'
import type { DisplayUnits } from '../../core/index.ts'
import type { PlanOuting, PlanView, ReachId } from '../../contract/index.ts'
import type { Clock } from '../clock/clock.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import {
  batch,
  box,
  compartment,
  evening,
  flyTally,
  outing,
  plan,
  spell,
  variantRevision,
  water,
} from '../db/schema.ts'
import { loadBalances } from '../read/balances.ts'
import { loadMinutes } from '../read/minutes.ts'
import { loadReaches } from '../read/reaches.ts'
import { localTime } from '../clock/localTime.ts'
import { loadVariants } from '../read/variants.ts'
import { loadDrawers, loadGoods } from '../read/drawers.ts'
import { loadLasting } from '../read/lasting.ts'
import { loadHours } from '../read/feedingRows.ts'
import { loadLikely } from '../read/likely.ts'
import { loadSetups } from '../read/patterns.ts'
import { loadPlaces } from '../read/places.ts'
import { loadSettings } from '../read/settings.ts'
import { loadStages, stageTitle } from '../read/stages.ts'

/** Outings further ahead are planned for when they come nearer. */
const MOST_OUTINGS = 6
const MOST_FOODS = 25
/** Of an outing of which nobody noted minutes fly by fly, the hours are shared by about so many. */
const FLIES_FISHED = 4

async function comingOutings(db: Reader, today: string): Promise<readonly PlanOuting[]> {
  const rows = await db
    .select()
    .from(outing)
    .where(and(eq(outing.status, 'planned'), gte(outing.on, today), isNull(outing.archivedAtMs)))
    .orderBy(outing.on)
    .limit(MOST_OUTINGS)
  const { body: settings } = await loadSettings(db)
  const reaches = await loadReaches(db)
  const found: PlanOuting[] = []
  for (const row of rows) {
    const place =
      reaches.find(({ reach }) => reach.id === row.reachId) ??
      reaches.find(({ water }) => water.id === row.waterId)
    if (!place) continue
    const { reach, water } = place
    const { foods, whatever } = await foodsOver(db, reach.id, row, settings.units)
    found.push({
      outingId: row.id,
      on: row.on,
      waterName: water.name,
      reachName: reach.name,
      fromLocalMin: row.fromLocalMin,
      hours: (row.toLocalMin - row.fromLocalMin) / 60,
      waterKind: water.kind,
      bedMm: reach.typicalDepthMm,
      surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
      snagginess: water.snagginess,
      techniques: [row.technique, ...row.alsoTechniques],
      rules: water.rules,
      foods: foods.slice(0, MOST_FOODS),
      whatever,
    })
  }
  return found
}

type Outing = typeof outing.$inferSelect

/** What fish are on over an outing, half hour by half hour, the most first. */
async function foodsOver(
  db: Reader,
  reachId: ReachId,
  { on, fromLocalMin, toLocalMin }: Outing,
  units: DisplayUnits,
): Promise<Pick<PlanOuting, 'foods' | 'whatever'>> {
  const row = await loadHours(db, { reachId, on }, fromLocalMin, toLocalMin)
  const middle = await loadLikely(db, { reachId, on, localMin: middleOf(fromLocalMin, toLocalMin) }, units)
  const byId = new Map(middle.foods.map((food) => [food.foodStageId as string, food]))
  const names = new Map((await loadStages(db)).map((stage) => [stage.row.id as string, stage]))
  const foods = row.stages
    .flatMap(({ stageId, onIt }): PlanOuting['foods'] => {
      const [stage, food] = [names.get(stageId), byId.get(stageId)]
      if (!stage) return []
      const [low, high] = lengthOn(stage.core.months, epochDayOf(on))
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

/** Flies lost by variant, the hours that each was fished, and what each gets of outings without such notes. */
const loadLosses = keptUntilWrite(readLosses, [flyTally, variantRevision, spell, outing])

async function readLosses(db: Reader) {
  // as one row of JSON: see loadBalances
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(variant_id, lost)) as rows from (select r.variant_id, -sum(t.count) as lost
      from fly_tally t join variant_revision r on r.id = t.variant_revision_id where t.cause = 'lost' group by 1)`,
  )
  const fished = await db
    .select({ variantId: spell.variantId, minutes: sql<number>`sum(${spell.minutes})` })
    .from(spell)
    .where(isNull(spell.archivedAtMs))
    .groupBy(spell.variantId)
  const noted = db.select({ id: spell.outingId }).from(spell).where(isNull(spell.archivedAtMs))
  const [done] = await db
    .select({ minutes: sql<number>`coalesce(sum(${outing.toLocalMin} - ${outing.fromLocalMin}), 0)` })
    .from(outing)
    .where(and(eq(outing.status, 'done'), isNull(outing.archivedAtMs), notInArray(outing.id, noted)))
  return {
    lost: new Map(JSON.parse(row.rows) as readonly [string, number][]),
    hours: new Map(fished.map(({ variantId, minutes }) => [variantId, minutes / 60])),
    unnoted: { hours: (done?.minutes ?? 0) / 60, each: (done?.minutes ?? 0) / 60 / FLIES_FISHED },
  }
}

async function planPlaces(db: Reader): Promise<PlanView['places']> {
  const held = new Map<string, number>()
  for (const { compartmentId, count } of await loadBalances(db))
    held.set(compartmentId, (held.get(compartmentId) ?? 0) + count)
  return (await loadPlaces(db)).map(({ id, label, capacity }) => ({
    compartmentId: id,
    label,
    room: capacity === null ? null : Math.max(capacity - (held.get(id) ?? 0), 0),
  }))
}

async function planPatterns(db: Reader): Promise<PlanView['patterns']> {
  const { patterns, meantFor } = await loadSetups(db)
  const minutesOf = await loadMinutes(db)
  return patterns.map(({ id, name, dislike, purpose, ownMonths, fishedHow }) => {
    const { minutesEach, timedFlies } = minutesOf(id)
    const served = meantFor.get(id) ?? []
    return {
      patternId: id,
      name,
      dislike,
      minutesEach,
      timedFlies,
      meantFor: served.map(({ foodStageId }) => foodStageId),
      purpose,
      ownMonths: [...ownMonths],
      ways: TECHNIQUES.filter((way) => fishedHow.includes(way)),
    }
  })
}

/** A usual stony river, for who noted no outing yet. */
const USUAL_SNAGGINESS = 2

/** Snagginess of the waters that were fished, by hours. */
const loadSnagginess = keptUntilWrite(readSnagginess, [outing, water])

async function readSnagginess(db: Reader): Promise<number> {
  const hours = sql`(${outing.toLocalMin} - ${outing.fromLocalMin})`
  const [row] = await db
    .select({ mean: sql<number | null>`sum(${water.snagginess} * ${hours}) * 1.0 / nullif(sum(${hours}), 0)` })
    .from(outing)
    .innerJoin(water, eq(water.id, outing.waterId))
    .where(and(eq(outing.status, 'done'), isNull(outing.archivedAtMs)))
  return row?.mean ?? USUAL_SNAGGINESS
}

type PlanVariant = PlanView['variants'][number]

/** Flies by variant in batches that are not ended. */
async function queuedFlies(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ variantId: variantRevision.variantId, count: sql<number>`sum(${batch.plannedCount})` })
    .from(batch)
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .where(inArray(batch.status, ['planned', 'open']))
    .groupBy(variantRevision.variantId)
  return new Map(rows.map(({ variantId, count }) => [variantId, count]))
}

async function planVariants(
  db: Reader,
  { lost, hours, unnoted }: Awaited<ReturnType<typeof readLosses>>,
): Promise<PlanVariant[]> {
  const lasting = await loadLasting(db)
  const queued = await queuedFlies(db)
  return (await loadVariants(db)).flatMap(({ variant: { id }, onHand }) => {
    const variant = lasting.get(id)
    return variant
      ? {
          ...variant,
          onHand,
          queued: queued.get(id) ?? 0,
          lost: lost.get(id) ?? 0,
          hoursFished: unnoted.each + (hours.get(id) ?? 0),
        }
      : []
  })
}

/** The one compartment of the bench tray. */
async function trayId(db: Reader): Promise<PlanView['trayId']> {
  const [tray] = await db
    .select({ id: compartment.id })
    .from(compartment)
    .innerJoin(box, eq(box.id, compartment.boxId))
    .where(eq(box.kind, 'benchTray'))
  if (!tray) throw new Error('the bench tray is missing')
  return tray.id
}

async function planDrawers(db: Reader): Promise<PlanView['drawers']> {
  const balances = await loadDrawers(db)
  return (await loadGoods(db)).map(({ material: row, family: goods, stockUnit }) => ({
    materialId: row.id,
    name: wording.drawerName(goods, row.sizeKey, row.colourName),
    onHand: balances.get(row.id)?.onHand ?? null,
    minimumAmount: row.minimumAmount,
    packAmount: row.packAmount,
    priceMinor: row.priceMinor,
    leadTimeDays: row.leadTimeDays,
    stockUnit,
  }))
}

/** All that a plan of what to tie is made from; the page makes it, in a worker. */
export async function planView(db: Reader, clock: Clock): Promise<PlanView> {
  const { body: settings } = await loadSettings(db)
  const { on } = localTime(clock.nowMs(), settings.timeZone)
  const [kept] = await db.select({ choices: plan.choices }).from(plan)
  const evenings = await db
    .select({ on: evening.id, minutes: evening.minutes })
    .from(evening)
    .where(and(isNotNull(evening.minutes), gte(evening.id, on)))
  const fished = await loadLosses(db)
  return {
    trayId: await trayId(db),
    choices: { ...kept?.choices },
    evenings: evenings.map((row) => ({ on: row.on, minutes: row.minutes ?? 0 })),
    outings: [...(await comingOutings(db, on))],
    snagginessFished: await loadSnagginess(db),
    patterns: await planPatterns(db),
    unnoted: fished.unnoted,
    variants: await planVariants(db, fished),
    places: await planPlaces(db),
    drawers: await planDrawers(db),
  }
}
