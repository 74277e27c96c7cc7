import { eq, min } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { shippedFamilies } from '../../core/material/shipped/catalogue.ts'
import { shippedFoods } from '../../core/season/shipped/larder.ts'
import type { ShippedStage } from '../../core/season/shipped/larder.ts'
import { defaultSettings, foldedKey } from '../../contract/index.ts'
import type { Database, Tx } from '../db/database.ts'
import { box, compartment, family, food, foodStage, setting } from '../db/schema.ts'
import { remeasureFigures } from './figures.ts'
import { fixedId } from '../db/ids.ts'
import type { BoxId, CompartmentId, FamilyId, FoodId, FoodStageId } from '../../contract/index.ts'

/** Raised when what ships changes; rows that the user has not edited then follow. */
const SHIPPED_VERSION = 6

/** Writes what ships anew, but for what the user has edited. */
async function seedFamilies(tx: Tx): Promise<void> {
  for (const { key, kind, name, stockUnit, ...shipped } of shippedFamilies) {
    const { massModel, physics, hook, boring, line, wasteShare, cutLengthMm, cautions, sizes, colours } =
      shipped
    const row = {
      kind,
      name,
      stockUnit,
      body: {
        schemaVersion: 1 as const,
        massModel,
        physics,
        hook,
        boring,
        line: line ?? null,
        wasteShare,
        cutLengthMm,
        cautions,
        sizes,
        colours,
      },
      shippedVersion: SHIPPED_VERSION,
    }
    await tx
      .insert(family)
      .values({ ...row, id: fixedId<FamilyId>(`family:${key}`), shippedKey: key })
      .onConflictDoUpdate({ target: family.id, set: row, setWhere: eq(family.edited, false) })
  }
}

/** A shipped stage as a row, without what names it. */
export function stageRow({ key: _key, foodId: _foodId, stage, name: stageName, ...body }: ShippedStage) {
  return {
    stage,
    stageName,
    depthBandRiver: body.depthBandRiver,
    depthBandStillwater: body.depthBandStillwater,
    importance: body.importance,
    body: {
      ...body,
      schemaVersion: 1 as const,
      shiftsWith: body.shiftsWith && fixedId<FoodStageId>(`stage:${body.shiftsWith}`),
      colours: body.colours.map((colour) => ({ hexDry: colour.hexWet, ...colour })),
    },
  }
}

/** Writes foods and stages anew, but for those that the user has edited or put away. */
async function seedLarder(tx: Tx): Promise<void> {
  for (const { key, name, groupKey, stages } of shippedFoods) {
    const foodId = fixedId<FoodId>(`food:${key}`)
    const own = { name, groupKey, shippedVersion: SHIPPED_VERSION }
    await tx
      .insert(food)
      .values({ ...own, id: foodId, shippedKey: key })
      .onConflictDoUpdate({ target: food.id, set: own, setWhere: eq(food.edited, false) })
    for (const stage of stages) {
      const row = { ...stageRow(stage), shippedVersion: SHIPPED_VERSION }
      await tx
        .insert(foodStage)
        .values({ ...row, id: fixedId<FoodStageId>(`stage:${stage.key}`), foodId, shippedKey: stage.key })
        .onConflictDoUpdate({ target: foodStage.id, set: row, setWhere: eq(foodStage.edited, false) })
    }
  }
}

/** The bench tray that always exists: where flies lie that have no box yet. */
async function seedTray(tx: Tx): Promise<void> {
  const boxId = fixedId<BoxId>('box:bench-tray')
  await tx.insert(box).values({
    id: boxId,
    name: 'Bench tray',
    nameKey: foldedKey('Bench tray'),
    kind: 'benchTray',
    position: 99,
  })
  await tx.insert(compartment).values({
    id: fixedId<CompartmentId>('compartment:bench-tray'),
    boxId,
    row: 1,
    column: 1,
    label: 'Bench tray',
    holds: 'cup',
  })
}

/**
 * Fills a new data directory with what ships: families, foods, settings, the bench tray. An older one gets the families
 * and foods of today where nobody has edited them.
 */
export async function seedShipped(database: Database, timeZone: string): Promise<void> {
  const { db } = database
  const [there] = await db.select({ id: setting.id }).from(setting).where(eq(setting.id, 'settings'))
  const [shipped] = await db
    .select({ version: min(family.shippedVersion) })
    .from(family)
    .where(eq(family.edited, false))
  if (there && (shipped?.version ?? SHIPPED_VERSION) >= SHIPPED_VERSION) return
  await database.write(async (tx) => {
    await seedFamilies(tx)
    await seedLarder(tx)
    if (there) return remeasureFigures(tx)
    await seedTray(tx)
    await tx
      .insert(setting)
      .values({ id: 'settings', dataId: randomUUID(), body: { ...defaultSettings, timeZone } })
  })
}
