import { and, eq, gte, inArray, isNotNull, isNull, notInArray, sql } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import type { PlanOuting, PlanView } from '../../contract/index.ts'
import type { Clock } from '../clock.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import {
  batch,
  box,
  compartment,
  family,
  material,
  outing,
  patternServes,
  spell,
  pattern,
  variant,
  variantRevision,
  water,
} from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { evening, plan } from '../db/supplyTables.ts'
import { loadBalances } from './balances.ts'
import { grouped } from '../grouped.ts'
import { loadSettings } from './frame.ts'
import { foodsAt, outingHour } from './moment.ts'
import { loadMinutes } from './minutes.ts'
import { loadReaches } from './reaches.ts'
import { loadDrawers } from './restock.ts'
import { localTime } from './time.ts'
import { loadRecipes, loadVariants, toFigureView } from './variants.ts'

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
    const moment = { reachId: reach.id, on: row.on, localMin: outingHour(row) }
    const foods = await foodsAt(db, moment, settings.parCount, settings.units)
    found.push({
      outingId: row.id as PlanOuting['outingId'],
      on: row.on,
      waterName: water.name,
      reachName: reach.name,
      hours: (row.toLocalMin - row.fromLocalMin) / 60,
      waterKind: water.kind,
      bedMm: reach.typicalDepthMm,
      surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
      snagginess: water.snagginess,
      technique: row.technique,
      foods: foods.slice(0, MOST_FOODS).map(({ foodStageId, name, worth, lengthMmLow, lengthMmHigh }) => ({
        foodStageId,
        name,
        worth,
        lengthMmLow,
        lengthMmHigh,
      })),
    })
  }
  return found
}

