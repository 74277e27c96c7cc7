import { inArray } from 'drizzle-orm'
import type { DrawingsView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { variantFigure } from '../db/schema.ts'

/** Drawings by their keys; what is not known is left out. */
export async function drawingsOf(db: Reader, keys: readonly string[]): Promise<DrawingsView> {
  const rows = await db
    .select({ key: variantFigure.drawingKey, drawing: variantFigure.drawing })
    .from(variantFigure)
    .where(inArray(variantFigure.drawingKey, [...keys]))
    .groupBy(variantFigure.drawingKey)
  const drawings: DrawingsView['drawings'] = {}
  for (const { key, drawing } of rows)
    if (key && drawing) drawings[key] = { ...drawing, shapes: drawing.shapes.map((shape) => ({ ...shape })) }
  return { drawings }
}
