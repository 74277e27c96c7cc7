import { and, eq, isNull, max } from 'drizzle-orm'
import { recipeOf, resolveDressing, withUsualAmounts, wording } from '../../core/index.ts'
import type { Material } from '../../core/index.ts'
import { foldedKey } from '../../contract/index.ts'
import type {
  CommandBody,
  DressingBody,
  DressingId,
  PatternId,
  VariantRevisionId,
} from '../../contract/index.ts'
import { dressing, RECIPE_VERSION, variant, variantRevision } from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { contentHash, newId } from '../db/ids.ts'
import { currentDressing } from '../read/currentDressing.ts'
import { loadMaterials } from '../read/materials.ts'
import { ProblemError } from '../problems/problem.ts'
import type { CommandContext, Handler } from './context.ts'
import { correctRecord } from './correctRecord.ts'
import { mintMaterials } from './mint.ts'

type PatternSave = CommandBody<'patternSave'>
type VariantInput = PatternSave['variants'][number]

/** Stands for the recipe of a variant that is just being made. */
const NO_REVISION = '' as VariantRevisionId

/** A recipe with every usual amount in it, and the drawers that it names. */
interface Written {
  readonly dressing: DressingBody
  readonly materials: ReadonlyMap<string, Material>
}

/** The dressing that a save leaves current: the one that is where nothing changed, else a new revision. */
async function dressingToKeep({ tx, nowMs }: CommandContext, patternId: PatternId, body: DressingBody) {
  const hash = contentHash(body)
  const current = await currentDressing(tx, patternId)
  if (current?.contentHash === hash) return { id: current.id, row: null }
  const [last] = await tx
    .select({ revision: max(dressing.revision) })
    .from(dressing)
    .where(eq(dressing.patternId, patternId))
  const id = newId<DressingId>()
  return {
    id,
    row: {
      id,
      patternId,
      revision: (last?.revision ?? 0) + 1,
      body: { ...body, schemaVersion: RECIPE_VERSION as typeof RECIPE_VERSION },
      contentHash: hash,
      createdAtMs: nowMs,
    },
  }
}

/** The recipe of a variant as it would be tied now; one that was tied before is found again. */
async function keepRevision(
  { tx, recorder, nowMs }: CommandContext,
  input: VariantInput,
  dressingId: DressingId,
  { dressing: body, materials }: Written,
): Promise<VariantRevisionId> {
  const components = recipeOf(body, input, materials).map((component) => ({
    ...component,
  })) as DressingBody['components']
  const recipe: RevisionBody = {
    schemaVersion: RECIPE_VERSION,
    hookMaterialId: input.hookMaterialId,
    dressing: { components, steps: body.steps },
  }
  const hash = contentHash(recipe)
  const [there] = await tx
    .select({ id: variantRevision.id })
    .from(variantRevision)
    .where(and(eq(variantRevision.variantId, input.id), eq(variantRevision.contentHash, hash)))
  if (there) return there.id
  const id = newId<VariantRevisionId>()
  await recorder.insert('variantRevision', {
    id,
    variantId: input.id,
    dressingId,
    body: recipe,
    contentHash: hash,
    createdAtMs: nowMs,
  })
  await recorder.insertRevisionMaterials([
    { variantRevisionId: id, componentKey: 'hook', materialId: recipe.hookMaterialId },
    ...components.map(({ key, materialId }) => ({ variantRevisionId: id, componentKey: key, materialId })),
  ])
  return id
}

async function saveVariant(
  context: CommandContext,
  patternId: PatternId,
  input: VariantInput,
  position: number,
  dressingId: DressingId,
  written: Written,
): Promise<void> {
  const { recorder } = context
  const there = await recorder.find('variant', input.id)
  const { parCount = there?.parCount ?? null, homeCompartmentId = there?.homeCompartmentId ?? null } = input
  const row = {
    position,
    label: input.label,
    labelKey: foldedKey(input.label),
    hookMaterialId: input.hookMaterialId,
    swaps: input.swaps,
    parCount,
    homeCompartmentId,
  }
  if (there && there.patternId !== patternId)
    throw new ProblemError('unknownId', 'That variant is of another pattern.')
  if (!there)
    await recorder.insert('variant', { ...row, id: input.id, patternId, currentRevisionId: NO_REVISION })
  const currentRevisionId = await keepRevision(context, input, dressingId, written)
  const before = there ?? { ...row, currentRevisionId: NO_REVISION, archivedAtMs: null }
  const after = { ...row, currentRevisionId, archivedAtMs: null }
  const changed =
    contentHash(after) !==
    contentHash(Object.fromEntries(Object.keys(after).map((k) => [k, before[k as keyof typeof after]])))
  if (changed) await recorder.update('variant', input.id, null, after)
}

