import { sql } from 'drizzle-orm'
import type { SearchView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'

const MOST_HITS = 12

/** Finds names and notes by their words' beginnings. */
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
  return { hits }
}
