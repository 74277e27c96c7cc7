import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import type { PatternLine, PatternsView, PatternView, VariantFull, VariantLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { dressing, food, foodStage, pattern, patternServes } from '../db/schema.ts'
import { grouped } from '../grouped.ts'
import { loadToldApart } from './toldApart.ts'
import { loadVariants, toFigureView } from './variants.ts'
import type { VariantRow } from './variants.ts'

/** What each pattern is meant for, by its name. */
const loadServed = keptUntilWrite(readServed, ['patterns', 'foods'])

async function readServed(db: Reader) {
  const rows = await db
    .select({ served: patternServes, stageName: foodStage.stageName, foodName: food.name })
    .from(patternServes)
    .innerJoin(foodStage, eq(foodStage.id, patternServes.foodStageId))
    .innerJoin(food, eq(food.id, foodStage.foodId))
  return grouped(
    rows.map(({ served, stageName, foodName }) => ({
      patternId: served.patternId,
      foodStageId: served.foodStageId as PatternLine['serves'][number]['foodStageId'],
      weight: served.weight,
      name: `${foodName}, ${stageName}`,
    })),
    ({ patternId }) => patternId,
  )
}

const servesOf = (served: Awaited<ReturnType<typeof readServed>>, patternId: string) =>
  (served.get(patternId) ?? []).map(({ patternId: _owner, ...line }) => line)

const loadNames = keptUntilWrite(readNames, ['patterns'])

/** Patterns that are not put away, by name. */
async function readNames(db: Reader) {
  return db
    .select({ id: pattern.id, name: pattern.name, purpose: pattern.purpose })
    .from(pattern)
    .where(isNull(pattern.archivedAtMs))
    .orderBy(asc(pattern.nameKey))
}

const toVariantLine = ({ variant: v, figure, onHand, olderOnHand }: VariantRow): VariantLine => ({
  id: v.id as VariantLine['id'],
  version: v.version,
  label: v.label,
  parCount: v.parCount,
  homeCompartmentId: v.homeCompartmentId as VariantLine['homeCompartmentId'],
  onHand,
  olderOnHand,
  figure: toFigureView(figure),
})

/** Patterns with their variants and figures, by name. */
export async function patternsView(db: Reader): Promise<PatternsView> {
  const served = await loadServed(db)
  const variants = grouped(await loadVariants(db), ({ variant }) => variant.patternId)
  return {
    toldApart: await loadToldApart(db),
    patterns: (await loadNames(db)).map((row) => ({
      id: row.id as PatternLine['id'],
      name: row.name,
      purpose: row.purpose,
      serves: servesOf(served, row.id),
      variants: (variants.get(row.id) ?? []).map(toVariantLine),
    })),
  }
}

/** One pattern with its current dressing; null where it is gone, as after an undo. */
export async function patternView(db: Reader, id: string): Promise<PatternView | null> {
  const [row] = await db
    .select()
    .from(pattern)
    .where(and(eq(pattern.id, id), isNull(pattern.archivedAtMs)))
  if (!row) return null
  const [current] = await db
    .select()
    .from(dressing)
    .where(eq(dressing.patternId, id))
    .orderBy(desc(dressing.revision))
    .limit(1)
  const variants = (await loadVariants(db)).filter(({ variant }) => variant.patternId === id)
  return {
    id: row.id as PatternView['id'],
    version: row.version,
    name: row.name,
    purpose: row.purpose,
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
      hookMaterialId: variantRow.variant.hookMaterialId as VariantFull['hookMaterialId'],
      swaps: variantRow.variant.swaps,
    })),
  }
}
