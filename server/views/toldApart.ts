import { bearsMarks, checkMark, lookAlikes, resolveDressing } from '../../core/index.ts'
import type { PatternsView } from '../../contract/index.ts'
import { eq } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { food, foodStage, patternServes, setting, variantRevision } from '../db/schema.ts'
import { loadMaterials, materialIdsOf } from '../materials.ts'
import { loadVariants } from './variants.ts'

type ToldApart = PatternsView['toldApart']

/** Patterns that stand for a midge's pupa. */
async function midgePupaPatterns(db: Reader): Promise<ReadonlySet<string>> {
  const rows = await db
    .select({ patternId: patternServes.patternId, stage: foodStage.stage, group: food.groupKey })
    .from(patternServes)
    .innerJoin(foodStage, eq(foodStage.id, patternServes.foodStageId))
    .innerJoin(food, eq(food.id, foodStage.foodId))
  return new Set(
    rows
      .filter(({ stage, group }) => stage === 'pupa' && group.startsWith('midge'))
      .map(({ patternId }) => patternId),
  )
}

/** Every fly as its recipe stands now. */
async function resolvedFlies(db: Reader) {
  const variants = await loadVariants(db)
  const bodies = new Map((await db.select().from(variantRevision)).map((row) => [row.id, row.body]))
  const materials = await loadMaterials(db, [...bodies.values()].flatMap(materialIdsOf))
  return variants.flatMap(({ variant, figure }) => {
    const body = bodies.get(variant.currentRevisionId)
    if (!body) return []
    const bare = { hookMaterialId: body.hookMaterialId, swaps: [] }
    const fly = resolveDressing(body.dressing, bare, materials)
    return fly.kind === 'fly' ? [{ id: variant.id, variant, fly, massMg: figure?.massMg ?? 0 }] : []
  })
}

async function readToldApart(db: Reader): Promise<ToldApart> {
  const flies = await resolvedFlies(db)
  const [row] = await db.select().from(setting)
  const code = row?.body.weightCode ?? null
  const pupae = code ? await midgePupaPatterns(db) : new Set<string>()
  const id = (variantId: string) => variantId as ToldApart['pairs'][number]['lighterId']
  return {
    pairs: lookAlikes(flies.filter(({ massMg }) => massMg > 0)).map(({ lighterId, heavierId, ratio }) => ({
      lighterId: id(lighterId),
      heavierId: id(heavierId),
      ratio,
    })),
    marks: flies.flatMap(({ variant, fly }) => {
      if (!code || !bearsMarks(fly, code, pupae.has(variant.patternId))) return []
      const fault = checkMark(fly, code)
      return fault ? [{ variantId: id(variant.id), ...fault }] : []
    }),
  }
}

/** Flies that nobody can tell apart although they weigh differently, and those that break the user's weight code. */
export const loadToldApart = keptUntilWrite(readToldApart, ['rest'])
