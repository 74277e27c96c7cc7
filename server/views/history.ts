import { and, eq, isNull, sql } from 'drizzle-orm'
import type { HistoryLine, HistoryView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { outing, spell } from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { localTime } from '../clock/localTime.ts'
import { loadVariants } from '../read/variants.ts'
import { loadLastLost, loadSince, loadTallies } from '../read/tallies.ts'
import type { Tally } from '../read/tallies.ts'

const later = (a: string | null, b: string | null) => (a === null || (b !== null && b > a) ? b : a)

/** What a variant lost flies to most. */
function mostlyTo(tallies: readonly Tally[]): string | null {
  const lost = tallies.filter(({ cause, count }) => cause === 'lost' && count < 0)
  return lost.length === 0 ? null : lost.reduce((a, b) => (b.count < a.count ? b : a)).lossCause
}

/** What became of the flies of each variant that is on hand, or was tied or lost. */
export async function historyView(db: Reader, timeZone: string): Promise<HistoryView> {
  const tallies = await loadTallies(db)
  const fished = await db
    .select({
      variantId: spell.variantId,
      on: sql<string>`max(${outing.on})`,
      minutes: sql<number>`sum(${spell.minutes})`,
      takes: sql<number>`sum(${spell.takes})`,
    })
    .from(spell)
    .innerJoin(outing, eq(outing.id, spell.outingId))
    .where(and(isNull(spell.archivedAtMs), isNull(outing.archivedAtMs)))
    .groupBy(spell.variantId)
  const byVariant = grouped(tallies, ({ variantId }) => variantId)
  const fishedOf = new Map(fished.map(({ variantId, ...noted }) => [variantId, noted]))
  const lostMs = await loadLastLost(db)
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
      if (mine.every(({ count }) => count === 0) && row.onHand === 0) return []
      const sum = (cause: string) => mine.reduce((n, t) => (t.cause === cause ? n + t.count : n), 0)
      const lastLost = lostMs.get(row.variant.id) ?? 0
      const noted = fishedOf.get(row.variant.id)
      return [
        {
          variantId: row.variant.id,
          patternId: row.variant.patternId,
          patternName: row.patternName,
          label: row.variant.label,
          onHand: row.onHand,
          tied: sum('tied'),
          lost: -sum('lost'),
          mostlyTo: mostlyTo(mine),
          fished: noted ? { minutes: noted.minutes, takes: noted.takes } : null,
          lastFishedOn: later(noted?.on ?? null, lastLost > 0 ? day(lastLost) : null),
          sinceOn: day(sinceMs.get(row.variant.id) ?? 0),
        },
      ]
    }),
  }
}
