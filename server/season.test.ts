import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { datedBroods, emergenceWindows, epochDayOf } from '../core/index.ts'
import type {
  CommandInput,
  CommandResult,
  FrameView,
  MomentView,
  ReachSeasonView,
  SeasonStateView,
} from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { seedShipped } from './upkeep/seed.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'
import { loadStages } from './read/stages.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
const id = (key: string) => fixedId(key) as never
const [low, high] = [id('s:low'), id('s:high')]
const olive = id('stage:dark-olive-dun')

const reachBody = (name: string, elevationM: number) => ({
  kind: 'reach' as const,
  name,
  elevationM,
  typicalDepthMm: 900,
  surfaceSpeedMmPerS: 700,
  thermoclineMm: null,
  defaultTempC: [3, 3, 5, 7, 10, 13, 15, 15, 12, 9, 6, 4],
})
const river: CommandInput<'waterCreate'> = {
  waterId: id('s:river'),
  water: {
    name: 'Test Water',
    kind: 'freestone',
    latitudeDeg: 54,
    longitudeDeg: -2,
    timeZone: 'Europe/London',
    clarityMm: 2000,
    snagginess: 1,
    openFromMonthDay: null,
    openToMonthDay: null,
    iceOffMonthDay: null,
    rules: { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null }, // prettier-ignore
    rulesNote: '',
  },
  reaches: [
    { ...reachBody('Low', 100), id: low },
    { ...reachBody('High', 400), id: high },
  ],
}

beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())
beforeEach(async () => {
  server = await template.open()
  await server.command('waterCreate', river).expect(200)
})
afterEach(() => server.close())

const season = async () => (await server.get('/api/season').expect(200)).body as SeasonStateView
const reachSeason = async (reachId: string) =>
  (await server.get(`/api/season/reach?reachId=${reachId}`).expect(200)).body as ReachSeasonView

/** Readings at one minute of each day from a date on. */
const readings = (importId: string, from: string, temps: readonly number[], reachId = low) => ({
  importId: id(importId),
  readings: {
    reachId,
    depthMm: 300,
    source: 'file' as const,
    rows: temps.map((tempC, i): [number, number, number, null, null] => [
      epochDayOf(from) + i,
      720,
      Math.round(tempC * 100),
      null,
      null,
    ]),
  },
})

/** Works the windows of every reach out, as a page would, and has them kept. */
async function keepAll() {
  const broods = datedBroods((await loadStages(server.database.db)).map(({ core }) => core))
  for (const { reachId, inputHash, model, latitudeDeg, elevationM } of (await season()).reaches) {
    const work = emergenceWindows({
      reaches: [{ key: reachId, model, latitudeDeg, elevationM }],
      broods,
      years: 60,
      seed: 1,
    })
    let step = work.next()
    while (!step.done) step = work.next()
    await server.agent
      .post('/api/season/windows')
      .set('Host', '127.0.0.1:4180')
      .send({ reachId, inputHash, windows: step.value[0]?.windows })
      .expect(200, { kept: true })
  }
}

