import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { CommandInput, MeasurementsView, PatternsView } from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { seedShipped } from './upkeep/seed.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
const id = (key: string) => fixedId(key) as never
const [hook, bead, fur] = [id('m:hook'), id('m:bead'), id('m:fur')]
const [first, second] = [id('m:first'), id('m:second')]

const nymph: CommandInput<'patternSave'> = {
  patternId: id('m:pattern'),
  version: null,
  name: 'Plain Nymph',
  purpose: 'searching',
  roles: [],
  ownMonths: [],
  fishedHow: [],
  waterKinds: [],
  dislike: 0,
  note: '',
  serves: [],
  dressing: {
    components: [
      { key: 'bead', kind: 'bead', materialId: bead, place: { from: 0, to: 0.2, side: 'around' } },
      { key: 'body', kind: 'body', materialId: fur, place: { from: 0.2, to: 1, side: 'around' }, bulk: 0.4 },
    ],
    steps: null,
  },
  newMaterials: [
    { id: hook, familyId: id('family:hook-straight'), sizeKey: '14', colourName: 'bronze' },
    { id: bead, familyId: id('family:bead-brass-drilled'), sizeKey: '2.8', colourName: 'gold' },
    { id: fur, familyId: id('family:dubbing-hare'), sizeKey: '', colourName: 'natural' },
  ],
  variants: [first, second].map((variantId, i) => ({
    id: variantId,
    label: `#14 ${i}`,
    hookMaterialId: hook,
    swaps: [],
    parCount: null,
    homeCompartmentId: null,
  })),
}

const drop = (change: Partial<CommandInput<'dropTestSave'>['test']> = {}): CommandInput<'dropTestSave'> => ({
  testId: id('m:test'),
  version: null,
  test: {
    variantId: first,
    depthMm: 1200,
    timing: 'film',
    waterTempC: 10,
    vesselMm: null,
    tippet: null,
    wet: 'soaked',
    times: [5, 5.05, 4.95].map((timeS) => ({ timeS, setAside: false })),
    note: '',
    ...change,
  },
})

beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())
beforeEach(async () => {
  server = await template.open()
  await server.command('patternSave', nymph).expect(200)
})
afterEach(() => server.close())

const measurements = async () => (await server.get('/api/measurements').expect(200)).body as MeasurementsView
async function figures() {
  const { patterns } = (await server.get('/api/patterns').expect(200)).body as PatternsView
  return patterns[0]?.variants.map(({ figure }) => figure) ?? []
}
const width = (figure?: { low: number | null; high: number | null }) =>
  Math.log((figure?.high ?? 1) / (figure?.low ?? 1))

