import { inArray } from 'drizzle-orm'
import type { CommandBody } from '../../contract/index.ts'
import { outingTap } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { Handler } from './context.ts'

/** Keeps what was noted at the water: each tap once, however often it comes; what an undo took away comes back. */
export const outingNote: Handler<CommandBody<'outingNote'>> = async ({ tx, recorder }, { outingId, taps }) => {
  const { waterId } = await recorder.need('outing', outingId, 'outing')
  const { name } = await recorder.need('water', waterId, 'water')
  const known = await tx
    .select({ id: outingTap.id, outingId: outingTap.outingId, archivedAtMs: outingTap.archivedAtMs })
    .from(outingTap)
    .where(inArray(outingTap.id, taps.map(({ id }) => id))) // prettier-ignore
  const before = new Map(known.map((row) => [row.id, row]))
  let noted = 0
  for (const [i, { id, atMs, ...said }] of taps.entries()) {
    const there = before.get(id)
    if (there && there.outingId !== outingId)
      throw new ProblemError('invalidInput', 'That was noted on another outing.', [
        { path: `taps.${i}.id`, message: 'It belongs to another outing.' },
      ])
    if (there?.archivedAtMs === null) continue
    if (there) await recorder.update('outingTap', id, null, { archivedAtMs: null })
    else {
      await recorder.insert('outingTap', { id, outingId, atMs, said })
      before.set(id, { id, outingId, archivedAtMs: null })
    }
    noted += 1
  }
  return { label: { code: 'outingNoted', subject: name, count: noted } }
}
