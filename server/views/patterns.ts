import { and, asc, eq, isNull } from 'drizzle-orm'
import type { PatternId, PatternView, PatternsView, VariantLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { box, compartment, pattern } from '../db/schema.ts'
import { currentDressing } from '../read/currentDressing.ts'
import { grouped } from '../read/grouped.ts'
import { loadToldApart } from '../read/toldApart.ts'
import { loadVariants, toFigureView } from '../read/variants.ts'
import type { VariantRow } from '../read/variants.ts'
import { loadPatterns, loadServed } from '../read/patterns.ts'
import type { Served } from '../read/patterns.ts'

const servesOf = (served: Served, patternId: PatternId) =>
  (served.get(patternId) ?? []).map(({ patternId: _owner, ...line }) => line)

const toVariantLine = ({ variant: v, figure, onHand, olderOnHand }: VariantRow): VariantLine => ({
  id: v.id,
  version: v.version,
  label: v.label,
  parCount: v.parCount,
  homeCompartmentId: v.homeCompartmentId,
  onHand,
  olderOnHand,
  figure: toFigureView(figure),
})

/** Patterns with their variants and figures, by name. */
export async function patternsView(db: Reader): Promise<PatternsView> {
  const served = await loadServed(db)
  const variants = grouped(await loadVariants(db), ({ variant }) => variant.patternId)
  const places = await db
    .select({ boxId: box.id, name: box.name, id: compartment.id })
    .from(box)
    .innerJoin(compartment, and(eq(compartment.boxId, box.id), isNull(compartment.archivedAtMs)))
    .where(isNull(box.archivedAtMs))
    .orderBy(asc(box.position), asc(box.nameKey))
  return {
    boxes: [...grouped(places, ({ boxId }) => boxId)].map(([id, held]) => ({
      id,
      name: held[0]?.name ?? '',
      compartmentIds: held.map((place) => place.id),
    })),
    toldApart: await loadToldApart(db),
    patterns: (await loadPatterns(db)).map((row) => ({
      id: row.id,
      name: row.name,
      purpose: row.purpose,
      roles: [...row.roles],
      serves: servesOf(served, row.id),
      variants: (variants.get(row.id) ?? []).map(toVariantLine),
    })),
  }
}

/** One pattern with its current dressing; null where it is gone, as after an undo. */
export async function patternView(db: Reader, id: PatternId): Promise<PatternView | null> {
  const [row] = await db
    .select()
    .from(pattern)
    .where(and(eq(pattern.id, id), isNull(pattern.archivedAtMs)))
  if (!row) return null
  const current = await currentDressing(db, id)
  const variants = (await loadVariants(db)).filter(({ variant }) => variant.patternId === id)
  return {
    id: row.id,
    version: row.version,
    name: row.name,
    purpose: row.purpose,
    roles: [...row.roles],
    ownMonths: [...row.ownMonths],
    fishedHow: [...row.fishedHow],
    waterKinds: [...row.waterKinds],
    dislike: row.dislike,
    note: row.note,
    serves: servesOf(await loadServed(db), id),
    dressing: { components: current?.body.components ?? [], steps: current?.body.steps ?? null },
    revision: current?.revision ?? 0,
    variants: variants.map((variantRow) => ({
      ...toVariantLine(variantRow),
      hookMaterialId: variantRow.variant.hookMaterialId,
      swaps: variantRow.variant.swaps,
    })),
  }
}