describe('a drop test', () => {
  it('moves and narrows its variant, and moves a relative part of the way', async () => {
    const [before] = await figures()
    await server.command('dropTestSave', drop()).expect(200)
    const [own, relative] = await figures()
    const was = before?.sinkSpeedMmPerS ?? 0
    expect(own?.sinkSpeedMmPerS).toBeLessThan(was)
    expect(relative?.sinkSpeedMmPerS).toBeLessThan(was)
    expect(relative?.sinkSpeedMmPerS).toBeGreaterThan(own?.sinkSpeedMmPerS ?? 0)
    expect(width(own)).toBeLessThan(width(before) / 2)
    const { tests, coverage } = await measurements()
    expect(tests[0]).toMatchObject({ flyName: 'Plain Nymph #14 0', fault: null, olderRecipe: false })
    expect(coverage.tests).toBe(1)
  })

  it('is taken back by undo, and its figures with it', async () => {
    const before = await figures()
    const { body } = await server.command('dropTestSave', drop()).expect(200)
    await server.command('undo', { actionId: (body as { actionId: never }).actionId }).expect(200)
    expect(await figures()).toEqual(before)
    expect((await measurements()).tests).toEqual([])
  })

  it('keeps a time that was set aside and does not count it', async () => {
    await server
      .command(
        'dropTestSave',
        drop({
          times: [
            { timeS: 5, setAside: false },
            { timeS: 50, setAside: true },
          ],
        }),
      )
      .expect(200)
    const [line] = (await measurements()).tests
    expect(line?.times).toHaveLength(2)
    expect(line?.reading?.seenMmPerS).toBeCloseTo(240, 0)
  })

  it('questions a fly that falls at nine metres a second', async () => {
    await server
      .command('dropTestSave', drop({ depthMm: 9000, times: [{ timeS: 1, setAside: false }] }))
      .expect(200)
    expect((await measurements()).tests[0]?.fault).toBe('tooFast')
  })

  it.each([
    ['no depth', { depthMm: 0 }],
    ['no time', { times: [] }],
    ['a time of nought', { times: [{ timeS: 0, setAside: false }] }],
    ['boiling water', { waterTempC: 100 }],
  ])('refuses %s at its field', async (_what, change) => {
    const { body } = await server.command('dropTestSave', drop(change)).expect(400)
    expect((body as { fields: { path: string }[] }).fields[0]?.path).toContain(Object.keys(change)[0])
  })

  it('refuses a stale change', async () => {
    await server.command('dropTestSave', drop()).expect(200)
    const again = { ...drop({ note: 'second look' }), version: 1 }
    await server.command('dropTestSave', again).expect(200)
    const { body } = await server.command('dropTestSave', again).expect(409)
    expect((body as { code: string }).code).toBe('staleVersion')
  })
})

describe('a weighing', () => {
  const weigh = (totalMg: number, key: string, subject: CommandInput<'weighingSave'>['weighing']['subject']) =>
    server.command('weighingSave', {
      weighingId: id(key),
      weighing: { subject, count: 10, totalMg, readabilityMg: 1, source: 'entered', note: '' },
    })

  it('of ten beads replaces the catalogue', async () => {
    const [before] = await figures()
    await weigh(1630, 'm:w', { kind: 'material', materialId: bead }).expect(200)
    const [after] = await figures()
    expect(after?.massMg ?? 0).toBeGreaterThan((before?.massMg ?? 0) * 1.4)
    expect((await measurements()).weighings[0]?.metal).toBe('tungsten')
  })

  it('of ten flies makes them weigh that', async () => {
    await weigh(1500, 'm:w', { kind: 'variant', variantId: first }).expect(200)
    const [own] = await figures()
    expect(own?.massMg).toBeCloseTo(150, -0.5)
  })

  it('that contradicts another is named', async () => {
    await weigh(990, 'm:w1', { kind: 'material', materialId: bead }).expect(200)
    await weigh(1400, 'm:w2', { kind: 'material', materialId: bead }).expect(200)
    const { weighings } = await measurements()
    expect(weighings.map(({ contradicts }) => contradicts.length)).toEqual([1, 1])
  })
})

describe('an instrument', () => {
  const read = (ask: object, host = '127.0.0.1:4180') =>
    server.agent.post('/api/instruments/read').set('Host', host).send(ask)

  it('that is simulated says so, and reads near what was expected but not just that', async () => {
    const { body } = await read({ kind: 'scale', expected: 1000 }).expect(200)
    expect(body).toMatchObject({ simulated: true, reading: { kind: 'reading' } })
    const { value } = (body as { reading: { value: number } }).reading
    expect(Math.abs(value / 1000 - 1)).toBeLessThan(0.1)
    expect(Math.abs(value / 1000 - 1)).toBeGreaterThan(0.02)
  })

  it('is asked for something that can lie on it', async () => {
    await read({ kind: 'scale', expected: -1 }).expect(400)
    await read({ kind: 'oven', expected: 1 }).expect(400)
  })

  it('answers nobody from elsewhere', async () => {
    await read({ kind: 'scale', expected: 10 }, 'evil.example').expect(({ status }) =>
      expect(status).toBeGreaterThan(399),
    )
  })
})
