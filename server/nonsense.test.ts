import { gzipSync } from 'node:zlib'
import { afterEach, describe, expect, it } from 'vitest'
import type { CommandInput, CommandKind } from '../contract/index.ts'
import { box, hook, id, midge, placeA, thread, variantId } from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

/** Sends what makes no sense and answers what was said at which field. */
async function refused<Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>): Promise<string> {
  const { body: problem } = await server.command(kind, body).expect(400)
  const [field] = (problem as { fields: { path: string; message: string }[] }).fields
  return `${field?.path}: ${field?.message}`
}

const [line] = midge().dressing.components
const dressed = (...components: object[]) => ({ dressing: { components: components as never, steps: null } })
const bead = (n: number) => ({ ...line, key: `bead${n}`, kind: 'bead', layers: undefined })
const measuredBy = (key: string, componentKey: string) => ({
  ...line,
  key,
  kind: 'tail',
  layers: undefined,
  length: { factor: 20, of: 'component', componentKey },
})
const rules = { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null, maxLeaderMm: null } // prettier-ignore
const water = { name: 'Long Beck', kind: 'freestone', latitudeDeg: 54, longitudeDeg: -2, timeZone: 'Europe/London', clarityMm: 2000, snagginess: 1, openFromMonthDay: '03-25', openToMonthDay: '09-30', iceOffMonthDay: null, rules, rulesNote: '' } // prettier-ignore
const reach = { id: id('nonsense:reach'), kind: 'reach', name: 'Bridge', elevationM: 100, typicalDepthMm: 600, surfaceSpeedMmPerS: 400, thermoclineMm: null, defaultTempC: Array(12).fill(10) } // prettier-ignore
const newWater = (change: object) =>
  ({ waterId: id('nonsense:water'), water: { ...water, ...change }, reaches: [reach] }) as never

