import { foldedKey } from '../../contract/index.ts'
import type { CommandBody, DressingId, VariantRevisionId } from '../../contract/index.ts'
import { RECIPE_VERSION } from '../db/schema.ts'
import type { RevisionBody } from '../db/schema.ts'
import { contentHash, newId } from '../db/ids.ts'
import type { CommandContext, Handler } from './context.ts'
import { countFlies } from './flies.ts'
import { bookFlies, bookMaterials, checkCapacity, materialBalances } from './ledger.ts'
import { mintMaterials } from './mint.ts'

type BareFly = CommandBody<'fliesPutIn'>['newFlies'][number]

/** A fly without a recipe: a pattern of no components with one variant. */
async function makeBareFly({ recorder, nowMs }: CommandContext, fly: BareFly): Promise<void> {
  const { patternId, variantId, name, label, hookMaterialId } = fly
  await recorder.insert('pattern', {
    id: patternId,
    name,
    nameKey: foldedKey(name),
    purpose: 'searching',
    roles: [],
    ownMonths: [],
    fishedHow: [],
    waterKinds: [],
    dislike: 0,
    note: '',
  })
  const dressing = { components: [], steps: null }
  const dressingId = newId<DressingId>()
  await recorder.insert('dressing', {
    id: dressingId,
    patternId,
    revision: 1,
    body: { ...dressing, schemaVersion: RECIPE_VERSION },
    contentHash: contentHash(dressing),
    createdAtMs: nowMs,
  })
  const revisionId = newId<VariantRevisionId>()
  await recorder.insert('variant', {
    id: variantId,
    patternId,
    position: 0,
    label,
    labelKey: foldedKey(label),
    hookMaterialId,
    swaps: [],
    currentRevisionId: revisionId,
  })
  const recipe: RevisionBody = {
    schemaVersion: RECIPE_VERSION,
    hookMaterialId: hookMaterialId,
    dressing,
  }
  await recorder.insert('variantRevision', {
    id: revisionId,
    variantId,
    dressingId,
    body: recipe,
    contentHash: contentHash(recipe),
    createdAtMs: nowMs,
  })
  await recorder.insertRevisionMaterials([
    { variantRevisionId: revisionId, componentKey: 'hook', materialId: hookMaterialId },
  ])
}

/** Puts many flies into compartments, all or none; makes those that nobody has a recipe of. */
export const fliesPutIn: Handler<CommandBody<'fliesPutIn'>> = async (context, body) => {
  const { recorder } = context
  const { pace } = context
  pace.expect(body.newMaterials.length + body.newFlies.length + body.lines.length)
  await mintMaterials(context, body.newMaterials)
  for (const fly of body.newFlies) {
    await makeBareFly(context, fly)
    await pace.step()
  }
  let put = 0
  const places = new Set<string>()
  for (const { compartmentId, variantId, count } of body.lines) {
    await pace.step()
    const place = await recorder.need('compartment', compartmentId, 'compartment')
    places.add(place.label)
    put += count
    if (body.how === 'counted') {
      await countFlies(context, { compartmentId, variantId, counted: count }, body.anyway)
    } else if (count > 0) {
      const { currentRevisionId } = await recorder.need('variant', variantId, 'fly')
      await checkCapacity(context, compartmentId, count, body.anyway)
      await bookFlies(context, [
        { compartmentId, variantRevisionId: currentRevisionId, delta: count, cause: 'found' },
      ])
    }
  }
  const [first = ''] = places
  const place = places.size === 1 ? first : `${places.size} compartments`
  return { label: { code: 'fliesPutIn', subject: '', count: put, place } }
}

/** Takes over what many drawers hold and how they are bought, all or none. */
export const storesPutIn: Handler<CommandBody<'storesPutIn'>> = async (context, body) => {
  context.pace.expect(body.newMaterials.length + body.lines.length)
  await mintMaterials(context, body.newMaterials)
  for (const { materialId, counted, ...bought } of body.lines) {
    await context.pace.step()
    await context.recorder.need('material', materialId, 'material')
    const change = Object.fromEntries(Object.entries(bought).filter(([, value]) => value !== null))
    if (Object.keys(change).length > 0) await context.recorder.update('material', materialId, null, change)
    if (counted === null) continue
    const onHand = (await materialBalances(context, [materialId])).get(materialId) ?? 0
    await bookMaterials(context, [{ materialId, delta: counted - onHand, cause: 'counted', counted }])
  }
  return { label: { code: 'storesPutIn', subject: '', count: body.lines.length } }
}
