import { inArray } from 'drizzle-orm'
import { LIST_CONDITIONS, resolveDressing, waterAt, waterside, wording } from '../../core/index.ts'
import type { DisplayUnits, Posture } from '../../core/index.ts'
import type { VariantRevisionId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { family, material, setting, variantRevision } from '../db/schema.ts'
import { loadMaterials, materialIdsOf } from './materials.ts'

/** The least cut that has a fly sit lower, what it makes of it in words, and how it rides before and after. */
export interface CutThere {
  readonly done: string
  readonly becomes: string
  readonly from: Posture
  readonly to: Posture
}

async function readCuts(
  db: Reader,
  revisionIds: readonly VariantRevisionId[],
  units: DisplayUnits,
): Promise<ReadonlyMap<string, CutThere>> {
  const rows = await db
    .select()
    .from(variantRevision)
    .where(inArray(variantRevision.id, [...revisionIds]))
  const materials = await loadMaterials(
    db,
    rows.flatMap(({ body }) => materialIdsOf(body)),
  )
  const cuts = rows.flatMap(({ id, body }): [string, CutThere][] => {
    const fly = resolveDressing(body.dressing, { hookMaterialId: body.hookMaterialId, swaps: [] }, materials)
    const found = fly.kind === 'fly' ? waterside.lowerByCut(fly, waterAt(LIST_CONDITIONS.waterTempC)) : null
    const part = fly.kind === 'fly' && fly.components.find(({ key }) => key === found?.componentKey)
    if (!found || !part) return []
    const name = wording.componentName[part.kind]
    const done = wording.cutDone(name, found.cut)
    const becomes = wording.cutWords(name, found.cut, found, units)
    return [[id, { done, becomes, from: found.from.posture, to: found.to.posture }]]
  })
  return new Map(cuts)
}

/** What shears at the water make of flies that float, by recipe; a fly that no cut has sit lower is left out. */
export const loadCuts = keptUntilWrite(readCuts, [variantRevision, material, family, setting])
