import { afterEach, describe, expect, it } from 'vitest'
import { eq } from 'drizzle-orm'
import type { MovedView } from '../contract/index.ts'
import { told } from './db/schema.ts'
import type { ToldBody } from './db/schema.ts'
import { box, midge } from './testing/smallBox.ts'
import { river } from './testing/smallRiver.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'
import { keepTold } from './upkeep/toldKeeper.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

const TODAY = '2026-06-04'
const moved = async () => ((await server.get('/api/moved').expect(200)).body as MovedView).told
const kept = async () => {
  const [row] = await server.database.db.select().from(told).where(eq(told.which, 'latest'))
  if (!row) throw new Error('nothing is kept')
  return row
}
/** The version before had other words for it. */
const saidBefore = async (change: (body: ToldBody) => ToldBody) => {
  const { body } = await kept()
  await server.database.write((tx) =>
    tx
      .update(told)
      .set({ body: change(body) })
      .where(eq(told.which, 'latest')),
  )
}

describe('what the version before told', () => {
  it('is nothing while there was none, and nothing where this one says the same', async () => {
    await server.command('waterCreate', river).expect(200)
    expect(await moved()).toBeNull()
    await keepTold(server.database, TODAY, 'first')
    expect(await moved()).toBeNull()
    await keepTold(server.database, TODAY, 'second')
    expect(await moved()).toEqual({ on: TODAY, actionsBetween: 0, fish: [], serving: [], outings: [] })
  })

  it('lets others be answered between one moment and the next', async () => {
    await server.command('waterCreate', river).expect(200)
    await keepTold(server.database, TODAY, 'first')
    let [turns, over] = [0, false]
    const taken = () => {
      turns += 1
      if (!over) setImmediate(taken)
    }
    setImmediate(taken)
    await keepTold(server.database, '2026-06-05', 'first')
    over = true
    const { on, body } = await kept()
    expect(on).toBe('2026-06-05')
    expect(turns).toBeGreaterThanOrEqual(body.fish.length)
  })

  it('is held against what this one says of the same moment and fly', async () => {
    await server.command('waterCreate', river).expect(200)
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    await keepTold(server.database, TODAY, 'first')
    const { body } = await kept()
    const july = body.fish.findIndex(({ on, localMin }) => on === '2026-07-15' && localMin === 840)
    const [stage, share] = Object.entries(body.fish[july]!.shares)[0]!
    await saidBefore(({ fish, serves, ...same }) => ({
      ...same,
      fish: fish.map((one, i) =>
        i === july ? { ...one, shares: { ...one.shares, [stage]: share + 0.3 } } : one,
      ),
      serves: Object.fromEntries(Object.entries(serves).map(([recipe, stages]) => [recipe, stages.slice(1)])),
    }))
    await keepTold(server.database, '2026-06-05', 'second')
    const said = (await moved())!
    expect(said.fish).toHaveLength(1)
    expect(said.fish[0]).toMatchObject({ foodStageId: stage, on: '2026-07-15', localMin: 840 })
    expect(said.fish[0]!.before - said.fish[0]!.now).toBeCloseTo(0.3, 6)
    const [fly] = said.serving
    expect(fly?.gained).toHaveLength(1)
    expect(fly?.lost).toEqual([])
    // the third version is held against the second, and not against the first
    await keepTold(server.database, '2026-06-06', 'third')
    expect(await moved()).toMatchObject({ fish: [], serving: [] })
  })

  it('says how much was done between', async () => {
    await server.command('waterCreate', river).expect(200)
    await keepTold(server.database, TODAY, 'first')
    await server.command('boxCreate', box).expect(200)
    await keepTold(server.database, TODAY, 'second')
    expect((await moved())?.actionsBetween).toBe(1)
  })
})
