import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { shippedFoods } from '../core/season/shipped/larder.ts'
import { foodStageBody } from '../contract/index.ts'
import type {
  ActionsView,
  CommandInput,
  CommandResult,
  LarderStockView,
  LarderView,
  Problem,
  ReachSeasonView,
  StageLine,
} from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { seedShipped } from './upkeep/seed.ts'
import { box, midge, placeA, placeB, variantId } from './testing/smallBox.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
const id = (key: string) => fixedId(key) as never
const dun = id('stage:large-burrowing-mayfly-dun')

beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())
beforeEach(async () => {
  server = await template.open()
})
afterEach(() => server.close())

const larder = async () => (await server.get('/api/larder').expect(200)).body as LarderView
async function stageLine(stageId: string): Promise<StageLine> {
  const found = (await larder()).stages.find((stage) => stage.id === stageId)
  if (!found) throw new Error('no such stage')
  return found
}

/** A stage as a page sends it back, with changes. */
function saving(line: StageLine, change: Partial<CommandInput<'foodStageSave'>['stage']> = {}) {
  const { foodId, foodName, groupKey, version, id: foodStageId } = line
  const stage = Object.fromEntries(
    Object.keys(foodStageBody.shape).map((key) => [key, line[key as keyof StageLine]]),
  ) as CommandInput<'foodStageSave'>['stage']
  return {
    foodStageId,
    version,
    food: { id: foodId, name: foodName, groupKey },
    stage: { ...stage, ...change },
  }
}

const stock = async () => ((await server.get('/api/larder/stock').expect(200)).body as LarderStockView).onHand

describe('flies on hand for a food', () => {
  it('are those of all patterns that serve it, in any box, and its own line stays as it was', async () => {
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    const larva = id('stage:river-midge-larva')
    const before = await stageLine(larva)
    expect((await stock())[larva]).toBe(0)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 4 }).expect(200)
    await server.command('fliesCount', { compartmentId: placeB, variantId, counted: 1 }).expect(200)
    expect((await stock())[larva]).toBe(5)
    expect((await stock())[dun]).toBeUndefined()
    expect(await stageLine(larva)).toEqual(before)
    expect(before.servedBy.map(({ name }) => name)).toEqual(['Plain Thread'])
  })
})