describe('nonsense is refused in words at its field', () => {
  it.each([
    [
      'a hook that is a thread',
      { variants: [{ ...midge().variants[0]!, hookMaterialId: thread, homeCompartmentId: null }] },
      /^variants\.0\.hookMaterialId: This is no hook/,
    ],
    [
      'forty beads',
      dressed(...Array.from({ length: 40 }, (_, n) => bead(n))),
      /^dressing\.components: A hook has room for two/,
    ],
    ['a note that nobody can read', { note: 'before\u0000after' }, /^note: It has signs in it/],
    [
      'lengths that multiply',
      dressed({ ...measuredBy('a', 'b'), length: { mm: 10 } }, measuredBy('b', 'a'), measuredBy('c', 'b')),
      /^dressing\.components: c comes to more than 200 mm/,
    ],
    [
      'lengths in a circle',
      dressed(measuredBy('a', 'b'), measuredBy('b', 'c'), measuredBy('c', 'a')),
      /^dressing\.components: The length of a refers back to itself/,
    ],
    [
      'a step of a part that is not there',
      {
        dressing: {
          components: [line!],
          steps: [{ key: 's', verb: 'wrap', componentKey: 'wing', threadFrom: 0, threadTo: 1, note: '' }],
        },
      },
      /^dressing\.steps: A step names a part/,
    ],
  ] as const)('%s', async (_what, change, words) => {
    await server.command('boxCreate', box).expect(200)
    expect(await refused('patternSave', midge(change as never))).toMatch(words)
  })

  it.each([
    [
      'a season from 31 February',
      { openFromMonthDay: '02-31' },
      /^water\.openFromMonthDay: There is no such day/,
    ],
    ['a thirteenth month', { openToMonthDay: '13-01' }, /^water\.openToMonthDay: There is no such day/],
    [
      'a smallest hook above the largest',
      { rules: { ...rules, minHookSize: 8, maxHookSize: 12 } },
      /^water\.rules\.minHookSize: The smallest hook is larger/,
    ],
    ['a zone that is none', { timeZone: 'CEST-2' }, /^water\.timeZone: No such time zone/],
  ] as const)('%s', async (_what, change, words) => {
    expect(await refused('waterCreate', newWater(change))).toMatch(words)
  })

  it('29 February and one size of hook are none', async () => {
    await server
      .command(
        'waterCreate',
        newWater({ openFromMonthDay: '02-29', rules: { ...rules, minHookSize: 12, maxHookSize: 12 } }),
      )
      .expect(200)
  })

  it.each(['0000-06-04', '1899-12-31', '2101-01-01', '9999-06-04', '2026-02-30'])(
    'an outing on %s',
    async (on) => {
      await server.command('waterCreate', newWater({})).expect(200)
      const outing = { waterId: id('nonsense:water'), reachId: null, on, fromLocalMin: 600, toLocalMin: 900, status: 'planned', technique: 'dry', note: '' } // prettier-ignore
      expect(
        await refused('outingSave', {
          outingId: id('nonsense:outing'),
          version: null,
          outing: outing as never,
        }),
      ).toMatch(/^outing\.on: /)
    },
  )

  it('far more flies than were planned, one by one or at once; what was counted back makes room', async () => {
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    const batchId = id('nonsense:batch')
    const plan = { batchId, variantId, plannedCount: 3, compartmentId: placeA, onVise: true } // prettier-ignore
    await server.command('batchPlan', plan).expect(200)
    const done = (n: number, count: number) => ({ eventId: id(`nonsense:done${n}`), batchId, kind: 'done' as const, stepKey: null, count, spoiledCause: null }) // prettier-ignore
    await server.command('batchCount', done(1, 14)).expect(200)
    const { body: last } = await server.command('batchCount', done(2, 1)).expect(200)
    expect(await refused('batchCount', done(3, 1))).toBe(
      'count: 3 were planned; at most 15 can be counted. Plan a batch of the others.',
    )
    await server.command('undo', { actionId: (last as { actionId: string }).actionId as never }).expect(200)
    await server.command('batchCount', done(4, 1)).expect(200)
  })

  it('what was seen on a day that has not come', async () => {
    await server.command('waterCreate', newWater({})).expect(200)
    const observation = { reachId: reach.id, on: '2099-06-04', localMin: null, foodStageId: id('stage:river-midge-larva'), kind: 'thick', count: null, lengthMm: null, effortMinutes: null, method: 'seen', note: '' } // prettier-ignore
    const save = { observationId: id('nonsense:seen'), version: null, observation: observation as never }
    expect(await refused('observationSave', save)).toBe('observation.on: That day has not come yet.')
  })

  it('a hook of a kilogram, and one with a gape that no shank bears', async () => {
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    const weighing = { subject: { kind: 'material', materialId: hook }, count: 1, totalMg: 1_000_000, readabilityMg: 1, source: 'entered', note: '' } // prettier-ignore
    expect(
      await refused('weighingSave', { weighingId: id('nonsense:weighing'), weighing: weighing as never }),
    ).toMatch(/^weighing\.totalMg: One would weigh more than 5 g/)
    expect(
      await refused('hookMeasure', { materialId: hook, version: 1, shankMm: 1, gapeMm: 30, wireMm: null }),
    ).toMatch(/^gapeMm: A gape is at most twice/)
  })
})

describe('requests that cannot be read', () => {
  it.each(['/api/patterns/%', '/api/families/%E0%A4%A'])('%s is no fault of the server', async (path) => {
    const { status, body } = await server.get(path)
    expect(status).toBe(400)
    expect(body.code).toBe('malformedJson')
  })

  it('a body that is not packed as it says is none either', async () => {
    const post = (encoding: string, body: Buffer) =>
      server.agent
        .post('/api/commands')
        .set({ Host: '127.0.0.1:4180', 'Content-Type': 'application/json', 'Content-Encoding': encoding })
        .send(body)
    for (const [encoding, body] of [
      ['gzip', Buffer.from('{"id":1}')],
      ['br', Buffer.from('not packed')],
      ['deflate', gzipSync('{}')],
      ['rot13', Buffer.from('{}')],
    ] as const) {
      const { status } = await post(encoding, body)
      expect([400, 415], encoding).toContain(status)
    }
  })
})