describe('readings', () => {
  it('move the year of their reach, and lend it to its neighbour until that has its own', async () => {
    const before = await season()
    expect(before.reaches.map(({ model }) => model.basis)).toEqual(['kind', 'kind'])
    await server
      .command(
        'readingsImport',
        readings(
          's:one',
          '2026-04-01',
          Array.from({ length: 60 }, () => 4),
        ),
      )
      .expect(200)
    const [own, lent] = (await season()).reaches
    expect(own?.model).toMatchObject({ basis: 'readings', readingDays: 60 })
    expect(own?.model.meanC).toBeLessThan((before.reaches[0]?.model.meanC ?? 0) - 1)
    expect(lent?.model.basis).toBe('borrowed')
    expect(own?.inputHash).not.toBe(before.reaches[0]?.inputHash)
  })

  it('are summed up by days over all imports, and no more once theirs is put away or undone', async () => {
    const { body } = await server
      .command('readingsImport', readings('s:one', '2026-06-01', [10, 11, 12]))
      .expect(200)
    await server.command('readingsImport', readings('s:two', '2026-06-03', [14])).expect(200)
    const days = async () => (await reachSeason(low)).days.map(([, tempC]) => tempC)
    expect(await days()).toEqual([10, 11, 13])
    await server.command('readingsArchive', { importId: id('s:two'), version: 2 }).expect(200)
    expect(await days()).toEqual([10, 11, 12])
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect(await days()).toEqual([])
    expect((await season()).reaches[0]?.model.basis).toBe('kind')
  })

  it('are taken in whole or not at all, within limits', async () => {
    const one = readings('s:one', '2026-06-01', [10, 46])
    await server.command('readingsImport', one).expect(400)
    await server.command('readingsImport', { ...one, readings: { ...one.readings, rows: [] } }).expect(400)
    const twice = readings('s:one', '2026-06-01', [10, 11])
    const rows = [...twice.readings.rows, twice.readings.rows[0] as never]
    await server
      .command('readingsImport', { ...twice, readings: { ...twice.readings, rows } })
      .expect((response) => {
        expect(response.status).toBeGreaterThanOrEqual(400)
      })
    expect((await reachSeason(low)).days).toEqual([])
    expect((await reachSeason(low)).imports).toEqual([])
  })

  it('takes ten years of hours in one request, answering other pages meanwhile', async () => {
    const rows = Array.from({ length: 87_600 }, (_, i): [number, number, number, null, null] => [
      16_000 + Math.floor(i / 24),
      (i % 24) * 60,
      900,
      null,
      null,
    ])
    const body = { ...readings('s:ten', '2026-06-01', [9]) }
    const sent = server.agent
      .post('/api/imports')
      .set('Host', '127.0.0.1:4180')
      .send({
        id: '01900000-0000-7000-8000-000000000001',
        kind: 'readingsImport',
        body: { ...body, readings: { ...body.readings, rows } },
      })
    await sent.expect(200)
    expect((await reachSeason(low)).days).toHaveLength(3650)
  })

  it('say how warm a moment is: the latest reading, then towards the season', async () => {
    await server
      .command('readingsImport', readings('s:one', '2026-05-26', [9, 9.5, 10, 10, 10.5, 11, 11.5]))
      .expect(200)
    const frame = (await server.get('/api/frame').expect(200)).body as FrameView
    expect(frame.reaches.find(({ reachId }) => reachId === low)?.warmth.latest?.meanC).toBe(11.5)
    const at = async (on: string) =>
      ((await server.get(`/api/moment?reachId=${low}&on=${on}&localMin=780`).expect(200)).body as MomentView)
        .moment.waterTempC
    expect(await at('2026-06-01')).toBe(11.5)
    expect(await at('2026-08-01')).toBeGreaterThan(12)
  })
})

describe('windows', () => {
  it('are kept only where they are of today’s inputs', async () => {
    const [first] = (await season()).reaches
    await server.agent
      .post('/api/season/windows')
      .set('Host', '127.0.0.1:4180')
      .send({ reachId: low, inputHash: `${first?.inputHash}x`, windows: [] })
      .expect(200, { kept: false })
    await keepAll()
    const kept = await season()
    expect(kept.reaches.every(({ inputHash, keptHash }) => inputHash === keptHash)).toBe(true)
    expect((await reachSeason(low)).windows.length).toBeGreaterThan(100)
  })

  it('make a moment likelier than its months where the water is warm enough, and say why', async () => {
    await keepAll()
    const { foods } = (await server.get(`/api/moment?reachId=${low}&on=2026-04-10&localMin=780`).expect(200))
      .body as MomentView
    const found = foods.find(({ foodStageId }) => foodStageId === olive)
    expect(found?.likelihood).toBeGreaterThan(0.1)
    expect(found?.reasons.join(' ')).toContain('°C')
    expect(found?.reasons.join(' ')).toContain('no reading yet')
  })
})

describe('a note', () => {
  const note = (change: Partial<CommandInput<'observationSave'>['observation']> = {}) => ({
    observationId: id('s:note'),
    version: null,
    observation: {
      reachId: low,
      on: '2025-04-25',
      localMin: 760,
      foodStageId: olive,
      kind: 'firstSeen' as const,
      count: null,
      lengthMm: null,
      effortMinutes: null,
      method: 'seen' as const,
      note: '',
      ...change,
    },
  })
  const spring = (view: ReachSeasonView) =>
    view.windows.find(({ after }) => after.stageKey === olive && after.brood === 0)

  it('moves the window of its reach, less that of its river, and is taken back by undo', async () => {
    await keepAll()
    const { body } = await server.command('observationSave', note()).expect(200)
    const [here, there] = [spring(await reachSeason(low)), spring(await reachSeason(high))]
    expect(here?.notes).toBe(1)
    expect(here?.shiftDays).toBeGreaterThan(5)
    expect(there?.shiftDays).toBeGreaterThan(0)
    expect((await reachSeason(low)).seenOn[olive]).toEqual(['04-25'])
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect(spring(await reachSeason(low))?.shiftDays).toBe(0)
  })

  it('of several years says how the engine would have done against a fixed date', async () => {
    await keepAll()
    for (const [i, on] of ['2023-04-02', '2024-04-06', '2025-03-28'].entries()) {
      await server.command('observationSave', { ...note({ on }), observationId: id(`s:note${i}`) }).expect(200)
    }
    expect(spring(await reachSeason(low))?.backtest).toMatchObject({ years: 3 })
  })

  it('is refused on a day that is none, and of a food that is none', async () => {
    await server.command('observationSave', note({ on: '2025-02-31' })).expect(400)
    await server.command('observationSave', note({ foodStageId: id('stage:nothing') })).expect(404)
  })
})
