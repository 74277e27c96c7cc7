import { and, asc, desc, eq, inArray, isNotNull, ne, or, sql } from 'drizzle-orm'
import {
  componentsByKey,
  nightsToDry,
  resolveDressing,
  stepFigures,
  stepsOf,
  wording,
} from '../../core/index.ts'
import type { Fly, Step } from '../../core/index.ts'
import type { BatchMention, BenchStep, BenchView, MaterialId, PhotoId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import {
  batch,
  batchEvent,
  compartment,
  pattern,
  variant,
  variantFigure,
  variantRevision,
} from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { loadMaterials, materialIdsOf } from '../read/materials.ts'
import { loadMinutes } from '../read/minutes.ts'
import { stands } from '../read/standingEvents.ts'
import { toFigureView } from '../read/variants.ts'
import { loadDrawers } from '../read/drawers.ts'

type BatchEvent = typeof batchEvent.$inferSelect

const tally = (events: readonly BatchEvent[], kind: BatchEvent['kind']) =>
  events.reduce((sum, event) => (event.kind === kind ? sum + event.count : sum), 0)

async function loadBatches(db: Reader, which: 'open' | 'all') {
  const open = or(eq(batch.status, 'planned'), eq(batch.status, 'open'))
  const query = db
    .select({
      batch,
      revision: variantRevision,
      label: variant.label,
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      note: pattern.note,
      compartmentLabel: compartment.label,
    })
    .from(batch)
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .innerJoin(compartment, eq(compartment.id, batch.compartmentId))
  return which === 'open'
    ? query.where(open).orderBy(asc(batch.queuePosition))
    : query
        .where(inArray(batch.status, ['finished', 'abandoned']))
        .orderBy(desc(batch.endedAtMs))
        .limit(20)
}

type Loaded = Awaited<ReturnType<typeof loadBatches>>[number]

function mention(row: Loaded, events: readonly BatchEvent[]): BatchMention {
  const mine = events.filter(({ batchId }) => batchId === row.batch.id)
  return {
    batchId: row.batch.id,
    variantId: row.variantId,
    patternName: row.patternName,
    label: row.label,
    planned: row.batch.plannedCount,
    done: tally(mine, 'done'),
    spoiled: tally(mine, 'spoiled'),
    status: row.batch.status,
    onVise: row.batch.onVise,
    compartmentId: row.batch.compartmentId,
    compartmentLabel: row.compartmentLabel,
  }
}

async function eventsOf(db: Reader, rows: readonly Loaded[]): Promise<readonly BatchEvent[]> {
  if (rows.length === 0) return []
  return (
    db
      .select()
      .from(batchEvent)
      .where(
        and(
          stands(db),
          inArray(
            batchEvent.batchId,
            rows.map((row) => row.batch.id),
          ),
        ),
      )
      // as they came in: an id that counts back has no time in it
      .orderBy(sql`rowid`)
  )
}

/** What lies on the vise, in few words; null where nothing does. */
export async function onViseMention(db: Reader): Promise<BatchMention | null> {
  const rows = (await loadBatches(db, 'open')).filter((row) => row.batch.onVise)
  const [row] = rows
  return row ? mention(row, await eventsOf(db, rows)) : null
}

/** How many batches wait. */
export const queuedCount = async (db: Reader): Promise<number> =>
  (await loadBatches(db, 'open')).filter((row) => !row.batch.onVise).length

function toBenchStep(step: Step, fly: Fly): BenchStep {
  const component = step.componentKey ? componentsByKey(fly).get(step.componentKey) : undefined
  const figures = component ? stepFigures(component) : null
  const { material } = component ?? {}
  return {
    ...step,
    title: wording.stepTitle(step.verb, component?.kind ?? null),
    materialName: material ? wording.drawerName(material.family, material.sizeKey, material.colourName) : null,
    colourHex: material?.colourHex ?? null,
    fromMm: figures?.fromMm ?? null,
    toMm: figures?.toMm ?? null,
    lengthMm: figures?.lengthMm ?? null,
    turns: figures?.turns ?? null,
    fibreCount: figures?.fibreCount ?? null,
    strands: figures?.strands ?? null,
    cutMm: figures?.cutMm ?? null,
    tip:
      [
        wording.stepTip(step.verb, component?.kind ?? null),
        component ? wording.dryingTip(nightsToDry([component])) : null,
      ]
        .filter(Boolean)
        .join(' ') || null,
    cautions: (material?.family.cautions ?? []).map((key) => ({
      key,
      text: wording.caution(key),
      mark: wording.cautionMark(key),
    })),
  }
}

const MOST_NOTES = 3

/** What was noted of the last batches of a pattern. */
async function earlierNotes(db: Reader, { patternId, batch: own }: Loaded) {
  const rows = await db
    .select({ id: batch.id, note: batch.note, atMs: batch.createdAtMs, label: variant.label })
    .from(batch)
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .where(and(eq(variant.patternId, patternId), ne(batch.note, ''), ne(batch.id, own.id)))
    .orderBy(desc(batch.createdAtMs))
    .limit(MOST_NOTES)
  return rows.map(({ atMs, label, note }) => ({ atMs, label, note }))
}

/** The last picture of a batch of a pattern. */
async function earlierPhoto(db: Reader, { patternId, batch: own }: Loaded): Promise<PhotoId | null> {
  const [row] = await db
    .select({ photoId: batch.photoId })
    .from(batch)
    .innerJoin(variantRevision, eq(variantRevision.id, batch.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .where(and(eq(variant.patternId, patternId), isNotNull(batch.photoId), ne(batch.id, own.id)))
    .orderBy(desc(batch.createdAtMs))
    .limit(1)
  return row?.photoId ?? null
}

/** What several batches take together, by drawer. */
async function eveningCutList(db: Reader, batches: readonly Loaded[]): Promise<BenchView['eveningCutList']> {
  if (batches.length === 0) return []
  const bills = await db
    .select({ id: variantFigure.variantRevisionId, bill: variantFigure.bill })
    .from(variantFigure)
    .where(
      inArray(
        variantFigure.variantRevisionId,
        batches.map(({ revision }) => revision.id),
      ),
    )
  const amounts = new Map<MaterialId, number>()
  for (const { revision, batch: own } of batches) {
    const lines = bills.find(({ id }) => id === revision.id)?.bill ?? []
    for (const { materialId, perFly } of lines)
      amounts.set(materialId, (amounts.get(materialId) ?? 0) + perFly * own.plannedCount)
  }
  const drawers = await loadDrawers(db)
  const materials = await loadMaterials(db, [...amounts.keys()])
  return [...amounts].map(([materialId, forBatch]) => ({
    materialId: materialId,
    name: drawers.get(materialId)?.name ?? '',
    stockUnit: materials.get(materialId)?.family.stockUnit ?? 'count',
    forBatch,
    onHand: drawers.get(materialId)?.onHand ?? null,
  }))
}

type Vise = NonNullable<BenchView['onVise']>

/** The step that the fly on the vise is at; fly by fly the next one begins at the first, which is null. */
function stepNow(events: readonly BatchEvent[], way: Vise['way']): string | null {
  const last = events.filter(({ kind }) => kind === 'step' || (kind === 'done' && way === 'flyByFly')).at(-1)
  return last?.kind === 'step' ? last.stepKey : null
}

async function viseOf(db: Reader, row: Loaded, events: readonly BatchEvent[]): Promise<BenchView['onVise']> {
  const body: RevisionBody = row.revision.body
  const materials = await loadMaterials(db, materialIdsOf(body))
  const drawers = await loadDrawers(db)
  const figures = await db
    .select()
    .from(variantFigure)
    .where(eq(variantFigure.variantRevisionId, row.revision.id))
  const hookOnly = { hookMaterialId: body.hookMaterialId, swaps: [] }
  const fly = resolveDressing(body.dressing, hookOnly, materials)
  if (fly.kind !== 'fly') return null
  const mine = events.filter(({ batchId }) => batchId === row.batch.id)
  const lastPause = mine.filter(({ kind }) => kind === 'pause' || kind === 'resume').at(-1)
  const { hookMaterial } = fly
  const minutes = (await loadMinutes(db))(row.patternId)
  return {
    batch: mention(row, events),
    variantRevisionId: row.revision.id,
    patternId: row.patternId,
    note: row.note,
    batchNote: row.batch.note,
    photoId: row.batch.photoId,
    earlierPhotoId: await earlierPhoto(db, row),
    way: row.batch.way,
    throughStep: Object.fromEntries(
      [...grouped(mine, ({ stepKey }) => stepKey ?? '')].map(([key, events]) => [
        key,
        tally(events, 'station'),
      ]),
    ),
    spoiledUnsaid: mine
      .filter(({ kind, count, spoiledCause }) => kind === 'spoiled' && count > 0 && spoiledCause === null)
      .map(({ id }) => id as Vise['spoiledUnsaid'][number])
      .reverse(),
    minutesSoFar: [...minutes.soFar],
    earlierNotes: await earlierNotes(db, row),
    minutesEach: minutes.minutesEach,
    timedFlies: minutes.timedFlies,
    shankMm: fly.hook.shankMm,
    hookName: wording.drawerName(hookMaterial.family, hookMaterial.sizeKey, hookMaterial.colourName),
    figure: toFigureView(figures[0] ?? null),
    steps: stepsOf(body.dressing, hookOnly).map((step) => toBenchStep(step, fly)),
    stepKey: stepNow(mine, row.batch.way),
    paused: lastPause?.kind === 'pause',
    cutList: (figures[0]?.bill ?? []).map(({ materialId, perFly }) => ({
      materialId: materialId,
      name: drawers.get(materialId)?.name ?? '',
      stockUnit: materials.get(materialId)?.family.stockUnit ?? 'count',
      perFly,
      forBatch: perFly * row.batch.plannedCount,
      onHand: drawers.get(materialId)?.onHand ?? null,
    })),
  }
}

/** The batch on the vise with its steps, what waits, and what was tied lately. */
export async function benchView(db: Reader): Promise<BenchView> {
  const open = await loadBatches(db, 'open')
  const ended = await loadBatches(db, 'all')
  const events = await eventsOf(db, [...open, ...ended])
  const vise = open.find((row) => row.batch.onVise)
  return {
    onVise: vise ? await viseOf(db, vise, events) : null,
    eveningCutList: await eveningCutList(db, open),
    queue: open.filter((row) => !row.batch.onVise).map((row) => mention(row, events)),
    done: ended.map((row) => ({ ...mention(row, events), endedAtMs: row.batch.endedAtMs ?? 0 })),
  }
}
