import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import type { PatternLine, PatternsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { dressing, food, foodStage, pattern, patternServes } from '../db/schema.ts'
import { loadToldApart } from './toldApart.ts'
import { loadVariants, toFigureView } from './variants.ts'

/** Patterns with their current dressing, variants and figures, by name. */
export async function patternsView(db: Reader): Promise<PatternsView> {
  const patterns = await db
    .select()
    .from(pattern)
    .where(isNull(pattern.archivedAtMs))
    .orderBy(asc(pattern.nameKey))
  const dressings = await db.select().from(dressing).orderBy(desc(dressing.revision))
  const served = await db
    .select({ served: patternServes, stageName: foodStage.stageName, foodName: food.name })
    .from(patternServes)
    .innerJoin(foodStage, and(eq(foodStage.id, patternServes.foodStageId)))
    .innerJoin(food, eq(food.id, foodStage.foodId))
  const variants = await loadVariants(db)
  return {
    toldApart: await loadToldApart(db),
    patterns: patterns.map((row) => {
      const current = dressings.find(({ patternId }) => patternId === row.id)
      return {
        id: row.id as PatternLine['id'],
        version: row.version,
        name: row.name,
        purpose: row.purpose,
        ownMonths: [...row.ownMonths],
        fishedHow: [...row.fishedHow],
        waterKinds: [...row.waterKinds],
        dislike: row.dislike,
        note: row.note,
        serves: served
          .filter(({ served: s }) => s.patternId === row.id)
          .map(({ served: s, stageName, foodName }) => ({
            foodStageId: s.foodStageId as PatternLine['serves'][number]['foodStageId'],
            weight: s.weight,
            name: `${foodName}, ${stageName}`,
          })),
        dressing: current
          ? { components: current.body.components, steps: current.body.steps }
          : { components: [], steps: null },
        revision: current?.revision ?? 0,
        variants: variants
          .filter(({ variant: v }) => v.patternId === row.id)
          .map(({ variant: v, figure, onHand, olderOnHand }) => ({
            id: v.id as PatternLine['variants'][number]['id'],
            version: v.version,
            label: v.label,
            hookMaterialId: v.hookMaterialId as PatternLine['variants'][number]['hookMaterialId'],
            swaps: v.swaps,
            parCount: v.parCount,
            homeCompartmentId: v.homeCompartmentId as PatternLine['variants'][number]['homeCompartmentId'],
            onHand,
            olderOnHand,
            figure: toFigureView(figure),
          })),
      }
    }),
  }
}
