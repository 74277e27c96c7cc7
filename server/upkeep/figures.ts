import { eq, inArray, isNull } from 'drizzle-orm'
import {
  billOfMaterials,
  calibrationFor,
  appearanceOf,
  CORE_VERSION,
  listed,
  nightsToDry,
  resolveDressing,
  sketchOf,
} from '../../core/index.ts'
import type { Material, Measured } from '../../core/index.ts'
import type { Database, Reader, Tx } from '../db/database.ts'
import { figureBefore, variantFigure, variantRevision } from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { contentHash } from '../db/ids.ts'
import { inserterInto } from '../db/ownWords.ts'
import { loadMaterials, materialIdsOf } from '../read/materials.ts'
import { makeBreath } from '../clock/breath.ts'
import { loadMeasurements } from '../read/measurements.ts'
import { loadFiguresToCome } from '../read/variants.ts'
import { drawingKeyOf } from '../../contract/index.ts'
import type { VariantId } from '../../contract/index.ts'

type Figure = Omit<typeof variantFigure.$inferInsert, 'variantRevisionId'>

const NOTHING = {
  massMg: null, submergedMg: null, sinkSpeedMmPerS: null, low: null, high: null, trailingSpeedMmPerS: null,
  posture: null, look: null, hookSize: null, sketch: null, drawingKey: null,
} // prettier-ignore

/** What names the figures of a recipe, but for what was measured. */
const recipeHash = (body: RevisionBody, materials: ReadonlyMap<string, Material>): string =>
  contentHash([
    CORE_VERSION,
    body,
    materialIdsOf(body).map((id) => {
      const { family, overrides } = materials.get(id) ?? {}
      return [family?.physics ?? null, family?.hook ?? null, overrides ?? null]
    }),
  ])

/** What lists show of a recipe: figures in free fall at 10 °C, its bill of materials and its sketch. */
export function figureOf(
  body: RevisionBody,
  materials: ReadonlyMap<string, Material>,
  variantId: VariantId,
  measured: Measured,
): Figure {
  const inputHash = `${recipeHash(body, materials)}:${contentHash(measured)}`
  const fly = resolveDressing(body.dressing, { hookMaterialId: body.hookMaterialId, swaps: [] }, materials)
  if (fly.kind === 'incomplete') return { ...NOTHING, inputHash, kind: 'incomplete', bill: [] }
  const sketch = sketchOf(fly)
  const drawingKey = drawingKeyOf(contentHash(sketch), sketch.frame)
  const drawn = { sketch, drawingKey, hookSize: fly.hook.size }
  // a fly that was bought or found: nobody knows what it weighs
  if (fly.components.length === 0) return { ...NOTHING, ...drawn, inputHash, kind: 'incomplete', bill: [] }
  return {
    ...NOTHING,
    ...drawn,
    ...listed(fly, calibrationFor(fly, variantId, measured)),
    inputHash,
    look: appearanceOf(fly),
    bill: billOfMaterials(fly) as Figure['bill'],
    nightsToDry: nightsToDry(fly.components),
  }
}

const ALL = Number.MAX_SAFE_INTEGER
/** Figures that are held until they are kept: each has a sketch, and a statement takes only so many ids. */
const IN_HAND = 100

/** A figure with the recipe that it is of. */
export type KeptFigure = typeof variantFigure.$inferInsert

/** Recipes that have no figures yet. */
const lacking = (db: Reader) =>
  db
    .select({ id: variantRevision.id, body: variantRevision.body, variantId: variantRevision.variantId })
    .from(variantRevision)
    .leftJoin(variantFigure, eq(variantFigure.variantRevisionId, variantRevision.id))
    .where(isNull(variantFigure.variantRevisionId))

/** Whatever figures are reckoned from, beside the recipes, which never change. */
export const FIGURES_FROM = new Set([...loadMaterials.reads, ...loadMeasurements.reads])

/**
 * Works out figures that lack, in slices, and keeps none of them.
 *
 * @param most     how many
 * @param isEnough asked before each one
 * @param breathe  asked after each one
 */
export async function workOutFigures(
  db: Reader,
  most: number,
  isEnough: () => boolean,
  breathe: () => Promise<void> | undefined = makeBreath(),
): Promise<readonly KeptFigure[]> {
  const rows = await lacking(db).limit(most)
  const materials = await loadMaterials(
    db,
    rows.flatMap(({ body }) => materialIdsOf(body)),
  )
  const { measured } = await loadMeasurements(db)
  const figures: KeptFigure[] = []
  for (const { id, body, variantId } of rows) {
    if (isEnough()) break
    figures.push({ ...figureOf(body, materials, variantId, measured), variantRevisionId: id })
    await breathe()
  }
  return figures
}

/**
 * Keeps figures of recipes that are there and have none.
 *
 * @param breathe asked after each one
 */
export async function keepFigures(
  tx: Tx,
  figures: readonly KeptFigure[],
  breathe: () => Promise<void> | undefined = makeBreath(),
): Promise<void> {
  const ids = figures.map(({ variantRevisionId }) => variantRevisionId)
  const there = await tx
    .select({ id: variantRevision.id })
    .from(variantRevision)
    .where(inArray(variantRevision.id, ids))
  const wanted = new Set(there.map(({ id }) => id))
  const insert = inserterInto(tx, variantFigure, 'left')
  for (const figure of figures) {
    if (wanted.has(figure.variantRevisionId)) await insert(figure)
    await breathe()
  }
}

/**
 * Works out and keeps the figures of recipes that have none yet, in slices.
 *
 * @param most how many at once
 * @returns how many are left without
 */
export async function refreshFigures(tx: Tx, most = ALL): Promise<number> {
  let left = most
  while (left > 0) {
    const figures = await workOutFigures(tx, Math.min(left, IN_HAND), () => false)
    if (figures.length === 0) break
    await keepFigures(tx, figures)
    left -= figures.length
  }
  return loadFiguresToCome(tx)
}

/**
 * Works out all figures anew, since what is measured of one fly moves its relatives.
 *
 * @param most how many at once
 * @returns how many are left without
 */
export async function remeasureFigures(tx: Tx, most = ALL): Promise<number> {
  await tx.delete(variantFigure)
  return refreshFigures(tx, most)
}

/** Keeps what lists show now, to be held against what they will. */
async function keepBefore(tx: Tx): Promise<void> {
  await tx.delete(figureBefore)
  const { variantRevisionId, kind, sinkSpeedMmPerS, low, high, posture } = variantFigure
  await tx
    .insert(figureBefore)
    .select(tx.select({ variantRevisionId, kind, sinkSpeedMmPerS, low, high, posture }).from(variantFigure))
}

/**
 * Works out all figures anew where an update has changed what they come from. What is measured moves them when it is
 * written, and to read it takes longer than all else of a start.
 */
export async function refreshStaleFigures({ db, write }: Database): Promise<void> {
  const [row] = await db
    .select({ inputHash: variantFigure.inputHash, body: variantRevision.body })
    .from(variantFigure)
    .innerJoin(variantRevision, eq(variantRevision.id, variantFigure.variantRevisionId))
    .limit(1)
  if (!row) return
  const materials = await loadMaterials(db, materialIdsOf(row.body))
  if (!row.inputHash.startsWith(`${recipeHash(row.body, materials)}:`)) {
    await write(async (tx) => {
      await keepBefore(tx)
      await remeasureFigures(tx)
    })
  }
}
