import { fliesAllowed, belowPar } from '../../core/index.ts'
import type { RestockLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { loadVariants } from '../read/variants.ts'
import type { VariantRow } from '../read/variants.ts'
import { loadDrawers } from '../read/drawers.ts'
import { loadPlaceLabels } from '../read/places.ts'

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
        materialId: materialId,
        name: drawers.get(materialId)?.name ?? '',
        stockUnit: drawers.get(materialId)?.stockUnit ?? 'count',
        need: perFly * count,
        onHand,
      })),
  }
}

/** Variants with a home that are below par, the emptiest first, with what the stores allow. */
export async function restockLines(db: Reader, usualPar: number): Promise<RestockLine[]> {
  const variants = await loadVariants(db)
  const drawers = await loadDrawers(db)
  const byId = new Map(variants.map((row) => [row.variant.id, row]))
  const labels = await loadPlaceLabels(db)
  const housed = variants.filter(({ variant }) => variant.homeCompartmentId !== null)
  const short = belowPar(
    housed.map((row) => ({ variantId: row.variant.id, onHand: row.onHand, parCount: row.variant.parCount })),
    usualPar,
  )
  return short.flatMap((line): RestockLine[] => {
    const row = byId.get(line.variantId)
    const home = row?.variant.homeCompartmentId
    if (!row || !home) return []
    return [
      {
        variantId: row.variant.id,
        patternId: row.variant.patternId,
        patternName: row.patternName,
        label: row.variant.label,
        onHand: line.onHand,
        par: line.par,
        missing: line.missing,
        compartmentId: home,
        compartmentLabel: labels.get(home) ?? '',
        drawingKey: row.figure?.drawingKey ?? null,
        ...storesFor(row, line.missing, drawers),
      },
    ]
  })
}
