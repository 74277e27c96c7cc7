import { eq } from 'drizzle-orm'
import { evaluateFly, LIST_CONDITIONS, resolveDressing, wording } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { variantRevision } from '../db/schema.ts'
import { loadMaterials, materialIdsOf } from './materials.ts'
import { loadMeasurements } from './measurements.ts'
import { loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

/** What a measurement would say of a fly. */
interface FirstMeasurement {
  readonly row: VariantRow
  readonly text: string
}

/** The first measurement that is worth making, of the fly whose fall is least sure; null once anything was measured. */
export const loadFirstMeasurement = keptUntilWrite(readFirst, [loadMeasurements, loadVariants])

async function readFirst(db: Reader): Promise<FirstMeasurement | null> {
  const { tests, weighings } = await loadMeasurements(db)
  if (tests.length + weighings.length > 0) return null
  const doubt = ({ figure }: VariantRow) =>
    figure?.kind === 'sinks' && figure.sinkSpeedMmPerS
      ? ((figure.high ?? 0) - (figure.low ?? 0)) / figure.sinkSpeedMmPerS
      : 0
  const [row] = [...(await loadVariants(db))].sort((a, b) => doubt(b) - doubt(a))
  if (!row || doubt(row) <= 0) return null
  const [revision] = await db
    .select({ body: variantRevision.body })
    .from(variantRevision)
    .where(eq(variantRevision.id, row.variant.currentRevisionId))
  if (!revision) return null
  const { body } = revision
  const materials = await loadMaterials(db, materialIdsOf(body))
  const fly = resolveDressing(body.dressing, { hookMaterialId: body.hookMaterialId, swaps: [] }, materials)
  const report = fly.kind === 'fly' ? evaluateFly(fly, LIST_CONDITIONS) : null
  const text = report?.kind === 'sinks' ? wording.narrowingSentence(report.free) : null
  return text ? { row, text } : null
}
