import { sql } from 'drizzle-orm'
import { foodsCalled } from '../../core/index.ts'
import type { SearchView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'

const MOST_HITS = 12

/** Finds names and notes by their words' beginnings, and foods by what anglers call them. */
export async function searchView(db: Reader, words: string): Promise<SearchView> {
  const query = words
    .normalize('NFC')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => `"${word}"*`)
    .join(' ')
  if (query === '') return { hits: [] }
  const hits = await db.all<{ kind: string; id: string; title: string; detail: string }>(
    sql`select kind, subject_id as id, title, detail from search_text where search_text match ${query} order by bm25(search_text, 0, 0, 10, 1) limit ${MOST_HITS}`,
  )
  const names = foodsCalled(words)
  if (hits.length >= MOST_HITS || names.length === 0) return { hits }
  const known = new Set(hits.map(({ id }) => id))
  const called = await db.all<{ kind: string; id: string; title: string; detail: string }>(
    sql`select 'foodStage' as kind, food_stage.id as id, food.name || ', ' || food_stage.stage_name as title, '' as detail from food_stage join food on food.id = food_stage.food_id where food.name in ${[...names]} and food.archived_at_ms is null and food_stage.archived_at_ms is null order by food_stage.importance desc limit ${MOST_HITS}`,
  )
  return { hits: [...hits, ...called.filter(({ id }) => !known.has(id))].slice(0, MOST_HITS) }
}
