import { and, eq, isNull, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { foodsCalled } from '../../core/index.ts'
import type { SearchView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { rowsOf } from '../db/ownWords.ts'
import { pattern, variant } from '../db/schema.ts'

const MOST_HITS = 12

/** Variants that each word occurs in, in their own name or their pattern's; none where the pattern alone has them all. */
async function variantsCalled(db: Reader, words: string): Promise<SearchView['hits']> {
  const sought = words.normalize('NFC').toLowerCase().split(/\s+/).filter(Boolean)
  const known = await db
    .select({
      id: variant.id,
      patternId: pattern.id,
      name: pattern.name,
      label: variant.label,
    })
    .from(variant)
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(and(isNull(variant.archivedAtMs), isNull(pattern.archivedAtMs)))
    .orderBy(pattern.nameKey, variant.label)
  const holds = (text: string) => sought.filter((word) => text.toLowerCase().includes(word)).length
  return known
    .filter(({ name, label }) => holds(`${name} ${label}`) === sought.length && holds(name) < sought.length)
    .slice(0, MOST_HITS)
    .map(({ id, patternId, name, label }) => ({
      ...{ kind: 'variant', id, title: `${name} ${label}`, detail: '' },
      patternId,
    }))
}

/** What a statement finds: of what kind, its id, its title and what else is said of it. */
const hitsOf = async (db: Reader, statement: SQL) =>
  (await rowsOf<readonly [string, string, string, string]>(db, statement)).map(([kind, id, title, detail]) => ({
    kind,
    id,
    title,
    detail,
  }))

/** Finds names and notes by their words' beginnings, and foods by what anglers call them. */
export async function searchView(db: Reader, words: string): Promise<SearchView> {
  const query = words
    .normalize('NFC')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => `"${word}"*`)
    .join(' ')
  if (query === '') return { hits: [] }
  const hits = await hitsOf(
    db,
    sql`select kind, subject_id as id, title, detail from search_text where search_text match ${query} order by bm25(search_text, 0, 0, 10, 1) limit ${MOST_HITS}`,
  )
  const names = foodsCalled(words)
  if (hits.length >= MOST_HITS) return { hits }
  const variants = await variantsCalled(db, words)
  const named = [...hits, ...variants].slice(0, MOST_HITS)
  if (names.length === 0) return { hits: named }
  const known = new Set(hits.map(({ id }) => id))
  const called = await hitsOf(
    db,
    sql`select 'foodStage' as kind, food_stage.id as id, food.name || ', ' || food_stage.stage_name as title, '' as detail from food_stage join food on food.id = food_stage.food_id where food.name in ${[...names]} and food.archived_at_ms is null and food_stage.archived_at_ms is null order by food_stage.importance desc limit ${MOST_HITS}`,
  )
  return { hits: [...named, ...called.filter(({ id }) => !known.has(id))].slice(0, MOST_HITS) }
}
