import { sql } from 'drizzle-orm'
import { afterEach, describe, expect, it } from 'vitest'
import type { MovedView, PatternsView } from '../contract/index.ts'
import { box, midge, variantId } from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'
import { refreshStaleFigures } from './upkeep/figures.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

const save = async () => {
  await server.command('boxCreate', box).expect(200)
  await server.command('patternSave', midge({ note: 'Keep it thin.' })).expect(200)
}
const moved = async () => ((await server.get('/api/moved').expect(200)).body as MovedView).flies
const midgeNow = async () =>
  ((await server.get('/api/patterns').expect(200)).body as PatternsView).patterns[0]!.variants.find(
    ({ id }) => id === variantId,
  )!

/** Makes the figures those of an earlier version: other inputs, and falls that were so many times as fast. */
const asBefore = (times: number) =>
  server.database.write((tx) =>
    tx.run(
      sql`update variant_figure set input_hash = 'earlier', sink_speed_mm_per_s = sink_speed_mm_per_s * ${times}, low = low * ${times}, high = high * ${times}`,
    ),
  )

describe('what moved since the last version', () => {
  it('is nothing before there was one', async () => {
    await save()
    expect(await moved()).toEqual([])
  })

  it('names flies that left their band, with what they were, what they are and why; the rest stays as it was', async () => {
    await save()
    const { figure, ...kept } = await midgeNow()
    await asBefore(2)
    await refreshStaleFigures(server.database)
    const flies = await moved()
    expect(flies.map((fly) => fly.variantId)).toContain(variantId)
    const fly = flies.find((one) => one.variantId === variantId)!
    expect(fly.before.sinkSpeedMmPerS! / fly.now.sinkSpeedMmPerS!).toBeCloseTo(2, 6)
    expect(fly.now.sinkSpeedMmPerS).toBe(figure.sinkSpeedMmPerS)
    // thread wound on thread: nothing lies over a part of it only
    expect(fly.causes).toEqual([])
    const { figure: _now, ...after } = await midgeNow()
    expect(after).toEqual(kept)
  })

  it('leaves out what moved within its band', async () => {
    await save()
    await asBefore(1.03)
    await refreshStaleFigures(server.database)
    expect(await moved()).toEqual([])
  })
})
