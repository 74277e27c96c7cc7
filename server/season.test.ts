import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { epochDayOf } from '../core/index.ts'
import type {
  CommandInput,
  CommandResult,
  FeedingRowView,
  FrameView,
  MomentView,
  ReachSeasonView,
  SeasonSkillView,
  WatersView,
} from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { seedShipped } from './upkeep/seed.ts'
import { highReach, lowReach, river } from './testing/smallRiver.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
const id = (key: string) => fixedId(key) as never
const [low, high] = [lowReach, highReach]
const olive = id('stage:dark-olive-dun')

beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())
beforeEach(async () => {
  server = await template.open()
  await server.command('waterCreate', river).expect(200)
})
afterEach(() => server.close())

const models = async () =>
  ((await server.get('/api/frame').expect(200)).body as FrameView).reaches.map(({ warmth }) => warmth.model)
const reachSeason = async (reachId: string) =>
  (await server.get(`/api/season/reach?reachId=${reachId}&on=2026-06-01`).expect(200)).body as ReachSeasonView

/** Water is at the mean of its day six hours before it is warmest, at eleven. */
const AT_ITS_MEAN = 660
const TWO_IN_THE_AFTERNOON = 840

/** What the moment says of the water at a minute. */
const waterAt = async (on: string, localMin: number) =>
  (
    (await server.get(`/api/moment?reachId=${low}&on=${on}&localMin=${localMin}`).expect(200))
      .body as MomentView
  ).moment.waterTempC

/** Readings at one minute of each day from a date on. */
const readings = (importId: string, from: string, temps: readonly number[], localMin = AT_ITS_MEAN) => ({
  importId: id(importId),
  readings: {
    reachId: low,
    depthMm: 300,
    source: 'file' as const,
    rows: temps.map((tempC, i): [number, number, number, null, null] => [
      epochDayOf(from) + i,
      localMin,
      Math.round(tempC * 100),
      null,
      null,
    ]),
  },
})

describe('readings', () => {
  it('move the year of their reach, and lend it to its neighbour until that has its own', async () => {
    const before = await models()
    expect(before.map(({ basis }) => basis)).toEqual(['kind', 'kind'])
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
    const [own, lent] = await models()
    expect(own).toMatchObject({ basis: 'readings', readingDays: 60 })
    expect(own?.meanC).toBeLessThan((before[0]?.meanC ?? 0) - 0.5)
    expect(lent?.basis).toBe('borrowed')
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
    expect((await models())[0]?.basis).toBe('kind')
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
    expect(await waterAt('2026-06-01', 660)).toBe(11.5)
    expect(await waterAt('2026-06-01', 1020)).toBeGreaterThan(12)
    expect(await waterAt('2026-06-01', 300)).toBeLessThan(11)
    expect(await waterAt('2026-08-01', 660)).toBeGreaterThan(12)
  })

  it('know their hour: read at two it was warmer than its day, and the moment of that hour is what was read', async () => {
    await server
      .command('readingsImport', readings('s:one', '2026-06-01', [14], TWO_IN_THE_AFTERNOON))
      .expect(200)
    const [[, dayMeanC] = [0, 0]] = (await reachSeason(low)).days
    expect(dayMeanC).toBeGreaterThan(12.5)
    expect(dayMeanC).toBeLessThan(13.5)
    expect(await waterAt('2026-06-01', TWO_IN_THE_AFTERNOON)).toBe(14)
  })

  it('teach how the water swings, where some days were read through', async () => {
    const swing = async () => (await reachSeason(low)).warmth.swing
    const usual = await swing()
    const rows = Array.from({ length: 10 * 24 }, (_, i): [number, number, number, null, null] => {
      const hour = i % 24
      // colder by 2.5 °C at five in the morning, warmer by as much at five in the afternoon
      const tempC = 14 + 2.5 * Math.cos((2 * Math.PI * (hour - 17)) / 24)
      return [epochDayOf('2026-06-10') + Math.floor(i / 24), hour * 60, Math.round(tempC * 100), null, null]
    })
    const hours = readings('s:hours', '2026-06-10', [14])
    await server.command('readingsImport', { ...hours, readings: { ...hours.readings, rows } }).expect(200)
    const learned = await swing()
    expect(learned.midsummerC).toBeGreaterThan(2.2)
    expect(learned.midsummerC).toBeLessThan(2.55)
    expect(learned.doubt).toBeLessThan(usual.doubt / 2)
    for (const [, meanC] of (await reachSeason(low)).days) expect(meanC).toBeCloseTo(14, 1)
  })

  it('give way to the user’s own thermometer', async () => {
    const view = (await server.get(`/api/moment?reachId=${low}&on=2026-06-01&localMin=780&waterTempC=17.5`).expect(200)).body as MomentView // prettier-ignore
    expect(view.moment.waterTempC).toBe(17.5)
  })
})

