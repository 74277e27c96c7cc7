import { desc, eq, sql } from 'drizzle-orm'
import type { CompartmentId, LedgerLine, LedgerView, MaterialId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { flyEntry, materialEntry, pattern, variant, variantRevision } from '../db/schema.ts'
import { localTime } from '../clock/localTime.ts'

/** As many as anyone reads down. */
const LATEST = 60

type Entry = Pick<LedgerLine, 'id' | 'name' | 'delta' | 'cause' | 'counted' | 'lossCause'> & {
  readonly atMs: number
  readonly reversesEntryId: string | null
}

/** Entries newest first, each with what lay there after it: from what lies there now, back through what came and went. */
function linesOf(entries: readonly Entry[], now: number, timeZone: string): LedgerLine[] {
  let after = now
  return entries.map(({ atMs, reversesEntryId, ...entry }) => {
    const line = { ...entry, ...placeInTime(atMs, timeZone), takesBack: reversesEntryId !== null, after }
    after -= entry.delta
    return line
  })
}

function placeInTime(atMs: number, timeZone: string) {
  const { on, localMin } = localTime(atMs, timeZone)
  return { on, localMin }
}

/** What came into a compartment and left it. */
export async function compartmentLedger(
  db: Reader,
  compartmentId: CompartmentId,
  timeZone: string,
): Promise<LedgerView> {
  const here = eq(flyEntry.compartmentId, compartmentId)
  const entries = await db
    .select({ entry: flyEntry, patternName: pattern.name, label: variant.label })
    .from(flyEntry)
    .innerJoin(variantRevision, eq(variantRevision.id, flyEntry.variantRevisionId))
    .innerJoin(variant, eq(variant.id, variantRevision.variantId))
    .innerJoin(pattern, eq(pattern.id, variant.patternId))
    .where(here)
    .orderBy(desc(flyEntry.atMs), desc(flyEntry.id))
    .limit(LATEST)
  const [sum] = await db
    .select({ now: sql<number>`coalesce(sum(${flyEntry.delta}), 0)`, all: sql<number>`count(*)` })
    .from(flyEntry)
    .where(here)
  const named = entries.map(({ entry, patternName, label }) => ({
    id: entry.id,
    atMs: entry.atMs,
    name: `${patternName} ${label}`,
    delta: entry.delta,
    cause: entry.cause,
    lossCause: entry.lossCause,
    counted: entry.counted,
    reversesEntryId: entry.reversesEntryId,
  }))
  return { lines: linesOf(named, sum?.now ?? 0, timeZone), all: sum?.all ?? 0 }
}

/** What came into a drawer and left it. */
export async function drawerLedger(db: Reader, materialId: MaterialId, timeZone: string): Promise<LedgerView> {
  const here = eq(materialEntry.materialId, materialId)
  const entries = await db
    .select()
    .from(materialEntry)
    .where(here)
    .orderBy(desc(materialEntry.atMs), desc(materialEntry.id))
    .limit(LATEST)
  const [sum] = await db
    .select({ now: sql<number>`coalesce(sum(${materialEntry.delta}), 0)`, all: sql<number>`count(*)` })
    .from(materialEntry)
    .where(here)
  const named = entries.map(({ id, atMs, delta, cause, counted, reversesEntryId }) => ({
    id,
    atMs,
    name: '',
    delta,
    cause,
    lossCause: null,
    counted,
    reversesEntryId,
  }))
  return { lines: linesOf(named, sum?.now ?? 0, timeZone), all: sum?.all ?? 0 }
}
