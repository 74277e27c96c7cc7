import { and, asc, eq, gt, isNull } from 'drizzle-orm'
import type { BoxesView, BoxLine, CompartmentLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { box, compartment, flyBalance, variantRevision } from '../db/schema.ts'
import { nextOuting, parOf } from './moment.ts'
import { loadReaches } from './reaches.ts'
import { restockLines } from './restock.ts'
import { behaviourOfRow, fishingDepthMm, loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

type Fly = CompartmentLine['flies'][number]

/** Flies by compartment and variant, where there are any. */
async function loadPlaces(db: Reader) {
  const rows = await db
    .select({
      compartmentId: flyBalance.compartmentId,
      variantId: variantRevision.variantId,
      count: flyBalance.count,
    })
    .from(flyBalance)
    .innerJoin(variantRevision, eq(variantRevision.id, flyBalance.variantRevisionId))
    .where(gt(flyBalance.count, 0))
  const places = new Map<string, Map<string, number>>()
  for (const { compartmentId, variantId, count } of rows) {
    const there = places.get(compartmentId) ?? new Map<string, number>()
    there.set(variantId, (there.get(variantId) ?? 0) + count)
    places.set(compartmentId, there)
  }
  return places
}

/** Where boxes are looked at: the reach of the next outing, else the first. */
async function placeToFish(db: Reader, today: string) {
  const reaches = await loadReaches(db)
  const planned = await nextOuting(db, today)
  const chosen = reaches.find(({ reach }) => reach.id === planned?.reachId) ?? reaches[0]
  return { bedMm: chosen?.reach.typicalDepthMm ?? 1000, speedMmPerS: chosen?.reach.surfaceSpeedMmPerS ?? 0 }
}

/** Boxes drawn as they are, and what is below par. */
export async function boxesView(db: Reader, usualPar: number, today: string): Promise<BoxesView> {
  const boxes = await db
    .select()
    .from(box)
    .where(isNull(box.archivedAtMs))
    .orderBy(asc(box.position), asc(box.nameKey))
  const compartments = await db
    .select()
    .from(compartment)
    .where(and(isNull(compartment.archivedAtMs)))
    .orderBy(asc(compartment.row), asc(compartment.column))
  const variants = await loadVariants(db)
  const places = await loadPlaces(db)
  const where = await placeToFish(db, today)
  const restock = await restockLines(db, usualPar)
  const toFly = (row: VariantRow, compartmentId: string): Fly => ({
    variantId: row.variant.id as Fly['variantId'],
    patternId: row.variant.patternId as Fly['patternId'],
    patternName: row.patternName,
    label: row.variant.label,
    count: places.get(compartmentId)?.get(row.variant.id) ?? 0,
    isHome: row.variant.homeCompartmentId === compartmentId,
    par: row.variant.homeCompartmentId === compartmentId ? parOf(row, usualPar) : null,
    variantVersion: row.variant.version,
    parCount: row.variant.parCount,
    depthMm: fishingDepthMm(behaviourOfRow(row.figure), where.bedMm, where.speedMmPerS),
    drawing: (row.figure?.drawing ?? null) as Fly['drawing'],
  })
  return {
    boxes: boxes.map((row) => ({
      id: row.id as BoxLine['id'],
      name: row.name,
      kind: row.kind,
      note: row.note,
      compartments: compartments
        .filter(({ boxId }) => boxId === row.id)
        .map((place) => ({
          id: place.id as CompartmentLine['id'],
          row: place.row,
          column: place.column,
          label: place.label,
          capacity: place.capacity,
          flies: variants
            .filter(({ variant: v }) => v.homeCompartmentId === place.id || places.get(place.id)?.has(v.id))
            .map((variantRow) => toFly(variantRow, place.id)),
        })),
    })),
    restock,
  }
}
