import { and, eq, isNull, sql } from 'drizzle-orm'
import type { HistoryLine, HistoryView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outing, spell, variantRevision } from '../db/schema.ts'
import { grouped } from '../grouped.ts'
import { localTime } from './time.ts'
import { loadVariants } from './variants.ts'

interface Tally {
  readonly variantId: string
  readonly cause: string
  readonly lossCause: string
  readonly count: number
  readonly lastAtMs: number
}

const later = (a: string | null, b: string | null) => (a === null || (b !== null && b > a) ? b : a)

/** What a variant lost flies to most. */
function mostlyTo(tallies: readonly Tally[]): string | null {
  const lost = tallies.filter(({ cause, count }) => cause === 'lost' && count < 0)
  return lost.length === 0 ? null : lost.reduce((a, b) => (b.count < a.count ? b : a)).lossCause
}

/** What became of flies, by variant and cause. */
const loadTallies = keptUntilWrite(readTallies, ['flies', 'patterns'])

async function readTallies(db: Reader): Promise<readonly Tally[]> {
  // as one row of JSON: see loadBalances
  const row = await db.get<{ rows: string }>(
    sql`select json_group_array(json_array(r.variant_id, t.cause, t.loss_cause, t.count, t.last_at_ms)) as rows
      from fly_tally t join variant_revision r on r.id = t.variant_revision_id`,
  )
  const rows = JSON.parse(row.rows) as readonly [string, string, string, number, number][]
  return rows.map(([variantId, cause, lossCause, count, lastAtMs]) => ({
    variantId,
    cause,
    lossCause,
    count,
    lastAtMs,
  }))
}

/** When the first recipe of each variant came to be known. */
const loadSince = keptUntilWrite(readSince, ['patterns'])

async function readSince(db: Reader): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ variantId: variantRevision.variantId, atMs: sql<number>`min(${variantRevision.createdAtMs})` })
    .from(variantRevision)
    .groupBy(variantRevision.variantId)
  return new Map(rows.map(({ variantId, atMs }) => [variantId, atMs]))
}

/** What became of the flies of each variant that is on hand, or was tied or lost. */
export async function historyView(db: Reader, timeZone: string): Promise<HistoryView> {
  const tallies = await loadTallies(db)
  const fished = await db
    .select({ variantId: spell.variantId, on: sql<string>`max(${outing.on})` })
    .from(spell)
    .innerJoin(outing, eq(outing.id, spell.outingId))
    .where(and(isNull(spell.archivedAtMs), isNull(outing.archivedAtMs)))
    .groupBy(spell.variantId)
  const byVariant = grouped(tallies, ({ variantId }) => variantId)
  const fishedOn = new Map(fished.map(({ variantId, on }) => [variantId, on]))
  const sinceMs = await loadSince(db)
  const days = new Map<number, string>()
  const day = (atMs: number) => {
    const known = days.get(atMs) ?? localTime(atMs, timeZone).on
    days.set(atMs, known)
    return known
  }
  return {
    variants: (await loadVariants(db)).flatMap((row): HistoryLine[] => {
      const mine = byVariant.get(row.variant.id) ?? []
      if (mine.length === 0 && row.onHand === 0) return []
      const sum = (cause: string) => mine.reduce((n, t) => (t.cause === cause ? n + t.count : n), 0)
      const lastLost = mine.reduce((ms, t) => (t.cause === 'lost' ? Math.max(ms, t.lastAtMs) : ms), 0)
      return [
        {
          variantId: row.variant.id as HistoryLine['variantId'],
          patternId: row.variant.patternId as HistoryLine['patternId'],
          patternName: row.patternName,
          label: row.variant.label,
          onHand: row.onHand,
          tied: sum('tied'),
          lost: -sum('lost'),
          mostlyTo: mostlyTo(mine),
          lastFishedOn: later(fishedOn.get(row.variant.id) ?? null, lastLost > 0 ? day(lastLost) : null),
          sinceOn: day(sinceMs.get(row.variant.id) ?? 0),
        },
      ]
    }),
  }
}