describe('a season', () => {
  const at = async (on: string, more = '') =>
    (await server.get(`/api/moment?reachId=${low}&on=${on}&localMin=780${more}`).expect(200)).body as MomentView

  it('shares the fish out at a moment, and says why', async () => {
    const view = await at('2026-04-15')
    const total = view.whatever + view.foods.reduce((sum, { onIt }) => sum + onIt, 0)
    expect(total).toBeGreaterThan(0.97)
    expect(total).toBeLessThan(1.0001)
    expect(view.foods.map(({ onIt }) => onIt)).toEqual(
      view.foods.map(({ onIt }) => onIt).toSorted((a, b) => b - a),
    )
    const found = view.foods.find(({ foodStageId }) => foodStageId === olive)
    expect(found?.about).toBeGreaterThan(0.1)
    expect(found?.reasons.join(' ')).toContain('no reading yet')
    expect((await reachSeason(low)).windows.length).toBeGreaterThan(90)
  })

  it('knows at once what was read: no edit behind', async () => {
    const dun = (view: MomentView) => view.foods.find(({ foodStageId }) => foodStageId === olive)?.onIt ?? 0
    const before = dun(await at('2026-04-15'))
    const cold = Array.from({ length: 104 }, () => 2.5)
    await server.command('readingsImport', readings('s:cold', '2026-01-01', cold)).expect(200)
    expect(dun(await at('2026-04-15'))).toBeLessThan(before / 3)
  })

  it('takes the user’s word for whether a food lives there, until that is undone', async () => {
    const dun = async () =>
      (await at('2026-04-15')).foods.find(({ foodStageId }) => foodStageId === olive)?.onIt ?? 0
    const before = await dun()
    const say = (says: 'notHere' | 'strong' | null) =>
      server.command('waterFood', { waterId: river.waterId, foodId: id('food:dark-olive'), says })
    const { body } = await say('notHere').expect(200)
    expect(await dun()).toBe(0)
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect(await dun()).toBeCloseTo(before, 9)
    await say('strong').expect(200)
    expect(await dun()).toBeGreaterThan(before)
    await say(null).expect(200)
    expect(await dun()).toBeCloseTo(before, 9)
    await server
      .command('waterFood', { waterId: river.waterId, foodId: id('food:none'), says: 'strong' })
      .expect(404)
  })

  it('takes a rise of the water from the gauge, or from who says so', async () => {
    const worm = (view: MomentView) => view.foods.find(({ name }) => name.startsWith('Earthworm'))?.onIt ?? 0
    const unknown = await at('2026-06-01')
    expect(unknown.level).toBeNull()
    const said = await at('2026-06-01', '&level=rising&weather=dull&airTempC=14')
    expect(said.level).toEqual({ is: 'rising', by: 'said' })
    expect(worm(said)).toBeGreaterThan(4 * worm(unknown))
    const levels = (day: string, levelMm: number): [number, number, null, number, null] => [epochDayOf(day), 720, null, levelMm, null] // prettier-ignore
    const gauge = readings('s:gauge', '2026-05-31', [9])
    await server
      .command('readingsImport', {
        ...gauge,
        readings: { ...gauge.readings, rows: [levels('2026-05-30', 300), levels('2026-05-31', 520)] },
      })
      .expect(200)
    expect((await at('2026-06-01')).level).toEqual({ is: 'rising', by: 'gauge' })
    expect((await at('2026-06-05')).level).toBeNull()
  })

  it('takes how clear the water is from the gauge, against what is usual of it: small food is found less in it', async () => {
    const small = ({ foods }: MomentView) =>
      foods.filter(({ lengthMmHigh }) => lengthMmHigh <= 7).reduce((sum, { onIt }) => sum + onIt, 0)
    const before = await at('2026-07-15')
    const read = readings('s:gauge', '2026-07-15', [14])
    const rows: [number, number, number, number, number][] = [[epochDayOf('2026-07-15'), 600, 1400, 420, 500]]
    await server.command('readingsImport', { ...read, readings: { ...read.readings, rows } }).expect(200)
    const coloured = await at('2026-07-15')
    expect(small(coloured)).toBeLessThan(0.8 * small(before))
    expect(coloured.foods.some(({ reasons }) => reasons.join().includes('coloured water'))).toBe(true)
    expect(small(await at('2026-07-15', '&clarity=usual'))).toBeGreaterThan(small(coloured))
  })

  it('goes through a day and a year, all shares together one', async () => {
    for (const path of [`day?reachId=${low}&on=2026-06-01`, `year?reachId=${low}&year=2026`]) {
      const row = (await server.get(`/api/season/${path}`).expect(200)).body as FeedingRowView
      expect([48, 53]).toContain(row.whatever.length)
      for (const i of [0, 20, 40]) {
        const total = (row.whatever[i] ?? 0) + row.stages.reduce((sum, { onIt }) => sum + (onIt[i] ?? 0), 0)
        expect(total).toBeGreaterThan(0.93)
        expect(total).toBeLessThan(1.01)
      }
    }
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
    const { body } = await server.command('observationSave', note()).expect(200)
    const [here, there] = [spring(await reachSeason(low)), spring(await reachSeason(high))]
    expect(here?.notes).toBe(1)
    expect(here?.shiftDays).toBeGreaterThan(3)
    expect(there?.shiftDays).toBeGreaterThan(0)
    expect((await reachSeason(low)).seenOn[olive]).toEqual(['04-25'])
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect(spring(await reachSeason(low))?.shiftDays).toBe(0)
  })

  it('is refused on a day that is none, and of a food that is none', async () => {
    await server.command('observationSave', note({ on: '2025-02-31' })).expect(400)
    await server.command('observationSave', note({ foodStageId: id('stage:nothing') })).expect(404)
  })
})

