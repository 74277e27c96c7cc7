import { eq, inArray } from 'drizzle-orm'
import type { Material, MaterialFamily } from '../core/index.ts'
import type { FamilyFull, FamilyId } from '../contract/index.ts'
import type { Reader } from './db/database.ts'
import { family, material } from './db/schema.ts'

/** A family row as core reckons with it. */
export function toCoreFamily(row: typeof family.$inferSelect): MaterialFamily {
  const { massModel, physics, hook, boring, wasteShare, cutLengthMm, cautions } = row.body
  return {
    kind: row.kind,
    name: row.name,
    stockUnit: row.stockUnit,
    massModel,
    physics,
    hook,
    boring,
    wasteShare,
    cutLengthMm,
    cautions,
  }
}

/** A family as pages get it. */
export function toFamilyView(row: typeof family.$inferSelect): FamilyFull {
  const core = toCoreFamily(row)
  return {
    ...core,
    id: row.id as FamilyId,
    physics: Object.fromEntries(
      Object.entries(core.physics).flatMap(([key, value]) => (value ? [[key, value]] : [])),
    ),
    hook: core.hook ? { ...core.hook } : null,
    cautions: [...core.cautions],
    sizes: [...row.body.sizes],
    colours: row.body.colours.map((colour) => ({ ...colour })),
  }
}

/** Some drawers with their families, by id. */
export async function loadMaterials(
  db: Reader,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Material>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select()
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(inArray(material.id, [...new Set(ids)]))
  return new Map(
    rows.map((row) => [
      row.material.id,
      {
        id: row.material.id,
        family: toCoreFamily(row.family),
        sizeKey: row.material.sizeKey,
        colourName: row.material.colourName,
        colourHex: row.material.colourHex,
        colourWetHex: row.material.colourWetHex,
      },
    ]),
  )
}

/** Family, size and colour of a drawer in words: `Tungsten alloy bead, slotted 2.8, copper`; hooks with their mark: `#16`. */
export function drawerName(familyName: string, sizeKey: string, colourName: string): string {
  const size = sizeKey && familyName.startsWith('Hook') ? `#${sizeKey}` : sizeKey
  return [size ? `${familyName} ${size}` : familyName, colourName].filter(Boolean).join(', ')
}