/** Flies lost by variant, the hours that each was fished, and what each gets of outings without such notes. */
async function losses(db: Reader) {
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

const loadPlaces = keptUntilWrite(
  (db: Reader) =>
    db
      .select({ id: compartment.id, label: compartment.label, capacity: compartment.capacity })
      .from(compartment),
  ['rest'],
)

async function planPlaces(db: Reader): Promise<PlanView['places']> {
  const held = new Map<string, number>()
  for (const { compartmentId, count } of await loadBalances(db))
    held.set(compartmentId, (held.get(compartmentId) ?? 0) + count)
  return (await loadPlaces(db)).map(({ id, label, capacity }) => ({
    compartmentId: id as PlanView['places'][number]['compartmentId'],
    label,
    room: capacity === null ? null : Math.max(capacity - (held.get(id) ?? 0), 0),
  }))
}

const partOf = ({ dressing }: RevisionBody, kind: string) =>
  dressing.components.find((component) => component.kind === kind)?.materialId ?? null

const loadSetups = keptUntilWrite(readSetups, ['patterns'])

/** What changes at the bench from one recipe to another, and what each pattern is meant for and how it is liked. */
async function readSetups(db: Reader) {
  const recipes = await db
    .select({ id: variantRevision.id, body: variantRevision.body })
    .from(variantRevision)
    .innerJoin(variant, eq(variant.currentRevisionId, variantRevision.id))
  const serves = await db.select().from(patternServes)
  const patterns = await db
    .select({ id: pattern.id, name: pattern.name, dislike: pattern.dislike })
    .from(pattern)
    .where(isNull(pattern.archivedAtMs))
  return {
    parts: new Map(
      recipes.map(({ id, body }) => [id, { thread: partOf(body, 'thread'), bead: partOf(body, 'bead') }]),
    ),
    meantFor: grouped(serves, ({ patternId }) => patternId),
    patterns,
  }
}

async function planPatterns(db: Reader): Promise<PlanView['patterns']> {
  const { patterns, meantFor } = await loadSetups(db)
  const minutesOf = await loadMinutes(db)
  return patterns.map(({ id, name, dislike }) => {
    const { minutesEach, timedFlies } = minutesOf(id)
    const served = meantFor.get(id) ?? []
    return {
      patternId: id as PlanView['patterns'][number]['patternId'],
      name,
      dislike,
      minutesEach,
      timedFlies,
      meantFor: served.map(({ foodStageId }) => foodStageId as PlanOuting['foods'][number]['foodStageId']),
    }
  })
}

/** A usual stony river, for who noted no outing yet. */
const USUAL_SNAGGINESS = 2

/** Snagginess of the waters that were fished, by hours. */
async function snagginessFished(db: Reader): Promise<number> {
  const hours = sql`(${outing.toLocalMin} - ${outing.fromLocalMin})`
  const [row] = await db
    .select({ mean: sql<number | null>`sum(${water.snagginess} * ${hours}) * 1.0 / nullif(sum(${hours}), 0)` })
    .from(outing)
    .innerJoin(water, eq(water.id, outing.waterId))
    .where(and(eq(outing.status, 'done'), isNull(outing.archivedAtMs)))
  return row?.mean ?? USUAL_SNAGGINESS
}

type PlanVariant = PlanView['variants'][number]

/** Where something stands in a list, by its id; null where it does not. */
function placesIn(ids: readonly string[]): (id: string | null | undefined) => number | null {
  const at = new Map(ids.map((id, i) => [id, i]))
  return (id) => at.get(id ?? '') ?? null
}

/** All of a variant that no fly that comes or goes changes. */
const loadLasting = keptUntilWrite(readLasting, ['patterns', 'materials', 'rest'])

async function readLasting(db: Reader) {
  const { parts, patterns } = await loadSetups(db)
  const patternAt = placesIn(patterns.map(({ id }) => id))
  const placeAt = placesIn((await loadPlaces(db)).map(({ id }) => id))
  const drawerAt = placesIn((await loadGoods(db)).map(({ material: { id } }) => id))
  const lasting = (await loadRecipes(db)).map(
    ({ variant: row, figure }): Omit<PlanVariant, 'onHand' | 'queued' | 'lost' | 'hoursFished'> => {
      const { kind, sinkSpeedMmPerS, trailingSpeedMmPerS, posture, hookSize, drawingKey } = toFigureView(figure)
      const setup = parts.get(row.currentRevisionId)
      return {
        variantId: row.id as PlanVariant['variantId'],
        pattern: patternAt(row.patternId) ?? 0,
        label: row.label,
        figure: { kind, sinkSpeedMmPerS, trailingSpeedMmPerS, posture, hookSize, drawingKey },
        look: figure?.look ? { ...figure.look, shows: [...figure.look.shows] } : null,
        place: placeAt(row.homeCompartmentId),
        nightsToDry: figure?.nightsToDry ?? 0,
        bill: (figure?.bill ?? []).flatMap(({ materialId, perFly }): [number, number][] => {
          const drawer = drawerAt(materialId)
          return drawer === null ? [] : [[drawer, perFly]]
        }),
        setup: {
          thread: drawerAt(setup?.thread),
          bead: drawerAt(setup?.bead),
          hook: drawerAt(row.hookMaterialId),
        },
      }
    },
  )
  return new Map(lasting.map((variant) => [variant.variantId as string, variant]))
}

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
  { lost, hours, unnoted }: Awaited<ReturnType<typeof losses>>,
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
async function trayId(db: Reader): Promise<string> {
  const [tray] = await db
    .select({ id: compartment.id })
    .from(compartment)
    .innerJoin(box, eq(box.id, compartment.boxId))
    .where(eq(box.kind, 'benchTray'))
  if (!tray) throw new Error('the bench tray is missing')
  return tray.id
}

/** Drawers that are not put away, with what they are of. */
const loadGoods = keptUntilWrite(
  (db: Reader) =>
    db
      .select({ material, family: { kind: family.kind, name: family.name }, stockUnit: family.stockUnit })
      .from(material)
      .innerJoin(family, eq(family.id, material.familyId))
      .where(isNull(material.archivedAtMs)),
  ['materials', 'rest'],
)

async function planDrawers(db: Reader): Promise<PlanView['drawers']> {
  const balances = await loadDrawers(db)
  return (await loadGoods(db)).map(({ material: row, family: goods, stockUnit }) => ({
    materialId: row.id as PlanView['drawers'][number]['materialId'],
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
  const fished = await losses(db)
  return {
    trayId: (await trayId(db)) as PlanView['trayId'],
    choices: { ...kept?.choices },
    evenings: evenings.map((row) => ({ on: row.on, minutes: row.minutes ?? 0 })),
    outings: [...(await comingOutings(db, on))],
    snagginessFished: await snagginessFished(db),
    patterns: await planPatterns(db),
    unnoted: fished.unnoted,
    variants: await planVariants(db, fished),
    places: await planPlaces(db),
    drawers: await planDrawers(db),
  }
}
