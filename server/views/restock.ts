import { eq, isNull } from 'drizzle-orm'
import { fliesAllowed, holesOf, wording } from '../../core/index.ts'
import type { RestockLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { compartment, family, material, materialBalance } from '../db/schema.ts'
import { loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

const loadDrawerNames = keptUntilWrite(readDrawerNames, ['rest'])

async function readDrawerNames(db: Reader) {
  const rows = await db
    .select({
      id: material.id,
      kind: family.kind,
      familyName: family.name,
      sizeKey: material.sizeKey,
      colourName: material.colourName,
      minimumAmount: material.minimumAmount,
    })
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(isNull(material.archivedAtMs))
  return rows.map(({ id, kind, familyName, sizeKey, colourName, minimumAmount }) => ({
    id,
    name: wording.drawerName({ kind, name: familyName }, sizeKey, colourName),
    minimumAmount,
  }))
}

/** Names and balances of all drawers, as restocking needs them. */
export const loadDrawers = keptUntilWrite(readDrawers, ['materials', 'rest'])

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

type Drawers = Awaited<ReturnType<typeof loadDrawers>>

/** How many of a variant the stores allow, and what they lack for a number of them. */
export function storesFor(row: VariantRow, count: number, drawers: Drawers) {
  const needs = (row.figure?.bill ?? []).map(({ materialId, perFly }) => ({
    materialId,
    perFly,
    onHand: drawers.get(materialId)?.onHand ?? null,
  }))
  const allowed = fliesAllowed(needs)
  return {
    allowed: allowed?.count ?? null,
    limitedBy: allowed ? (drawers.get(allowed.limitedBy)?.name ?? null) : null,
    shortOf: needs
      .filter(({ perFly, onHand }) => onHand !== null && onHand < perFly * count)
      .map(({ materialId, perFly, onHand }) => ({
        materialId: materialId as RestockLine['shortOf'][number]['materialId'],
        name: drawers.get(materialId)?.name ?? '',
        need: perFly * count,
        onHand,
      })),
  }
}

const loadPlaceLabels = keptUntilWrite(readPlaceLabels, ['rest'])

async function readPlaceLabels(db: Reader): Promise<ReadonlyMap<string, string>> {
  const places = await db.select({ id: compartment.id, label: compartment.label }).from(compartment)
  return new Map(places.map(({ id, label }) => [id, label]))
}

/** Variants with a home that are below par, the emptiest first, with what the stores allow. */
export async function restockLines(db: Reader, usualPar: number): Promise<RestockLine[]> {
  const variants = await loadVariants(db)
  const drawers = await loadDrawers(db)
  const byId = new Map(variants.map((row) => [row.variant.id, row]))
  const labels = await loadPlaceLabels(db)
  const housed = variants.filter(({ variant }) => variant.homeCompartmentId !== null)
  const holes = holesOf(
    housed.map((row) => ({ variantId: row.variant.id, onHand: row.onHand, parCount: row.variant.parCount })),
    usualPar,
  )
  return holes.flatMap((hole): RestockLine[] => {
    const row = byId.get(hole.variantId)
    const home = row?.variant.homeCompartmentId
    if (!row || !home) return []
    return [
      {
        variantId: row.variant.id as RestockLine['variantId'],
        patternId: row.variant.patternId as RestockLine['patternId'],
        patternName: row.patternName,
        label: row.variant.label,
        onHand: hole.onHand,
        par: hole.par,
        missing: hole.missing,
        compartmentId: home as RestockLine['compartmentId'],
        compartmentLabel: labels.get(home) ?? '',
        drawingKey: row.figure?.drawingKey ?? null,
        ...storesFor(row, hole.missing, drawers),
      },
    ]
  })
}
