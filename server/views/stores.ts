import { and, asc, countDistinct, eq, isNull } from 'drizzle-orm'
import type { MaterialId, PurchaseView, StoresView, UsesView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import {
  family,
  material,
  materialBalance,
  pattern,
  purchase,
  purchaseLine,
  revisionMaterial,
  variant,
} from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { loadDrawers } from '../read/drawers.ts'
import { loadFamilies } from '../read/families.ts'
import { localTime } from '../clock/localTime.ts'

/** Of what a current recipe is, and whether its fly is still there. */
const inUse = and(isNull(variant.archivedAtMs), isNull(pattern.archivedAtMs))

/** How many variants use each drawer. */
const loadUses = keptUntilWrite(readUses, [revisionMaterial, variant, pattern])

async function readUses(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ id: revisionMaterial.materialId, uses: countDistinct(variant.id) })
    .from(revisionMaterial)
    .innerJoin(variant, eq(variant.currentRevisionId, revisionMaterial.variantRevisionId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(inUse)
    .groupBy(revisionMaterial.materialId)
  return new Map(rows.map(({ id, uses }) => [id, uses]))
}

/** Variants whose current recipe takes a material, by name. */
export async function usesView(db: Reader, materialId: MaterialId): Promise<UsesView> {
  const rows = await db
    .selectDistinct({
      variantId: variant.id,
      patternId: pattern.id,
      patternName: pattern.name,
      label: variant.label,
    })
    .from(revisionMaterial)
    .innerJoin(variant, eq(variant.currentRevisionId, revisionMaterial.variantRevisionId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(and(eq(revisionMaterial.materialId, materialId), inUse))
    .orderBy(asc(pattern.nameKey), asc(variant.position))
  return {
    uses: rows.map(({ variantId, patternId, ...row }) => ({
      ...row,
      variantId: variantId,
      patternId: patternId,
    })),
  }
}

/** What was ordered and has not all come, the oldest first. */
async function openPurchases(db: Reader, timeZone: string): Promise<readonly PurchaseView[]> {
  const rows = await db
    .select({ purchase, line: purchaseLine })
    .from(purchase)
    .innerJoin(purchaseLine, eq(purchaseLine.purchaseId, purchase.id))
    .where(eq(purchase.status, 'ordered'))
    .orderBy(asc(purchase.orderedAtMs), asc(purchaseLine.id))
  const drawers = await loadDrawers(db)
  return [...grouped(rows, (row) => row.purchase.id).values()].flatMap((lines) => {
    const [first] = lines
    if (!first) return []
    return [
      {
        purchaseId: first.purchase.id,
        version: first.purchase.version,
        supplier: first.purchase.supplier,
        orderedOn: localTime(first.purchase.orderedAtMs, timeZone).on,
        lines: lines.map(({ line }) => ({
          lineId: line.id,
          materialId: line.materialId,
          name: drawers.get(line.materialId)?.name ?? '',
          packAmount: line.packAmount,
          packs: line.packs,
          arrivedPacks: line.arrivedPacks,
        })),
      },
    ]
  })
}

/** Drawers in the order in which the stores show them. */
const loadShelves = keptUntilWrite(
  (db: Reader) =>
    db
      .select({ material })
      .from(material)
      .innerJoin(family, eq(family.id, material.familyId))
      .where(isNull(material.archivedAtMs))
      .orderBy(asc(family.kind), asc(family.name), asc(material.sizeKey), asc(material.colourKey)),
  [material, family],
)

/** What the stores hold, with how many recipes use each drawer. */
export async function storesView(db: Reader, timeZone: string): Promise<StoresView> {
  const uses = await loadUses(db)
  const families = await loadFamilies(db)
  const rows = await loadShelves(db)
  const balances = await db.select().from(materialBalance)
  const amounts = new Map(balances.map(({ materialId, amount }) => [materialId, amount]))
  return {
    materials: rows.flatMap(({ material: m }) => {
      const f = families.get(m.familyId)
      return f
        ? [
            {
              id: m.id,
              familyId: m.familyId,
              kind: f.kind,
              name: f.name,
              sizeKey: m.sizeKey,
              colourName: m.colourName,
              colourHex: m.colourHex,
              colourWetHex: m.colourWetHex,
              stockUnit: f.stockUnit,
              onHand: amounts.get(m.id) ?? null,
              barb: m.barb,
              minimumAmount: m.minimumAmount,
              packAmount: m.packAmount,
              priceMinor: m.priceMinor,
              leadTimeDays: m.leadTimeDays,
              supplier: m.supplier,
              overrides: Object.fromEntries(
                Object.entries(m.overrides).flatMap(([key, value]) => (value ? [[key, value]] : [])),
              ),
              usedBy: uses.get(m.id) ?? 0,
              cautions: [...f.body.cautions],
              note: m.note,
              photoId: m.photoId,
              version: m.version,
            },
          ]
        : []
    }),
    purchases: [...(await openPurchases(db, timeZone))],
  }
}
