import { fliesAllowed, belowPar } from '../../core/index.ts'
import type { RestockLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
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

/** Drawers once so many flies of some variants are tied from them, and which those take from. */
function drawersAfter(
  drawers: Drawers,
  tied: ReadonlyMap<string, number>,
  rowOf: (variantId: string) => VariantRow | undefined,
) {
  const left = new Map(drawers)
  const taken = new Set<string>()
  for (const [variantId, count] of tied) {
    for (const { materialId, perFly } of rowOf(variantId)?.figure?.bill ?? []) {
      const drawer = left.get(materialId)
      if (!drawer || drawer.onHand === null) continue
      left.set(materialId, { ...drawer, onHand: Math.max(drawer.onHand - perFly * count, 0) })
      taken.add(materialId)
    }
  }
  return { left, taken }
}

const NONE: ReadonlyMap<string, number> = new Map()

/**
 * Asks for variants with a home that are below par, the emptiest first, with what the stores allow: now, or once so many
 * flies of some are tied, when those are missing no more and their goods are gone.
 */
export const loadRestock = keptUntilWrite(readRestock, [loadVariants, loadDrawers, loadPlaceLabels])

async function readRestock(
  db: Reader,
  usualPar: number,
): Promise<(tied?: ReadonlyMap<string, number>) => readonly RestockLine[]> {
  const variants = await loadVariants(db)
  const drawers = await loadDrawers(db)
  const byId = new Map<string, VariantRow>(variants.map((row) => [row.variant.id, row]))
  const labels = await loadPlaceLabels(db)
  const housed = variants.filter(({ variant }) => variant.homeCompartmentId !== null)
  const short = belowPar(
    housed.map((row) => ({ variantId: row.variant.id, onHand: row.onHand, parCount: row.variant.parCount })),
    usualPar,
  )
  const lineOf = (line: (typeof short)[number], tied: number, left: Drawers): RestockLine | null => {
    const row = byId.get(line.variantId)
    const home = row?.variant.homeCompartmentId
    const missing = line.missing - tied
    if (!row || !home || missing <= 0) return null
    return {
      variantId: row.variant.id,
      patternId: row.variant.patternId,
      patternName: row.patternName,
      label: row.variant.label,
      onHand: line.onHand,
      par: line.par,
      missing,
      compartmentId: home,
      compartmentLabel: labels.get(home) ?? '',
      drawingKey: row.figure?.drawingKey ?? null,
      ...storesFor(row, missing, left),
    }
  }
  const now = short.map((line) => ({
    line,
    asItIs: lineOf(line, 0, drawers),
    bill: byId.get(line.variantId)?.figure?.bill ?? [],
  }))
  return (tied = NONE) => {
    const { left, taken } = drawersAfter(drawers, tied, (id) => byId.get(id))
    return now.flatMap(({ line, asItIs, bill }) => {
      const own = tied.get(line.variantId) ?? 0
      const touched = own !== 0 || bill.some(({ materialId }) => taken.has(materialId))
      return (touched ? lineOf(line, own, left) : asItIs) ?? []
    })
  }
}
