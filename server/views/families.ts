import { asc, isNull } from 'drizzle-orm'
import type { FamiliesView, FamilyFull } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { ProblemError } from '../problems/problem.ts'
import { family, material } from '../db/schema.ts'
import { loadFamilies } from '../read/families.ts'
import { toFamilyView } from '../read/materials.ts'

/** Families that some drawer belongs to, with physics. */
export async function familiesView(db: Reader): Promise<FamiliesView> {
  const families = await loadFamilies(db)
  const used = await db
    .selectDistinct({ id: material.familyId })
    .from(material)
    .where(isNull(material.archivedAtMs))
  return {
    families: used.flatMap(({ id }) => {
      const row = families.get(id)
      return row ? [toFamilyView(row)] : []
    }),
  }
}

/** All families for choosing from, without physics. */
export async function catalogueView(db: Reader): Promise<FamiliesView> {
  const rows = await db
    .select()
    .from(family)
    .where(isNull(family.archivedAtMs))
    .orderBy(asc(family.kind), asc(family.name))
  return { families: rows.map((row) => ({ ...toFamilyView(row), physics: {} })) }
}

/** One family with its physics. */
export async function familyView(db: Reader, id: string): Promise<FamilyFull> {
  const row = (await loadFamilies(db)).get(id)
  if (!row) throw new ProblemError('unknownId', 'There is no such family of material.')
  return toFamilyView(row)
}
