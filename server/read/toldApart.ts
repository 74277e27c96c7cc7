import { bearsMarks, checkMark, lookAlikes, looksOf, resolveDressing } from '../../core/index.ts'
import type { MarkFault, WeightCode } from '../../core/index.ts'
import type { PatternsView } from '../../contract/index.ts'
import { eq, sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptFor, keptUntilWrite } from '../db/kept.ts'
import { family, food, foodStage, material, patternServes, setting, variantRevision } from '../db/schema.ts'
import { among, packedRows } from '../db/ownWords.ts'
import { mapOf } from './grouped.ts'
import { loadMaterials, materialIdsOf } from './materials.ts'
import { loadVariants } from './variants.ts'
import type { FigureRow, VariantRow } from './variants.ts'

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

/** What tells a fly from others: its looks, and what is wrong with its mark of weight. */
interface Told {
  readonly looks: string
  readonly fault: MarkFault | null
}

/** A fly whose figure is known. */
type Weighed = VariantRow & { readonly figure: FigureRow }
const isWeighed = (row: VariantRow): row is Weighed => row.figure !== null

const keptTold = keptFor<Reader, Map<string, Told | null>>(() => new Map())

/** What tells the flies of recipes apart, by recipe; null for what is no fly. A recipe never changes, so it is kept. */
async function toldOf(
  db: Reader,
  variants: readonly Weighed[],
  code: WeightCode | null,
  pupae: ReadonlySet<string>,
) {
  const kept = keptTold(db)
  const keyOf = ({ variant, figure }: Weighed) =>
    JSON.stringify([figure.inputHash, pupae.has(variant.patternId), code])
  const unknown = variants.filter((row) => !kept.has(keyOf(row)))
  const { id, body } = variantRevision
  const recipes = await packedRows(
    db,
    { id, body },
    sql`from ${variantRevision} where ${among(
      id,
      unknown.map(({ variant }) => variant.currentRevisionId),
    )}`,
    sql`${id}`,
  )
  const bodies = mapOf(recipes, (recipe) => [recipe.id, recipe.body])
  const materials = await loadMaterials(db, [...bodies.values()].flatMap(materialIdsOf))
  for (const row of unknown) {
    const body = bodies.get(row.variant.currentRevisionId)
    if (!body || kept.has(keyOf(row))) continue
    const bare = { hookMaterialId: body.hookMaterialId, swaps: [] }
    const fly = resolveDressing(body.dressing, bare, materials)
    const marked = fly.kind === 'fly' && code && bearsMarks(fly, code, pupae.has(row.variant.patternId))
    const fault = marked ? checkMark(fly, code) : null
    kept.set(keyOf(row), fly.kind === 'fly' ? { looks: looksOf(fly), fault } : null)
  }
  return variants.flatMap((row) => {
    const told = kept.get(keyOf(row))
    return told ? [{ id: row.variant.id, massMg: row.figure.massMg ?? 0, ...told }] : []
  })
}

async function readToldApart(db: Reader): Promise<ToldApart> {
  const [row] = await db.select().from(setting)
  const code = row?.body.weightCode ?? null
  const pupae = code ? await midgePupaPatterns(db) : new Set<string>()
  const flies = await toldOf(db, (await loadVariants(db)).filter(isWeighed), code, pupae)
  return {
    pairs: lookAlikes(flies.filter(({ massMg }) => massMg > 0)).map(({ lighterId, heavierId, ratio }) => ({
      lighterId,
      heavierId,
      ratio,
    })),
    marks: flies.flatMap(({ id: variantId, fault }) => (fault ? [{ variantId, ...fault }] : [])),
  }
}

/** Flies that nobody can tell apart although they weigh differently, and those that break the user's weight code. */
export const loadToldApart = keptUntilWrite(readToldApart, [
  setting,
  patternServes,
  foodStage,
  food,
  loadVariants,
  variantRevision,
  material,
  family,
])
