import { eq } from 'drizzle-orm'
import { foldedKey } from '../../contract/index.ts'
import { canBeMadeIn, whenWet } from '../../core/index.ts'
import type { CommandBody } from '../../contract/index.ts'
import { family } from '../db/schema.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext } from './context.ts'

/** Mints drawers that are not there yet; one that has come meanwhile under another id is a fault of the page. */
export async function mintMaterials(
  { tx, recorder, pace }: CommandContext,
  drawers: CommandBody<'patternSave'>['newMaterials'],
): Promise<void> {
  const families = new Map<string, typeof family.$inferSelect>()
  for (const drawer of drawers) {
    await pace.step()
    const [row] = families.has(drawer.familyId)
      ? [families.get(drawer.familyId)]
      : await tx.select().from(family).where(eq(family.id, drawer.familyId))
    if (!row) throw new ProblemError('unknownId', 'There is no such family of material.')
    families.set(row.id, row)
    const own = drawer.colourHex
    const colour =
      row.body.colours.find(({ name }) => name === drawer.colourName) ??
      (own ? { name: drawer.colourName, hexDry: own, hexWet: whenWet(own) } : undefined)
    const allowed =
      row.body.sizes.length === 0
        ? drawer.sizeKey === ''
        : row.body.sizes.includes(drawer.sizeKey) || canBeMadeIn(row.kind, drawer.sizeKey)
    if (!colour || !allowed) {
      const detail = `${row.name} does not come in ${drawer.sizeKey || 'that size'}, ${drawer.colourName}.`
      throw new ProblemError('invalidInput', detail, [{ path: 'newMaterials', message: detail }])
    }
    const there = await recorder.find('material', drawer.id)
    if (there?.archivedAtMs) await recorder.update('material', drawer.id, null, { archivedAtMs: null })
    if (there) continue
    await recorder.insert('material', {
      id: drawer.id,
      familyId: drawer.familyId,
      sizeKey: drawer.sizeKey,
      sizeAsWritten: drawer.sizeKey,
      colourName: colour.name,
      colourKey: foldedKey(colour.name),
      colourHex: colour.hexDry,
      colourWetHex: colour.hexWet,
    })
  }
}
