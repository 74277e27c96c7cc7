import { inArray } from 'drizzle-orm'
import type { Material, MaterialFamily } from '../../core/index.ts'
import type { FamilyFull, MaterialId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { family, material, setting } from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { loadFamilies } from './families.ts'
import type { FamilyRow } from './families.ts'

/** A family row as core reckons with it. */
export function toCoreFamily(row: FamilyRow): MaterialFamily {
  const { massModel, physics, hook, boring, line, wasteShare, cutLengthMm, cautions } = row.body
  return {
    kind: row.kind,
    name: row.name,
    stockUnit: row.stockUnit,
    massModel,
    physics,
    hook,
    boring,
    line: line ?? null,
    wasteShare,
    cutLengthMm,
    cautions,
  }
}

/** A family as pages get it. */
export function toFamilyView(row: FamilyRow): FamilyFull {
  const core = toCoreFamily(row)
  return {
    ...core,
    id: row.id,
    physics: Object.fromEntries(
      Object.entries(core.physics).flatMap(([key, value]) => (value ? [[key, value]] : [])),
    ),
    hook: core.hook ? { ...core.hook } : null,
    line: core.line ? { ...core.line } : null,
    cautions: [...core.cautions],
    sizes: [...row.body.sizes],
    colours: row.body.colours.map((colour) => ({ ...colour })),
  }
}

/** Materials that a recipe names, the hook included. */
export const materialIdsOf = (body: RevisionBody): readonly MaterialId[] => [
  body.hookMaterialId,
  ...body.dressing.components.map(({ materialId }) => materialId),
]

/** Some drawers with their families, by id. */
export const loadMaterials = keptUntilWrite(readMaterials, [material, family, setting])

async function readMaterials(db: Reader, ids: readonly MaterialId[]): Promise<ReadonlyMap<string, Material>> {
  if (ids.length === 0) return new Map()
  const families = await loadFamilies(db)
  const rows = await db
    .select()
    .from(material)
    .where(inArray(material.id, [...new Set(ids)]))
  return new Map(
    rows.flatMap((row) => {
      const owner = families.get(row.familyId)
      if (!owner) return []
      const { id, sizeKey, colourName, colourHex, colourWetHex, overrides, barb } = row
      const core = toCoreFamily(owner)
      return [[id, { id, family: core, sizeKey, colourName, colourHex, colourWetHex, overrides, barb }]]
    }),
  )
}
