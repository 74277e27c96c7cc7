import { count, eq } from 'drizzle-orm'
import type { Database } from '../db/database.ts'
import { isClosed } from '../db/errors.ts'
import { action, told } from '../db/schema.ts'
import type { ToldBody } from '../db/schema.ts'
import { tell, usuallyAsked } from '../read/told.ts'

type Which = typeof told.$inferSelect.which

const momentsOf = ({ fish }: ToldBody) => fish.map(({ reachId, on, localMin }) => ({ reachId, on, localMin }))

/**
 * Keeps what this version says of fish, flies and outings. Where another version was the last to do so, its words become
 * those of before, and this version is asked the same.
 *
 * @param version tells builds of this program apart
 */
export async function keepTold(database: Database, today: string, version: string): Promise<void> {
  const { db, write } = database
  const [[counted], [latest]] = await Promise.all([
    db.select({ actions: count() }).from(action),
    db.select().from(told).where(eq(told.which, 'latest')),
  ])
  const actions = counted?.actions ?? 0
  const isOther = latest !== undefined && latest.version !== version
  if (latest && !isOther && latest.actions === actions && latest.on === today) return
  const after = isOther ? await tell(db, latest.on, momentsOf(latest.body)) : null
  const now = await tell(db, today, await usuallyAsked(db, today))
  await write(async (tx) => {
    const keep = async (which: Which, row: Omit<typeof told.$inferInsert, 'which'>) => {
      await tx.delete(told).where(eq(told.which, which))
      await tx.insert(told).values({ ...row, which })
    }
    if (latest && after) {
      await keep('before', latest)
      await keep('after', { version, on: today, actions, body: after })
    }
    await keep('latest', { version, on: today, actions, body: now })
  })
}

/** The first pages come before it; then it is looked whether anything was done since. */
const FIRST_MS = 60_000
const NEXT_MS = 900_000

/** Keeps what is told while a server runs; answers how to end that. */
export function keepTelling(
  database: () => Database,
  today: () => Promise<string>,
  version: string,
  onFault: (error: unknown) => void,
): () => void {
  const keep = async () => {
    try {
      await keepTold(database(), await today(), version)
    } catch (error) {
      if (!isClosed(error)) onFault(error)
    }
  }
  const first = setTimeout(() => void keep(), FIRST_MS)
  const next = setInterval(() => void keep(), NEXT_MS)
  first.unref()
  next.unref()
  return () => {
    clearTimeout(first)
    clearInterval(next)
  }
}
