import { v7 } from 'uuid'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { FrameView, PatternsView, WorkView } from '../contract/index.ts'
import { box, hook, hookFamily, id, placeA } from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import { openTestServer } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'
import { checkDatabase } from './upkeep/verify.ts'

/** A bound against a hang: a loaded machine takes its time. */
const LONGEST_MS = 120_000

let server: TestServer
onShippedData((opened) => {
  server = opened
})
beforeEach(async () => {
  await server
    .command('boxCreate', { ...box, compartments: [{ ...box.compartments[0]!, capacity: null }] })
    .expect(200)
})
afterEach(() => server.close())

/** So many flies that nobody has a recipe of, two each into one compartment. */
const manyFlies = (count: number, key = 'works') => {
  const flies = Array.from({ length: count }, (_, n) => ({ patternId: id(`${key}:p${n}`), variantId: id(`${key}:v${n}`), name: `${key} ${n}`, label: '#16', hookMaterialId: hook })) // prettier-ignore
  return {
    how: 'found' as const,
    newMaterials: [{ id: hook, familyId: hookFamily, sizeKey: '16', colourName: 'bronze' }],
    newFlies: flies,
    lines: flies.map(({ variantId }) => ({ compartmentId: placeA, variantId, count: 2 })),
  }
}
const put = (body: ReturnType<typeof manyFlies>, commandId: string) =>
  server.agent
    .post('/api/imports')
    .set('Host', '127.0.0.1:4180')
    .send({ id: commandId, kind: 'fliesPutIn', body })
const get = async <View>(path: string) => (await server.get(path).expect(200)).body as View
const patternCount = async () => (await get<PatternsView>('/api/patterns')).patterns.length
const figuresToCome = async () => (await get<FrameView>('/api/frame')).roll.figuresToCome
const stop = (commandId: string) =>
  server.agent.post('/api/long-writes/stop').set('Host', '127.0.0.1:4180').send({ id: commandId })

/** Waits until a long write is so far, and answers how many lines it has. */
async function underWay(commandId: string, share: number): Promise<number> {
  for (;;) {
    const work = (await get<WorkView>('/api/long-writes')).work.find(({ id: known }) => known === commandId)
    if (work && work.done > work.total * share) return work.total
  }
}

describe('a large import', () => {
  it('says how far it is, answers others meanwhile, and is there when it is done', async () => {
    const commandId = v7()
    const importing = put(manyFlies(400), commandId)
      .expect(200)
      .then(({ body }) => body as { label: string })
    expect(await underWay(commandId, 0.2)).toBe(801)
    // what is not done yet is not seen
    expect(await patternCount()).toBe(0)
    expect((await importing).label).toMatch(/800/)
    expect(await patternCount()).toBe(400)
    expect((await get<WorkView>('/api/long-writes')).work).toEqual([])
  })

  it('leaves nothing behind where it is stopped, and can be sent again', async () => {
    const commandId = v7()
    const importing = put(manyFlies(400), commandId).then(({ status, body }) => ({
      status,
      body: body as { code: string },
    }))
    await underWay(commandId, 0.3)
    expect((await stop(commandId).expect(200)).body).toEqual({ stopped: true })
    expect(await importing).toMatchObject({ status: 409, body: { code: 'stopped' } })
    expect(await patternCount()).toBe(0)
    expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
    await put(manyFlies(3), commandId).expect(200)
    expect(await patternCount()).toBe(3)
    expect((await stop(commandId).expect(200)).body).toEqual({ stopped: false })
  })

  it('is taken back in slices too', async () => {
    const { body } = await put(manyFlies(300), v7()).expect(200)
    let undone = false
    const undoing = server
      .command('undo', { actionId: (body as { actionId: string }).actionId })
      .then((answer) => {
        undone = true
        return answer
      })
    let answered = 0
    while (!undone) {
      await get('/api/alive')
      if (!undone) answered += 1
    }
    expect((await undoing).status).toBe(200)
    expect(answered).toBeGreaterThan(2)
    expect(await patternCount()).toBe(0)
  })

  it('has its figures worked out behind, also after the server ended meanwhile', async () => {
    await put(manyFlies(300), v7()).expect(200)
    const first = await figuresToCome()
    expect(first).toBeGreaterThan(100)
    expect(first).toBeLessThan(300)
    const { rows } = await server.database.client.execute('pragma database_list')
    await server.close()
    server = await openTestServer(String(rows[0]?.file))
    expect(await figuresToCome()).toBeGreaterThan(0)
    await expect.poll(figuresToCome, { timeout: LONGEST_MS }).toBe(0)
    const { patterns } = await get<PatternsView>('/api/patterns')
    expect(patterns.every(({ variants }) => variants.every(({ figure }) => figure.drawingKey !== null))).toBe(
      true,
    )
  })
  it('brings no figures that are reckoned from what was known before something was measured', async () => {
    await put(manyFlies(400), v7()).expect(200)
    await server
      .command('weighingSave', {
        weighingId: id('works:weighing'),
        weighing: {
          subject: { kind: 'material', materialId: hook },
          count: 10,
          totalMg: 160,
          readabilityMg: 1,
          source: 'entered',
          note: '',
        },
      })
      .expect(200)
    await expect.poll(figuresToCome, { timeout: LONGEST_MS }).toBe(0)
    // the check works every figure out anew and says how many it had to mend
    expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  })

  it('has its figures though what they are reckoned from keeps changing meanwhile', async () => {
    await put(manyFlies(400), v7()).expect(200)
    let [over, changes] = [false, 0]
    const changing = (async () => {
      for (; !over; changes += 1) {
        await server.command('settingsSave', { change: { noLead: changes % 2 === 0 } }).expect(200)
        await new Promise((resolve) => setTimeout(resolve, 30))
      }
    })()
    await expect.poll(figuresToCome, { timeout: LONGEST_MS }).toBe(0)
    over = true
    await changing
    expect(changes).toBeGreaterThan(3)
  })

  it('can be taken back while its figures are worked out', async () => {
    const { body } = await put(manyFlies(400), v7()).expect(200)
    expect(await figuresToCome()).toBeGreaterThan(0)
    await server.command('undo', { actionId: (body as { actionId: string }).actionId }).expect(200)
    await put(manyFlies(3, 'later'), v7()).expect(200)
    await expect.poll(figuresToCome, { timeout: LONGEST_MS }).toBe(0)
    expect(await patternCount()).toBe(3)
    expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  })
})
