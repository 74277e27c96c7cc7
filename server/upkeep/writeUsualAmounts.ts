import { asc, eq, sql } from 'drizzle-orm'
import { AMOUNTS, hookOf, KINDS, recipeOf } from '../../core/index.ts'
import type { Component, Material, Swap } from '../../core/index.ts'
import type { DressingBody, PatternId } from '../../contract/index.ts'
import type { Database, Tx } from '../db/database.ts'
import { dressing, material, RECIPE_VERSION, variant, variantRevision } from '../db/schema.ts'
import { contentHash } from '../db/ids.ts'
import { loadMaterials } from '../read/materials.ts'
import { amountsBefore, lengthBefore } from './usualBefore.ts'

type Materials = ReadonlyMap<string, Material>

const isOlder = (body: typeof dressing.body | typeof variantRevision.body) =>
  sql`json_extract(${body}, '$.schemaVersion') < ${RECIPE_VERSION}`

/** A line with all that it was reckoned with until now written into it. */
function written(component: Component, materials: Materials, shankMm: number): Component {
  const material = materials.get(component.materialId)
  if (!material) return component
  const { from, to } = component.place
  const before = amountsBefore(component, material, (to - from) * shankMm)
  const added = AMOUNTS.flatMap((amount) =>
    component[amount] === undefined && before[amount] !== undefined ? [[amount, before[amount]]] : [],
  )
  const length =
    component.length ??
    (KINDS[component.kind].asks(material.family.kind).includes('length')
      ? lengthBefore(component.kind)
      : undefined)
  return { ...component, ...Object.fromEntries(added), ...(length ? { length } : {}) }
}

function writtenBody(body: DressingBody, hookId: string, materials: Materials): DressingBody {
  const hook = materials.get(hookId)
  const shankMm = hook && hookOf(hook)?.shankMm
  if (!shankMm) return body
  const components = body.components.map((component) => written(component, materials, shankMm))
  return { ...body, components: components as DressingBody['components'] }
}

/** A variant's swaps with what its lines would now be tied otherwise than they were: other turns on another hook, other goods. */
function writtenSwaps(
  current: DressingBody,
  swaps: readonly Swap[],
  asTied: DressingBody,
  materials: Materials,
): readonly Swap[] {
  const tied = new Map(asTied.components.map((component) => [component.key, component]))
  const byKey = new Map(swaps.map((swap) => [swap.componentKey, swap]))
  for (const now of recipeOf(current, { hookMaterialId: '', swaps }, materials)) {
    const wanted = tied.get(now.key)
    const differs = AMOUNTS.filter((amount) => wanted?.[amount] !== undefined && wanted[amount] !== now[amount])
    if (!wanted || differs.length === 0) continue
    const change = Object.fromEntries(differs.map((amount) => [amount, wanted[amount]]))
    byKey.set(now.key, { componentKey: now.key, ...byKey.get(now.key), ...change })
  }
  return [...byKey.values()]
}

async function writeRevisions(tx: Tx, materials: Materials): Promise<void> {
  const rows = await tx.select().from(variantRevision).where(isOlder(variantRevision.body))
  const taken = new Set<string>()
  for (const { id, variantId, body } of rows.reverse()) {
    const recipe = {
      ...body,
      schemaVersion: RECIPE_VERSION,
      dressing: writtenBody(body.dressing, body.hookMaterialId, materials),
    } as const
    const hash = contentHash(recipe)
    // one that said what another left out is the same recipe now: the older of them keeps its id under a hash of its own
    const contentHashOfIt = taken.has(variantId + hash) ? `${hash}:${id}` : hash
    taken.add(variantId + hash)
    await tx
      .update(variantRevision)
      .set({ body: recipe, contentHash: contentHashOfIt })
      .where(eq(variantRevision.id, id))
  }
}

async function writeDressings(tx: Tx, materials: Materials): Promise<void> {
  const rows = await tx.select().from(dressing).where(isOlder(dressing.body)).orderBy(asc(dressing.revision))
  const current = new Map<PatternId, DressingBody>()
  for (const { id, patternId, body } of rows) {
    const [first] = await tx
      .select({ hookMaterialId: variant.hookMaterialId })
      .from(variant)
      .where(eq(variant.patternId, patternId))
      .orderBy(asc(variant.position))
      .limit(1)
    const { schemaVersion: _old, ...recipe } = body
    const next = first ? writtenBody(recipe, first.hookMaterialId, materials) : recipe
    current.set(patternId, next)
    await tx
      .update(dressing)
      .set({ body: { ...next, schemaVersion: RECIPE_VERSION }, contentHash: contentHash(next) })
      .where(eq(dressing.id, id))
  }
  for (const [patternId, body] of current) {
    const variants = await tx
      .select({ id: variant.id, swaps: variant.swaps, tied: variantRevision.body })
      .from(variant)
      .innerJoin(variantRevision, eq(variantRevision.id, variant.currentRevisionId))
      .where(eq(variant.patternId, patternId))
    for (const { id, swaps, tied } of variants) {
      const next = writtenSwaps(body, swaps, tied.dressing, materials)
      if (contentHash(next) !== contentHash(swaps)) {
        await tx
          .update(variant)
          .set({ swaps: next as typeof swaps })
          .where(eq(variant.id, id))
      }
    }
  }
}

/**
 * Writes into older recipes what they were reckoned with where they said nothing, once: from then on a change of what is
 * usual touches new lines only. Ids stay; recipes are hashed anew; no figure of theirs moves.
 */
export async function writeUsualAmounts({ db, write }: Database): Promise<void> {
  const [older] = await db
    .select({ id: variantRevision.id })
    .from(variantRevision)
    .where(isOlder(variantRevision.body))
    .limit(1)
  if (!older) return
  await write(async (tx) => {
    const ids = await tx.select({ id: material.id }).from(material)
    const materials = await loadMaterials(
      tx,
      ids.map(({ id }) => id),
    )
    await writeRevisions(tx, materials)
    await writeDressings(tx, materials)
  })
}
