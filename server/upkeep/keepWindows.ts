import { eq } from 'drizzle-orm'
import type { EmergenceWindow } from '../../core/index.ts'
import type { Database } from '../db/database.ts'
import { seasonWindow } from '../db/schema.ts'
import { loadWarmth, windowsHash } from '../read/season.ts'
import type { ReachId } from '../../contract/index.ts'

/** Keeps the windows of a reach that a page worked out, unless they are of other inputs than today's. */
export async function keepWindows(
  { db, write }: Database,
  { reachId, inputHash, windows }: { reachId: ReachId; inputHash: string; windows: readonly EmergenceWindow[] },
): Promise<boolean> {
  const warmth = (await loadWarmth(db)).get(reachId)
  if (!warmth || (await windowsHash(db, warmth)) !== inputHash) return false
  await write(async (tx) => {
    await tx.delete(seasonWindow).where(eq(seasonWindow.reachId, reachId))
    await tx.insert(seasonWindow).values({ reachId, inputHash, windows })
  })
  return true
}