describe('foods', () => {
  it('are shipped as the command would take them', async () => {
    for (const line of (await larder()).stages) {
      const parsed = foodStageBody.safeParse(saving(line).stage)
      expect(parsed.error?.issues ?? [], `${line.foodName}, ${line.stageName}`).toEqual([])
    }
  })

  it('are changed, move the season, and go back by undo', async () => {
    const before = await stageLine(dun)
    if (before.trigger.kind !== 'waterTemp') throw new Error('the dun waits for something else')
    await server.command('waterCreate', {
      waterId: id('f:water'),
      water: {
        name: 'Brook', kind: 'freestone', latitudeDeg: 54, longitudeDeg: -2, timeZone: 'Europe/London', clarityMm: 2000,
        snagginess: 1, openFromMonthDay: null, openToMonthDay: null, iceOffMonthDay: null, rulesNote: '',
        rules: { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null, maxLeaderMm: null },
      },
      reaches: [{ id: id('f:reach'), kind: 'reach', name: 'Low', elevationM: 90, typicalDepthMm: 900, surfaceSpeedMmPerS: 600, thermoclineMm: null, defaultTempC: [3, 3, 5, 7, 10, 13, 15, 15, 13, 10, 6, 4] }],
    }).expect(200) // prettier-ignore
    const first = async () => {
      const view = (await server.get(`/api/season/reach?reachId=${id('f:reach')}&on=2026-06-01`).expect(200))
        .body as ReachSeasonView
      return view.windows.find(({ after }) => after.stageKey === dun)?.after.onset[5] ?? 0
    }
    const usual = await first()
    const { thresholdC, lowC, highC } = before.trigger
    const trigger = {
      ...before.trigger,
      thresholdC: thresholdC - 2,
      lowC: lowC - 2,
      highC: highC - 2,
      latest: '05-25',
    }
    const { body } = await server.command('foodStageSave', saving(before, { trigger })).expect(200)
    expect(await stageLine(dun)).toMatchObject({ trigger, isEdited: true, isShipped: true, version: 2 })
    expect(await first()).toBeLessThan(usual - 4)
    await server.command('undo', { actionId: (body as { actionId: string }).actionId }).expect(200)
    expect(await stageLine(dun)).toMatchObject({ trigger: before.trigger, isEdited: false })
    expect(await first()).toBe(usual)
  })

  it('come back as they shipped', async () => {
    const before = await stageLine(dun)
    await server
      .command('foodStageSave', saving(before, { importance: 0.01, noteForTier: 'Mine.' }))
      .expect(200)
    const changed = await stageLine(dun)
    expect(changed.noteForTier).toBe('Mine.')
    await server.command('foodStageRestore', { foodStageId: dun, version: changed.version }).expect(200)
    const { version: _then, ...shipped } = before
    const { version: _now, ...restored } = await stageLine(dun)
    expect(restored).toEqual(shipped)
  })

  it('are added with a food of their own, and put away', async () => {
    const pattern = await stageLine(dun)
    const mine = {
      ...saving(pattern, { stageName: 'hatching', stage: 'emerger' }),
      foodStageId: id('f:stage'),
      version: null,
      food: { id: id('f:food'), name: 'Quill Gnat', groupKey: 'mayfly' },
    }
    await server.command('foodStageSave', mine).expect(200)
    const added = await stageLine(id('f:stage'))
    expect(added).toMatchObject({ foodName: 'Quill Gnat', stageName: 'hatching', isShipped: false })
    await server.command('foodStageRestore', { foodStageId: id('f:stage'), version: 1 }).expect(400)
    await server.command('foodStageArchive', { foodStageId: id('f:stage'), version: 1 }).expect(200)
    expect((await larder()).stages).toHaveLength(shippedFoods.flatMap(({ stages }) => stages).length)
  })

  it('are refused with the field at fault, and against a stale version', async () => {
    const line = await stageLine(dun)
    const months = line.months.map((month) => month && { ...month, lengthMmLow: 30, lengthMmHigh: 7 })
    const { body } = await server.command('foodStageSave', saving(line, { months })).expect(400)
    const { fields } = body as { fields: { path: string; message: string }[] }
    expect(fields[0]?.path).toMatch(/^stage\.months\.\d+$/)
    expect(fields[0]?.message).toBe('The shorter length comes first.')
    await server
      .command('foodStageSave', saving(line, { depthBandRiver: null, depthBandStillwater: null }))
      .expect(400)
    await server.command('foodStageSave', saving(line, { silhouette: 'dragon' })).expect(400)
    await server.command('foodStageSave', saving(line, { importance: 0.2 })).expect(200)
    await server.command('foodStageSave', saving(line, { importance: 0.3 })).expect(409)
    expect((await stageLine(dun)).importance).toBe(0.2)
  })
})

describe('a larder that is taken in', () => {
  const putIn = (
    line: StageLine,
    change: Partial<CommandInput<'foodStageSave'>['stage']> = {},
    name = line.foodName,
  ) => {
    const { version: _version, ...said } = saving(line, change)
    return { ...said, food: { ...said.food, name } }
  }
  const label = async () =>
    ((await server.get('/api/actions').expect(200)).body as ActionsView).actions[0]?.label

  it('changes what it says otherwise, makes what is new, leaves the rest, and is taken back as one', async () => {
    const [first, second] = (await larder()).stages
    const own = {
      ...putIn(second!),
      foodStageId: id('f:own'),
      food: { id: id('f:food'), name: 'Moss Hopper', groupKey: 'land' },
    }
    const { body } = await server
      .command('larderPutIn', { stages: [putIn(first!, { choosy: 0.9 }), putIn(second!), own] })
      .expect(200)
    expect(await label()).toBe('Took in 2 life stages')
    expect((await stageLine(first!.id)).choosy).toBe(0.9)
    expect((await stageLine(second!.id)).isEdited).toBe(false)
    expect((await stageLine(id('f:own'))).foodName).toBe('Moss Hopper')
    await server.command('undo', { actionId: (body as CommandResult).actionId }).expect(200)
    expect((await stageLine(first!.id)).choosy).toBe(first!.choosy)
    expect((await larder()).stages.some((stage) => stage.id === id('f:own'))).toBe(false)
  })

  it('that is wrong in one place is refused whole, and says where', async () => {
    const [first, second] = (await larder()).stages
    const wrong = { ...putIn(second!), stage: { ...putIn(second!).stage, months: [] } }
    const { body } = await server
      .command('larderPutIn', { stages: [putIn(first!, { choosy: 0.9 }), wrong as never] })
      .expect(400)
    expect((body as Problem).fields[0]?.path).toMatch(/^stages\.1\.stage\.months/)
    expect((await stageLine(first!.id)).choosy).toBe(first!.choosy)
  })
})
