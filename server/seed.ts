import { eq } from 'drizzle-orm'
import { shippedFamilies } from '../core/material/shipped/catalogue.ts'
import { shippedFoods } from '../core/season/shipped/larder.ts'
import type { ShippedStage } from '../core/season/shipped/larder.ts'
import { defaultSettings, foldedKey } from '../contract/index.ts'
import type { Database, Tx } from './db/database.ts'
import { box, compartment, family, food, foodStage, setting } from './db/schema.ts'
import { fixedId } from './ids.ts'

/** Raised when what ships changes; rows that the user has not edited then follow. */
const SHIPPED_VERSION = 1

async function seedFamilies(tx: Tx): Promise<void> {
  for (const shipped of shippedFamilies) {
    const {
      key,
      kind,
      name,
      stockUnit,
      massModel,
      physics,
      hook,
      boring,
      wasteShare,
      cutLengthMm,
      cautions,
      sizes,
      colours,
    } = shipped
    await tx.insert(family).values({
      id: fixedId(`family:${key}`),
      kind,
      name,
      stockUnit,
      body: {
        schemaVersion: 1,
        massModel,
        physics,
        hook,
        boring,
        wasteShare,
        cutLengthMm,
        cautions,
        sizes,
        colours,
      },
      shippedKey: key,
      shippedVersion: SHIPPED_VERSION,
    })
  }
}

/** A shipped stage as a row, without what names it. */
export function stageRow({ key: _key, stage, name: stageName, ...body }: ShippedStage) {
  return {
    stage,
    stageName,
    depthBandRiver: body.depthBandRiver,
    depthBandStillwater: body.depthBandStillwater,
    importance: body.importance,
    body: {
      ...body,
      schemaVersion: 1 as const,
      colours: body.colours.map((colour) => ({ hexDry: colour.hexWet, ...colour })),
    },
  }
}

async function seedLarder(tx: Tx): Promise<void> {
  for (const { key, name, groupKey, stages } of shippedFoods) {
    const foodId = fixedId(`food:${key}`)
    await tx
      .insert(food)
      .values({ id: foodId, name, groupKey, shippedKey: key, shippedVersion: SHIPPED_VERSION })
    for (const stage of stages) {
      await tx.insert(foodStage).values({
        ...stageRow(stage),
        id: fixedId(`stage:${stage.key}`),
        foodId,
        shippedKey: stage.key,
        shippedVersion: SHIPPED_VERSION,
      })
    }
  }
}

/** The bench tray that always exists: where flies lie that have no box yet. */
async function seedTray(tx: Tx): Promise<void> {
  const boxId = fixedId('box:bench-tray')
  await tx.insert(box).values({
    id: boxId,
    name: 'Bench tray',
    nameKey: foldedKey('Bench tray'),
    kind: 'benchTray',
    position: 99,
  })
  await tx.insert(compartment).values({
    id: fixedId('compartment:bench-tray'),
    boxId,
    row: 1,
    column: 1,
    label: 'Bench tray',
    holds: 'cup',
  })
}

/** Fills a new data directory with what ships: families, foods, settings, the bench tray. Does nothing on an old one. */
export async function seedShipped(database: Database, timeZone: string): Promise<void> {
  const there = await database.db.select({ id: setting.id }).from(setting).where(eq(setting.id, 'settings'))
  if (there.length > 0) return
  await database.write(async (tx) => {
    await seedFamilies(tx)
    await seedLarder(tx)
    await seedTray(tx)
    await tx.insert(setting).values({ id: 'settings', body: { ...defaultSettings, timeZone } })
  })
}
