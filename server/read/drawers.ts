import { eq, isNull, sql } from 'drizzle-orm'
import { wording } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { family, material, materialBalance } from '../db/schema.ts'

/** Names and least amounts of drawers that are not put away. */
export const loadDrawerNames = keptUntilWrite(readDrawerNames, [material, family])

async function readDrawerNames(db: Reader) {
  const rows = await db
    .select({
      id: material.id,
      kind: family.kind,
      familyName: family.name,
      sizeKey: material.sizeKey,
      colourName: material.colourName,
      stockUnit: family.stockUnit,
      minimumAmount: material.minimumAmount,
    })
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(isNull(material.archivedAtMs))
  return rows.map(({ id, kind, familyName, sizeKey, colourName, stockUnit, minimumAmount }) => ({
    id,
    name: wording.drawerName({ kind, name: familyName }, sizeKey, colourName),
    stockUnit,
    minimumAmount,
  }))
}

/** Names and balances of all drawers, as restocking needs them. */
export const loadDrawers = keptUntilWrite(readDrawers, [loadDrawerNames, materialBalance])

async function readDrawers(db: Reader) {
  const names = await loadDrawerNames(db)
  const balances = await db.select().from(materialBalance)
  const amounts = new Map(balances.map(({ materialId, amount }) => [materialId, amount]))
  return new Map(
    names.map(({ id, ...drawer }) => {
      const amount = amounts.get(id) ?? -1
      // below nought means that flies were tied from a drawer that nobody counted
      return [id, { ...drawer, onHand: amount >= 0 ? amount : null }]
    }),
  )
}

/** Of the family's physics. */
const DENSITY = sql<number | null>`json_extract(${family.body}, '$.physics.densityMgPerMm3.value')`

/** Drawers that are not put away, with what they are of. */
export const loadGoods = keptUntilWrite(
  (db: Reader) =>
    db
      .select({
        material,
        family: { kind: family.kind, name: family.name },
        densityMgPerMm3: DENSITY,
        stockUnit: family.stockUnit,
      })
      .from(material)
      .innerJoin(family, eq(family.id, material.familyId))
      .where(isNull(material.archivedAtMs)),
  [material, family],
)
