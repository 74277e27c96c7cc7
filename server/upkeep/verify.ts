import { sql } from 'drizzle-orm'
import { STANDING } from '../read/standingEntries.ts'
import { refreshFigures } from './figures.ts'
import type { Database } from '../db/database.ts'
import { rowsOf } from '../db/ownWords.ts'
import { variantFigure } from '../db/schema.ts'

const FLY_SUMS = sql`select compartment_id, variant_revision_id, sum(delta) as count from fly_entry group by 1, 2`
const TALLY_SUMS = sql`select variant_revision_id, cause, coalesce(loss_cause, '') as loss_cause, sum(delta) as count,
  max(at_ms) as last_at_ms from fly_entry group by 1, 2, 3`
const MATERIAL_SUMS = sql`with recursive ${STANDING} select material_id, sum(delta) as amount from material_entry
  where material_id in (select material_id from standing) group by 1`

/**
 * Checks the file, its references and its running sums, rebuilds what is derived, and says what it found:
 * lines that begin with `ok`, `mended` or `fault`.
 */
export async function checkDatabase({ db, write }: Database): Promise<readonly string[]> {
  const report: string[] = []
  // by the connection that writes: one that only reads may hold an older picture of the index of words and call it damaged
  const integrity = () =>
    write(async (tx) => (await rowsOf<readonly [string]>(tx, sql`pragma integrity_check`))[0]?.[0])
  const first = await integrity()
  if (first?.includes('search_text')) {
    await write((tx) => tx.run(sql`insert into search_text (search_text) values ('rebuild')`))
    report.push('mended the index of searched words')
  }
  const whole = first?.includes('search_text') ? await integrity() : first
  report.push(whole === 'ok' ? 'ok the file is whole' : `fault ${whole}`)
  const dangling = await db.values(sql`pragma foreign_key_check`)
  report.push(
    dangling.length === 0
      ? 'ok every reference leads somewhere'
      : `fault ${dangling.length} references lead nowhere`,
  )
  await write(async (tx) => {
    const flies = await tx.values(sql`select * from (${FLY_SUMS}) s
      left join fly_balance b using (compartment_id, variant_revision_id) where b.count is not s.count`)
    if (flies.length > 0) {
      await tx.run(sql`delete from fly_balance`)
      await tx.run(sql`insert into fly_balance (compartment_id, variant_revision_id, count) ${FLY_SUMS}`)
    }
    report.push(
      flies.length === 0
        ? 'ok flies on hand equal the sum of entries'
        : `mended ${flies.length} balances of flies`,
    )
    const tallies = await tx.values(sql`select * from (${TALLY_SUMS}) s
      left join fly_tally b using (variant_revision_id, cause, loss_cause) where b.count is not s.count`)
    if (tallies.length > 0) {
      await tx.run(sql`delete from fly_tally`)
      await tx.run(
        sql`insert into fly_tally (variant_revision_id, cause, loss_cause, count, last_at_ms) ${TALLY_SUMS}`,
      )
    }
    report.push(
      tallies.length === 0
        ? 'ok what became of flies equals the sum of entries'
        : `mended ${tallies.length} sums of what became of flies`,
    )
    const materials = await tx.values(sql`select * from (${MATERIAL_SUMS}) s
      left join material_balance b using (material_id) where b.amount is not s.amount`)
    if (materials.length > 0) {
      await tx.run(sql`delete from material_balance`)
      await tx.run(sql`insert into material_balance (material_id, amount) ${MATERIAL_SUMS}`)
    }
    report.push(
      materials.length === 0
        ? 'ok stores equal the sum of entries'
        : `mended ${materials.length} balances of materials`,
    )
    const before = await tx
      .select({ id: variantFigure.variantRevisionId, hash: variantFigure.inputHash })
      .from(variantFigure)
    await tx.delete(variantFigure)
    await refreshFigures(tx)
    const after = await tx
      .select({ id: variantFigure.variantRevisionId, hash: variantFigure.inputHash })
      .from(variantFigure)
    const hashes = new Map(after.map(({ id, hash }) => [id, hash]))
    const stale = before.filter(({ id, hash }) => hashes.get(id) !== hash).length
    report.push(
      stale === 0
        ? `ok ${after.length} figures are of these recipes`
        : `mended ${stale} figures of older inputs`,
    )
  })
  return report
}
