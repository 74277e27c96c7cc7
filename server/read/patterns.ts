import { eq, ne, sql } from 'drizzle-orm'
import type { Reader } from '../db/database.ts'
import { keptFor, keptUntilWrite } from '../db/kept.ts'
import { among, packedIn, packedRows } from '../db/ownWords.ts'
import { food, foodStage, pattern, patternServes, variant, variantRevision } from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import type { VariantRevisionId } from '../../contract/index.ts'
import { grouped, mapOf } from './grouped.ts'

/** What a pattern serves stands in the order in which it was said. */
const IN_ORDER = sql`${patternServes}.rowid`

/** What each pattern is meant for, by its name. */
export const loadServed = keptUntilWrite(readServed, [patternServes, foodStage, food])

async function readServed(db: Reader) {
  const rows = await db
    .select({ served: patternServes, stageName: foodStage.stageName, foodName: food.name })
    .from(patternServes)
    .innerJoin(foodStage, eq(foodStage.id, patternServes.foodStageId))
    .innerJoin(food, eq(food.id, foodStage.foodId))
    .orderBy(IN_ORDER)
  return grouped(
    rows.map(({ served, stageName, foodName }) => ({
      patternId: served.patternId,
      foodStageId: served.foodStageId,
      weight: served.weight,
      name: `${foodName}, ${stageName}`,
    })),
    ({ patternId }) => patternId,
  )
}

/** Patterns that are not put away, by name: what lists show and what they are fished for. */
export const loadPatterns = keptUntilWrite(readPatterns, [pattern])

async function readPatterns(db: Reader) {
  const { id, name, purpose, roles, ownMonths, fishedHow, waterKinds } = pattern
  return packedRows(
    db,
    { id, name, purpose, roles, ownMonths, fishedHow, waterKinds },
    sql`from ${pattern} where ${pattern.archivedAtMs} is null`,
    sql`${pattern.nameKey}`,
  )
}

/** Which patterns serve which stages. */
export const loadServes = keptUntilWrite(readServes, [patternServes])

async function readServes(db: Reader) {
  return db.select().from(patternServes).orderBy(IN_ORDER)
}

/** On what kinds of water patterns are fished that are not fished on all. */
export const loadPatternWaters = keptUntilWrite(readPatternWaters, [pattern])

async function readPatternWaters(db: Reader) {
  return db
    .select({ id: pattern.id, waterKinds: pattern.waterKinds })
    .from(pattern)
    .where(ne(pattern.waterKinds, []))
}

const partOf = ({ dressing }: RevisionBody, kind: string) =>
  dressing.components.find((component) => component.kind === kind)?.materialId ?? null

interface Parts {
  readonly thread: string | null
  readonly bead: string | null
}

const keptParts = keptFor<Reader, Map<string, Parts>>(() => new Map())

const NO_PARTS: Parts = { thread: null, bead: null }

/** What of each recipe stays or changes at the bench. A recipe never changes, so what was read is kept. */
async function partsOf(db: Reader): Promise<ReadonlyMap<string, Parts>> {
  const kept = keptParts(db)
  const current = await packedIn<readonly VariantRevisionId[]>(
    db,
    sql`select json_group_array(${variant.currentRevisionId}) from ${variant}`,
  )
  const unknown = current.filter((id) => !kept.has(id))
  if (unknown.length === 0) return kept
  const { id, body } = variantRevision
  const recipes = await packedRows(
    db,
    { id, body },
    sql`from ${variantRevision} where ${among(id, unknown)} and json_array_length(${body}, '$.dressing.components') > 0`,
    sql`${id}`,
  )
  for (const id of unknown) kept.set(id, NO_PARTS)
  for (const { id, body } of recipes)
    kept.set(id, { thread: partOf(body, 'thread'), bead: partOf(body, 'bead') })
  return kept
}

/** What changes at the bench from one recipe to another, and what each pattern is meant for. */
export const loadSetups = keptUntilWrite(readSetups, [variantRevision, variant, patternServes, loadPatterns])

/** What changes at the bench from one recipe to another, and what each pattern is meant for and how it is liked. */
async function readSetups(db: Reader) {
  const parts = await partsOf(db)
  const serves = await db.select().from(patternServes).orderBy(IN_ORDER)
  const patterns = await loadPatterns(db)
  const disliked = await db
    .select({ id: pattern.id, dislike: pattern.dislike })
    .from(pattern)
    .where(ne(pattern.dislike, 0))
  const dislikes = mapOf(disliked, ({ id, dislike }) => [id, dislike])
  return {
    parts,
    meantFor: grouped(serves, ({ patternId }) => patternId),
    patterns: patterns.map((row) => ({ ...row, dislike: dislikes.get(row.id) ?? 0 })),
  }
}

/** What each pattern is meant for. */
export type Served = Awaited<ReturnType<typeof loadServed>>
