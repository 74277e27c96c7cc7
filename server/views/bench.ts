import {
  componentsByKey,
  nightsToDry,
  resolveDressing,
  stepFigures,
  stepsOf,
  wording,
} from '../../core/index.ts'
import type { Fly, Step } from '../../core/index.ts'
import type { BatchMention, BenchStep, BenchView, MaterialId, ViseMention } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import type { RevisionBody } from '../db/schema.ts'
import {
  loadBatchCounts,
  loadCounted,
  loadEarlier,
  loadEndedBatches,
  loadOpenBatches,
} from '../read/batches.ts'
import type { BatchCounts, LoadedBatch } from '../read/batches.ts'
import { loadMaterials, materialIdsOf } from '../read/materials.ts'
import { loadMinutes } from '../read/minutes.ts'
import { loadProgress } from '../read/standingEvents.ts'
import type { Progress } from '../read/standingEvents.ts'
import { loadBills, loadFigure, toFigureView } from '../read/variants.ts'
import { loadDrawers } from '../read/drawers.ts'

function mention(row: LoadedBatch, { done, spoiled }: BatchCounts): BatchMention {
  return {
    batchId: row.batch.id,
    variantId: row.variantId,
    patternName: row.patternName,
    label: row.label,
    planned: row.batch.plannedCount,
    done,
    spoiled,
    status: row.batch.status,
    onVise: row.batch.onVise,
    compartmentId: row.batch.compartmentId,
    compartmentLabel: row.compartmentLabel,
  }
}

const viseMention = async (db: Reader, row: LoadedBatch): Promise<ViseMention> => ({
  ...mention(row, (await loadBatchCounts(db))(row.batch.id)),
  counted: [...(await loadCounted(db, row.batch.id))],
})

/** What lies on the vise, in few words; null where nothing does. */
export async function onViseMention(db: Reader): Promise<ViseMention | null> {
  const row = (await loadOpenBatches(db)).find(({ batch: { onVise } }) => onVise)
  return row ? viseMention(db, row) : null
}

/** How many batches wait. */
export const queuedCount = async (db: Reader): Promise<number> =>
  (await loadOpenBatches(db)).filter((row) => !row.batch.onVise).length

function toBenchStep(step: Step, fly: Fly): BenchStep {
  const component = step.componentKey ? componentsByKey(fly).get(step.componentKey) : undefined
  const figures = component ? stepFigures(component) : null
  const { material } = component ?? {}
  return {
    ...step,
    note: step.verb === 'own' ? '' : step.note,
    title: wording.stepTitle(step, component?.kind ?? null),
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

/** What several batches take together, by drawer. */
async function eveningCutList(
  db: Reader,
  batches: readonly LoadedBatch[],
): Promise<BenchView['eveningCutList']> {
  if (batches.length === 0) return []
  const bills = await loadBills(
    db,
    batches.map(({ revision }) => revision.id),
  )
  const amounts = new Map<MaterialId, number>()
  for (const { revision, batch: own } of batches) {
    for (const { materialId, perFly } of bills.get(revision.id) ?? [])
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
const stepNow = ({ stepKey, doneSinceStep }: Progress, way: Vise['way']): string | null =>
  way === 'flyByFly' && doneSinceStep ? null : stepKey

async function viseOf(db: Reader, row: LoadedBatch): Promise<BenchView['onVise']> {
  const body: RevisionBody = row.revision.body
  const materials = await loadMaterials(db, materialIdsOf(body))
  const drawers = await loadDrawers(db)
  const figure = await loadFigure(db, row.revision.id)
  const hookOnly = { hookMaterialId: body.hookMaterialId, swaps: [] }
  const fly = resolveDressing(body.dressing, hookOnly, materials)
  if (fly.kind !== 'fly') return null
  const progress = await loadProgress(db, row.batch.id)
  const { hookMaterial } = fly
  const minutes = (await loadMinutes(db))(row.patternId)
  const earlier = await loadEarlier(db, row.patternId, row.batch.id)
  return {
    batch: await viseMention(db, row),
    variantRevisionId: row.revision.id,
    patternId: row.patternId,
    note: row.note,
    batchNote: row.batch.note,
    photoId: row.batch.photoId,
    earlierPhotoId: earlier.photoId,
    way: row.batch.way,
    throughStep: progress.throughStep,
    spoiledUnsaid: [...progress.spoiledUnsaid],
    minutesSoFar: [...minutes.soFar],
    earlierNotes: earlier.notes,
    minutesEach: minutes.minutesEach,
    timedFlies: minutes.timedFlies,
    shankMm: fly.hook.shankMm,
    hookName: wording.drawerName(hookMaterial.family, hookMaterial.sizeKey, hookMaterial.colourName),
    figure: toFigureView(figure),
    steps: stepsOf(body.dressing, hookOnly).map((step) => toBenchStep(step, fly)),
    stepKey: stepNow(progress, row.batch.way),
    paused: progress.paused,
    cutList: (figure?.bill ?? []).map(({ materialId, perFly }) => ({
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
  const open = await loadOpenBatches(db)
  const countsOf = await loadBatchCounts(db)
  const vise = open.find((row) => row.batch.onVise)
  return {
    onVise: vise ? await viseOf(db, vise) : null,
    eveningCutList: await eveningCutList(db, open),
    queue: open.filter((row) => !row.batch.onVise).map((row) => mention(row, countsOf(row.batch.id))),
    done: (await loadEndedBatches(db)).map((row) => ({
      ...mention(row, countsOf(row.batch.id)),
      endedAtMs: row.batch.endedAtMs ?? 0,
    })),
  }
}