describe('a sample', () => {
  const observed = (stage: string, count: number, on = '2026-05-20') => ({
    observationId: id(`s:${stage}:${on}`),
    observation: {
      reachId: low, on, localMin: 720, foodStageId: id(`stage:${stage}`), kind: 'counted' as const, count,
      lengthMm: null, effortMinutes: 15, method: 'seine' as const, note: '',
    },
  }) // prettier-ignore
  const shareOf = async (stage: string) =>
    (
      (await server.get(`/api/moment?reachId=${low}&on=2026-05-20&localMin=780`).expect(200)).body as MomentView
    ).foods.find(({ foodStageId }) => foodStageId === id(`stage:${stage}`))?.onIt ?? 0

  it('notes all its foods in one action, moves what fish are on, and is taken back as one', async () => {
    const [shrimp, louse] = ['scud-adult', 'hog-louse-adult']
    const before = await shareOf(shrimp)
    const { body } = await server
      .command('sampleSave', { observations: [observed(shrimp, 60), observed(louse, 2)] })
      .expect(200)
    expect((await reachSeason(low)).observations).toHaveLength(2)
    expect(await shareOf(shrimp)).toBeGreaterThan(before)
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect((await reachSeason(low)).observations).toEqual([])
    expect(await shareOf(shrimp)).toBe(before)
  })

  it('is noted whole or not at all: one food of a day to come refuses it, and says which', async () => {
    const sample = [observed('scud-adult', 60), observed('hog-louse-adult', 2, '2199-01-01')]
    const { body } = await server.command('sampleSave', { observations: sample }).expect(400)
    expect((body as { fields: { path: string }[] }).fields[0]?.path).toBe('observations.1.observation.on')
    expect((await reachSeason(low)).observations).toEqual([])
  })
})

