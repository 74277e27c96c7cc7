import { eq } from 'drizzle-orm'
import type { Property } from '../../core/index.ts'
import type { CommandBody, MaterialId } from '../../contract/index.ts'
import { family, material } from '../db/schema.ts'
import { byCalliper, MEASURED_OF_HOOK, spoolProperties, wording } from '../../core/index.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { bookMaterials, materialBalances } from './ledger.ts'

/** A drawer by name, or a problem that it is not there. */
export async function drawerOf({ tx }: CommandContext, materialId: MaterialId): Promise<string> {
  const [row] = await tx
    .select({
      kind: family.kind,
      name: family.name,
      sizeKey: material.sizeKey,
      colourName: material.colourName,
    })
    .from(material)
    .innerJoin(family, eq(family.id, material.familyId))
    .where(eq(material.id, materialId))
  if (!row) throw new ProblemError('unknownId', 'There is no such material.')
  return wording.drawerName(row, row.sizeKey, row.colourName)
}

/** Books what came or went, or what was counted. */
export const materialEntry: Handler<CommandBody<'materialEntry'>> = async (
  context,
  { materialId, cause, amount },
) => {
  const subject = await drawerOf(context, materialId)
  const onHand = (await materialBalances(context, [materialId])).get(materialId) ?? 0
  const leaves = cause === 'wasted' || cause === 'given'
  const delta = cause === 'counted' ? amount - onHand : leaves ? -amount : amount
  await bookMaterials(context, [{ materialId, delta, cause, counted: cause === 'counted' ? amount : null }])
  const code = cause === 'counted' ? 'materialCounted' : leaves ? 'materialTaken' : 'materialBought'
  return { label: { code, subject } }
}

/** Records what a calliper says of a hook, or takes it back. */
export const hookMeasure: Handler<CommandBody<'hookMeasure'>> = async (context, body) => {
  const { materialId, version, ...measured } = body
  const subject = await drawerOf(context, materialId)
  const { overrides } = await context.recorder.need('material', materialId, 'material')
  const { shankMm: _shank, gapeMm: _gape, wireMm: _wire, ...others } = overrides
  const own = MEASURED_OF_HOOK.flatMap((name): [string, Property][] => {
    const value = measured[name]
    return value === null ? [] : [[name, byCalliper(name, value)]]
  })
  await context.recorder.update('material', materialId, version, {
    overrides: { ...others, ...Object.fromEntries(own) },
  })
  return { label: { code: 'hookMeasured', subject } }
}

/** Records what the spool of a line says, or takes it back. */
export const lineSpool: Handler<CommandBody<'lineSpool'>> = async (context, { materialId, version, spool }) => {
  const subject = await drawerOf(context, materialId)
  const { overrides } = await context.recorder.need('material', materialId, 'material')
  const { diameterMm: _diameter, densityMgPerMm3: _density, ...others } = overrides
  await context.recorder.update('material', materialId, version, {
    overrides: { ...others, ...(spool ? spoolProperties(spool) : {}) },
  })
  return { label: { code: 'spoolRead', subject } }
}

/** Changes what is kept of a material, its pack and its note. */
export const materialSave: Handler<CommandBody<'materialSave'>> = async (context, body) => {
  const { materialId, version, ...change } = body
  const subject = await drawerOf(context, materialId)
  await context.recorder.update('material', materialId, version, change)
  return { label: { code: 'materialSaved', subject } }
}