function checkLabels(variants: readonly VariantInput[]): void {
  const seen = new Set<string>()
  variants.forEach(({ label }, i) => {
    const key = foldedKey(label)
    if (seen.has(key)) {
      const message = `Two variants are called ${label}.`
      throw new ProblemError('nameTaken', message, [{ path: `variants.${i}.label`, message }])
    }
    seen.add(key)
  })
}

/** Refuses what can be no fly: no hook, lengths in a circle, by what is not there, or beyond all measure. */
function checkFlies({ dressing: body, materials }: Written, variants: readonly VariantInput[]): void {
  for (const [i, input] of variants.entries()) {
    const resolved = resolveDressing(body, input, materials)
    if (resolved.kind === 'fly') continue
    const [fault] = resolved.missing.filter(({ code }) => code !== 'unknownMaterial')
    if (!fault) continue
    const isSwap = input.swaps.some(({ componentKey }) => componentKey === fault.componentKey)
    const path =
      fault.componentKey === null
        ? `variants.${i}.hookMaterialId`
        : isSwap
          ? `variants.${i}.swaps`
          : 'dressing.components'
    const message = wording.missingSentence(fault)
    throw new ProblemError('invalidInput', message, [{ path, message }])
  }
}

/** The recipe with every usual amount in it, so that a later change of what is usual leaves the flies alone. */
async function withAmountsWritten(
  { tx }: CommandContext,
  body: PatternSave,
): Promise<Written & { readonly variants: readonly VariantInput[] }> {
  const ids = [
    ...body.variants.map(({ hookMaterialId }) => hookMaterialId),
    ...body.dressing.components.map(({ materialId }) => materialId),
    ...body.variants.flatMap(({ swaps }) => swaps.flatMap(({ materialId }) => materialId ?? [])),
  ]
  const materials = await loadMaterials(tx, ids)
  const written = { ...withUsualAmounts(body.dressing, body.variants, materials), materials }
  checkFlies(written, written.variants)
  return written
}

/** Saves a pattern with its dressing and all its variants; variants that are left out are put away. */
export const patternSave: Handler<PatternSave> = async (context, body) => {
  const { tx, recorder, nowMs } = context
  checkLabels(body.variants)
  await mintMaterials(context, body.newMaterials)
  const written = await withAmountsWritten(context, body)
  const { id: dressingId, row: newDressing } = await dressingToKeep(context, body.patternId, written.dressing)
  const row = {
    currentDressingId: dressingId,
    name: body.name,
    nameKey: foldedKey(body.name),
    purpose: body.purpose,
    roles: body.roles,
    ownMonths: body.ownMonths,
    fishedHow: body.fishedHow,
    waterKinds: body.waterKinds,
    dislike: body.dislike,
    note: body.note,
  }
  if (body.version === null) await recorder.insert('pattern', { ...row, id: body.patternId })
  else await recorder.update('pattern', body.patternId, body.version, row)
  await recorder.replaceServes(
    body.patternId,
    body.serves.map((served) => ({ ...served, patternId: body.patternId })),
  )
  if (newDressing) await recorder.insert('dressing', newDressing)
  const kept = new Set<string>(body.variants.map(({ id }) => id))
  const there = await tx
    .select({ id: variant.id })
    .from(variant)
    .where(and(eq(variant.patternId, body.patternId), isNull(variant.archivedAtMs)))
  for (const { id } of there) {
    if (!kept.has(id))
      await recorder.update('variant', id, null, { archivedAtMs: nowMs, homeCompartmentId: null })
  }
  for (const [position, input] of written.variants.entries()) {
    await saveVariant(context, body.patternId, input, position, dressingId, written)
  }
  const count = body.correctsRecord
    ? await correctRecord(
        context,
        written.variants.map(({ id }) => id),
      )
    : 0
  if (count > 0) return { label: { code: 'recordCorrected', subject: body.name, count } }
  return { label: { code: body.version === null ? 'patternMade' : 'patternSaved', subject: body.name } }
}

/** Puts a pattern away; its flies and its history stay. */
export const patternArchive: Handler<CommandBody<'patternArchive'>> = async ({ recorder, nowMs }, body) => {
  const row = await recorder.need('pattern', body.patternId, 'pattern')
  await recorder.update('pattern', body.patternId, body.version, { archivedAtMs: nowMs })
  return { label: { code: 'patternArchived', subject: row.name } }
}

/** Gives a variant its place and says how many to keep. */
export const variantHome: Handler<CommandBody<'variantHome'>> = async ({ recorder }, body) => {
  const row = await recorder.need('variant', body.variantId, 'variant')
  const place = body.homeCompartmentId
    ? await recorder.need('compartment', body.homeCompartmentId, 'compartment')
    : null
  await recorder.update('variant', body.variantId, body.version, {
    parCount: body.parCount,
    homeCompartmentId: body.homeCompartmentId,
  })
  const owner = await recorder.need('pattern', row.patternId, 'pattern')
  return { label: { code: 'homeSet', subject: `${owner.name} ${row.label}`, place: place?.label ?? '' } }
}