describe('how good the forecasts were', () => {
  const asked = async () =>
    (
      (await server.get(`/api/season/skill?reachId=${low}&foodStageId=${olive}`).expect(200))
        .body as SeasonSkillView
    ).skill

  it('is nothing until a first day is noted, and is told then beside a fixed date', async () => {
    expect(await asked()).toBeNull()
    await server
      .command('observationSave', {
        observationId: id('s:first'),
        version: null,
        observation: {
          reachId: low,
          on: '2026-04-02',
          localMin: 780,
          foodStageId: olive,
          kind: 'firstSeen',
          count: null,
          lengthMm: null,
          effortMinutes: null,
          method: 'seen',
          note: '',
        },
      }) // prettier-ignore
      .expect(200)
    const skill = (await asked())!
    expect(skill.times).toBe(1)
    expect(skill.byLead.map(({ leadDays }) => leadDays)).toEqual([30, 14, 7, 3, 0])
    expect(skill.fixedOffDays).toBeGreaterThanOrEqual(0)
  })
})

describe('reaches of a water that is there', () => {
  const added = id('s:added')
  const { id: _id, ...lowest } = river.reaches[0]!
  const body = { ...lowest, name: 'Middle', elevationM: 250 }
  const names = async () => {
    const { waters } = (await server.get('/api/waters').expect(200)).body as WatersView
    return waters[0]!.reaches.map(({ reach }) => reach.name)
  }

  it('are added where their height puts them, borrow their warmth, and go again with undo', async () => {
    const { body: made } = await server
      .command('reachAdd', { waterId: river.waterId, reachId: added, reach: body })
      .expect(200)
    expect(await names()).toEqual(['Low', 'Middle', 'High'])
    await server.command('readingsImport', readings('s:one', '2026-06-01', [14])).expect(200)
    expect((await models()).map(({ basis }) => basis)).toEqual(['readings', 'borrowed', 'borrowed'])
    await server.command('undo', { actionId: (made as CommandResult).actionId }).expect(200)
    expect(await names()).toEqual(['Low', 'High'])
  })

  it('are put away but for the last', async () => {
    await server.command('reachArchive', { reachId: high, version: 1 }).expect(200)
    expect(await names()).toEqual(['Low'])
    const { body: problem } = await server.command('reachArchive', { reachId: low, version: 1 }).expect(400)
    expect((problem as { detail: string }).detail).toMatch(/only one/)
  })

  it('are those of its kind: a river has no shoal, and does not become a lake', async () => {
    const shoal = { ...body, kind: 'shoal' as const }
    await server.command('reachAdd', { waterId: river.waterId, reachId: added, reach: shoal }).expect(400)
    const save = (kind: 'springFed' | 'reservoir') =>
      server.command('waterSave', { waterId: river.waterId, change: { kind } })
    const { body: problem } = await save('reservoir').expect(400)
    expect((problem as { fields: { path: string }[] }).fields[0]?.path).toBe('change.kind')
    await save('springFed').expect(200)
  })

  it('and their water are changed by the field: what else was changed meanwhile stands', async () => {
    const water = async () => {
      const { body } = await server.get('/api/waters').expect(200)
      return (body as WatersView).waters.find(({ id }) => id === river.waterId)!
    }
    const before = await water()
    await server
      .command('waterSave', { waterId: river.waterId, change: { rules: { barbless: true } } })
      .expect(200)
    await server.command('waterSave', { waterId: river.waterId, change: { rules: { maxHookSize: 12 }, clarityMm: 1234 } }).expect(200) // prettier-ignore
    expect((await water()).water).toEqual({
      ...before.water,
      clarityMm: 1234,
      rules: { ...before.water.rules, barbless: true, maxHookSize: 12 },
    })
    const { body: problem } = await server.command('waterSave', { waterId: river.waterId, change: { rules: { minHookSize: 10 } } }).expect(400) // prettier-ignore
    expect(problem).toMatchObject({
      fields: [{ path: 'change.rules.minHookSize', message: 'The smallest hook is larger than the largest.' }],
    })
    const one = before.reaches[0]!
    await server.command('reachSave', { reachId: one.id, change: { elevationM: 321 } }).expect(200)
    await server.command('reachSave', { reachId: one.id, change: { typicalDepthMm: 640 } }).expect(200)
    const { reach } = (await water()).reaches.find(({ id }) => id === one.id)!
    expect(reach).toEqual({ ...one.reach, elevationM: 321, typicalDepthMm: 640 })
    await server.command('reachSave', { reachId: one.id, change: { name: ' ' } }).expect(400)
    await server
      .command('waterSave', { waterId: river.waterId, change: { openFromMonthDay: '02-31' } })
      .expect(400)
  })
})
