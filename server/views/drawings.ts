import { inArray } from 'drizzle-orm'
import type { DrawingsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { variantFigure } from '../db/schema.ts'

/** Sketches by their keys, to be drawn from; what is not known is left out. */
export async function drawingsOf(db: Reader, keys: readonly string[]): Promise<DrawingsView> {
  const rows = await db
    .select({ key: variantFigure.drawingKey, sketch: variantFigure.sketch })
    .from(variantFigure)
    .where(inArray(variantFigure.drawingKey, [...keys]))
    .groupBy(variantFigure.drawingKey)
  const sketches: DrawingsView['sketches'] = {}
  for (const { key, sketch } of rows)
    if (key && sketch) sketches[key] = { ...sketch, parts: sketch.parts.map((part) => ({ ...part })) }
  return { sketches }
}
