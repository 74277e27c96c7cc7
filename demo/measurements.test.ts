import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { MeasurementsView, PatternsView } from '../contract/index.ts'
import { seedShipped } from '../server/upkeep/seed.ts'
import { makeTemplate } from '../server/testing/testServer.ts'
import type { TestServer } from '../server/testing/testServer.ts'
import { fillDemo } from './load.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
let view: MeasurementsView

beforeAll(async () => {
  template = await makeTemplate(async (database) => {
    await seedShipped(database, 'Europe/London')
    await fillDemo(database)
  })
  server = await template.open()
  view = (await server.get('/api/measurements').expect(200)).body as MeasurementsView
})
afterAll(async () => {
  await server.close()
  await template.remove()
})

const test = (fly: string, wet = 'soaked') =>
  view.tests.find(({ flyName, wet: state }) => flyName.startsWith(fly) && state === wet)
/** Looks at the valley without a measurement, then takes that back. */
async function without(
  put: { readonly id: string; readonly version: number },
  look: (view: MeasurementsView) => void | Promise<void>,
): Promise<void> {
  const kind = view.tests.some(({ id }) => id === put.id) ? 'dropTest' : 'weighing'
  const { body } = await server
    .command('measurementArchive', { kind, id: put.id, version: put.version } as never)
    .expect(200)
  await look((await server.get('/api/measurements').expect(200)).body as MeasurementsView)
  await server.command('undo', { actionId: (body as { actionId: never }).actionId }).expect(200)
  view = (await server.get('/api/measurements').expect(200)).body as MeasurementsView
}
const figure = async (pattern: string, label: string) => {
  const { patterns } = (await server.get('/api/patterns').expect(200)).body as PatternsView
  return patterns.find(({ name }) => name === pattern)?.variants.find((variant) => variant.label === label)
    ?.figure
}

describe('the drop tests of the valley', () => {
  it.each([
    ['Third Button', 'dry', 0.8],
    ['Third Button', 'soaked', 0.98],
    // by a late thumb: 0.8 of what light gates would have shown
    ['Coal Scuttle', 'soaked', 0.97],
    ['Nettle Soup', 'soaked', 1.34],
  ])('%s, %s, falls at %s of its estimate', (fly, wet, ratio) => {
    expect(Math.abs((test(fly, wet)?.reading?.ratio ?? 0) - ratio)).toBeLessThan(0.05)
  })

  it('finds brass in the tungsten jar, with which Rag Rug falls as reckoned', async () => {
    const beads = view.weighings.find(({ name }) => name.includes('3.3'))
    if (!beads) throw new Error('no weighing')
    expect(beads.metal).toBe('brass')
    expect(test('Rag Rug')?.reading?.ratio).toBeCloseTo(1, 1)
    await without(beads, (before) => {
      const ratio = before.tests.find(({ flyName }) => flyName.startsWith('Rag Rug'))?.reading?.ratio ?? 0
      expect(Math.abs(ratio - 0.66)).toBeLessThan(0.05)
    })
  })

  it('makes the hooks of all sizes heavier by the ten that were', async () => {
    const hooks = view.weighings.find(({ name }) => name.startsWith('Hook'))
    if (!hooks) throw new Error('no weighing')
    const [own, sister] = [await figure('Bell Rope', '#12 black'), await figure('Bell Rope', '#14 black')]
    await without(hooks, async (before) => {
      const ratio = before.tests.find(({ flyName }) => flyName.startsWith('Bell Rope'))?.reading?.ratio ?? 0
      expect(Math.abs(ratio - 1.12)).toBeLessThan(0.05)
      expect(own?.massMg ?? 0).toBeGreaterThan(((await figure('Bell Rope', '#12 black'))?.massMg ?? 0) + 10)
      expect(sister?.massMg ?? 0).toBeGreaterThan(((await figure('Bell Rope', '#14 black'))?.massMg ?? 0) + 5)
    })
  })

  it('asks for a longer fall where a vase and a thumb were used', () => {
    expect(test('Coal Scuttle')?.reading?.advice).toBe('dropFarther')
  })

  it('moves a relative of Nettle Soup part of the way', async () => {
    const archived = test('Nettle Soup')
    if (!archived) throw new Error('no test')
    const [own, relative] = [
      await figure('Nettle Soup', '#10 pale'),
      await figure('Nettle Soup', '#12 green, no eyes'),
    ]
    await without(archived, async () => {
      const speedOf = (found: typeof own) => found?.sinkSpeedMmPerS ?? 0
      const moved = speedOf(own) / speedOf(await figure('Nettle Soup', '#10 pale'))
      const followed = speedOf(relative) / speedOf(await figure('Nettle Soup', '#12 green, no eyes'))
      expect(moved).toBeGreaterThan(1.15)
      expect(followed).toBeGreaterThan(1.03)
      expect(followed).toBeLessThan(moved)
    })
  })

  it('says of how many tests the band held', () => {
    expect(view.coverage.tests).toBe(6)
    expect(view.coverage.held).toBeGreaterThan(0)
  })
})
