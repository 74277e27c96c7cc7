import { eq, sql } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { hookOf, resolveDressing, turnsThatFit } from '../../core/index.ts'
import type { Component, Swap } from '../../core/index.ts'
import type { CommandInput, VariantId } from '../../contract/index.ts'
import { dressing, variant, variantRevision } from '../db/schema.ts'
import { loadMaterials, materialIdsOf } from '../read/materials.ts'
import { seedShipped } from './seed.ts'
import { hook, hookFamily, id, midge, patternId, thread, threadFamily } from '../testing/smallBox.ts'
import { makeTemplate } from '../testing/testServer.ts'
import type { TestServer } from '../testing/testServer.ts'
import { writeUsualAmounts } from './writeUsualAmounts.ts'

const [large, wire, tail, fur, cape] = ['large', 'wire', 'tail', 'fur', 'cape'].map((key) => id(`test:${key}`))
const [small, big, bare] = ['small', 'big', 'bare'].map((key) => id(`test:v-${key}`))

const line = (kind: Component['kind'], materialId: string, from: number, to: number) => ({
  key: kind,
  kind,
  materialId,
  place: { from, to, side: 'around' as const },
})

/** As it was saved before amounts were written down: no line says how much. */
const LINES: readonly Component[] = [
  line('wire', wire!, 0.25, 0.7),
  line('thread', thread, 0.1, 1),
  line('tail', tail!, 1, 1),
  line('body', fur!, 0.3, 1),
  line('hackle', cape!, 0.1, 0.3),
]
const THREAD_BODY: Swap = { componentKey: 'body', materialId: thread }

const pattern: CommandInput<'patternSave'> = {
  ...midge(),
  dressing: { components: LINES as never, steps: null },
  newMaterials: [
    { id: hook, familyId: hookFamily, sizeKey: '16', colourName: 'bronze' },
    { id: large!, familyId: hookFamily, sizeKey: '10', colourName: 'bronze' },
    { id: thread, familyId: threadFamily, sizeKey: '70', colourName: 'black' },
    { id: wire!, familyId: id('family:wire-tin'), sizeKey: '0.38', colourName: 'tin' },
    { id: tail!, familyId: id('family:fibre-cock-stiff'), sizeKey: '', colourName: 'dun' },
    { id: fur!, familyId: id('family:dubbing-hare'), sizeKey: '', colourName: 'natural' },
    { id: cape!, familyId: id('family:hackle-cape-stiff'), sizeKey: '14', colourName: 'dun' },
  ],
  variants: [
    { id: small!, label: 'small', hookMaterialId: hook, swaps: [] },
    { id: big!, label: 'big', hookMaterialId: large!, swaps: [] },
    { id: bare!, label: 'bare', hookMaterialId: hook, swaps: [THREAD_BODY] },
  ].map((one) => ({ ...one, parCount: null, homeCompartmentId: null })),
}

let server: TestServer
let remove: () => Promise<void>

/** Puts the recipes back to how they were written before. */
async function asBefore(): Promise<void> {
  await server.database.write(async (tx) => {
    for (const table of ['dressing', 'variant_revision']) await tx.run(sql.raw(`drop trigger ${table}_kept`))
    await tx.update(dressing).set({
      body: { schemaVersion: 1, components: LINES, steps: null } as never,
      contentHash: 'old',
    })
    for (const { id: variantId, hookMaterialId, swaps } of pattern.variants) {
      const components = LINES.map((one) =>
        swaps.length > 0 && one.key === 'body' ? { ...one, materialId: thread } : one,
      )
      await tx
        .update(variantRevision)
        .set({
          body: { schemaVersion: 1, hookMaterialId, dressing: { components, steps: null } } as never,
          contentHash: `old ${variantId}`,
        })
        .where(eq(variantRevision.variantId, variantId as VariantId))
      await tx
        .update(variant)
        .set({ swaps: swaps as never })
        .where(eq(variant.id, variantId as VariantId))
    }
  })
}

const revisions = () => server.database.db.select().from(variantRevision)

beforeEach(async () => {
  const template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
  remove = template.remove
  server = await template.open()
  await server.command('boxCreate', { boxId: id('test:box'), name: 'Box', note: '', compartments: [] })
  const saved = await server.command('patternSave', pattern)
  expect(saved.status, JSON.stringify(saved.body)).toBe(200)
  await asBefore()
})
afterEach(async () => {
  await server.close()
  await remove()
})

describe('writing usual amounts into older recipes', () => {
  it('keeps ids and writes what each was reckoned with, by hook and goods', async () => {
    const before = await revisions()
    await writeUsualAmounts(server.database)
    const after = await revisions()
    expect(after.map((row) => row.id).sort()).toEqual(before.map((row) => row.id).sort())
    const materials = await loadMaterials(
      server.database.db,
      after.flatMap(({ body }) => materialIdsOf(body)),
    )
    for (const { variantId, body } of after) {
      const resolved = resolveDressing(
        body.dressing,
        { hookMaterialId: body.hookMaterialId, swaps: [] },
        materials,
      )
      if (resolved.kind !== 'fly') throw new Error('a fly was wanted')
      const of = (key: string) => resolved.components.find((one) => one.key === key)
      const { shankMm } = hookOf(materials.get(body.hookMaterialId)!)!
      expect(of('wire')).toMatchObject({ turns: turnsThatFit(0.45 * shankMm, 0.38), layers: 1, derived: [] })
      expect(of('thread')).toMatchObject({ layers: 2, derived: [] })
      expect(of('tail')).toMatchObject({ fibreCount: 12, derived: [] })
      expect(of('tail')?.lengthMm).toBeCloseTo((2 / 3) * shankMm, 9)
      expect(of('hackle')).toMatchObject({ turns: 3, derived: [] })
      expect(of('body')).toMatchObject(variantId === bare ? { layers: 3 } : { bulk: 0.3, derived: [] })
    }
  })

  it('gives variants on other hooks their own turns, so that saving again makes no new recipe', async () => {
    await writeUsualAmounts(server.database)
    const [big10] = await server.database.db.select().from(variant).where(eq(variant.id, big!))
    expect(big10?.swaps).toEqual([{ componentKey: 'wire', turns: expect.any(Number) }])
    const [current] = await server.database.db.select().from(dressing)
    const { schemaVersion, ...body } = current!.body
    expect(schemaVersion).toBe(2)
    const variants = await server.database.db.select().from(variant)
    const again = {
      ...pattern,
      version: 1,
      dressing: body,
      newMaterials: [],
      variants: pattern.variants.map((one) => ({
        ...one,
        swaps: variants.find((row) => row.id === one.id)!.swaps,
      })),
    }
    const count = (await revisions()).length
    expect((await server.command('patternSave', again)).status).toBe(200)
    expect(await revisions()).toHaveLength(count)
    expect(await server.database.db.select().from(dressing)).toHaveLength(1)
  })

  it('is done once, and keeps two recipes apart that now say the same', async () => {
    const [first] = (await revisions()).filter((row) => row.variantId === small)
    const said = LINES.map((one) => (one.kind === 'hackle' ? { ...one, turns: 3 } : one))
    await server.database.write((tx) =>
      tx.insert(variantRevision).values({
        ...first!,
        id: id('test:said'),
        body: { ...first!.body, dressing: { components: said as never, steps: null } },
        contentHash: 'said',
      }),
    )
    await writeUsualAmounts(server.database)
    const own = (await revisions()).filter((row) => row.variantId === small)
    expect(own).toHaveLength(2)
    expect(own[0]?.body).toEqual(own[1]?.body)
    expect(new Set(own.map(({ contentHash }) => contentHash)).size).toBe(2)
    const once = await revisions()
    await writeUsualAmounts(server.database)
    expect(await revisions()).toEqual(once)
  })
})

describe('a recipe as tied', () => {
  it('is refused any change but being written down in a later way', async () => {
    const template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
    const fresh = await template.open()
    await fresh.command('boxCreate', { boxId: id('test:box'), name: 'Box', note: '', compartments: [] })
    await fresh.command('patternSave', { ...pattern, patternId })
    for (const table of ['dressing', 'variant_revision']) {
      await expect(fresh.database.client.execute(`update ${table} set content_hash = 'x'`)).rejects.toThrow(
        /never changed/,
      )
      const later = `update ${table} set body = json_set(body, '$.schemaVersion', 3)`
      await expect(fresh.database.client.execute(later)).resolves.toMatchObject({})
    }
    await fresh.close()
    await template.remove()
  })
})
