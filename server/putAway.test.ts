import { afterEach, describe, expect, it } from 'vitest'
import { foodStageBody } from '../contract/index.ts'
import type {
  CommandInput,
  CommandKind,
  FamiliesView,
  LarderView,
  StageLine,
  StoresView,
  WatersView,
} from '../contract/index.ts'
import { box, hook, id, midge, placeA, thread, threadFamily, variantId } from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'
import { checkDatabase } from './upkeep/verify.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(async () => {
  expect((await checkDatabase(server.database)).filter((line) => !line.startsWith('ok'))).toEqual([])
  await server.close()
})

const act = async <Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>): Promise<string> =>
  (await server.command(kind, body).expect(200)).body.actionId as string
const undo = (actionId: string) => act('undo', { actionId })
/** Does something and takes it back: the ledger remembers, nothing else does. */
const passing = async <Kind extends CommandKind>(kind: Kind, body: CommandInput<Kind>) =>
  undo(await act(kind, body))
const refused = async (actionId: string) =>
  (await server.command('undo', { actionId }).expect(409)).body.detail as string

const [silk, silkDrawer] = [id('test:silk'), id('test:silk-drawer')]
const silkMade: CommandInput<'familyCreate'> = {
  familyId: silk,
  kind: 'thread',
  name: 'Waxed Silk',
  likeFamilyId: threadFamily,
  colours: [{ name: 'primrose', hex: '#d8c860' }],
  drawer: { id: silkDrawer, sizeKey: '70' },
}
const bodyOf = (materialId: never) => ({
  components: [
    { key: 'body', kind: 'body' as const, materialId, place: { from: 0.1, to: 1, side: 'around' as const }, layers: 3 },
  ],
  steps: null,
}) // prettier-ignore
const ofSilk = () => midge({ dressing: bodyOf(silkDrawer) })
const counted = (materialId: never, amount = 3) =>
  ({ materialId, cause: 'counted', amount }) satisfies CommandInput<'materialEntry'>

const water: CommandInput<'waterCreate'>['water'] = { name: 'Long Beck', kind: 'freestone', latitudeDeg: 54, longitudeDeg: -2, timeZone: 'Europe/London', clarityMm: 2000, snagginess: 1, openFromMonthDay: '03-25', openToMonthDay: '09-30', iceOffMonthDay: null, rules: { dryOnly: null, upstreamOnly: null, maxFlies: null, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: null, noIndicator: null, maxLeaderMm: null }, rulesNote: '' } as never // prettier-ignore
const reach = { kind: 'reach', name: 'Bridge', elevationM: 100, typicalDepthMm: 600, surfaceSpeedMmPerS: 400, thermoclineMm: null, defaultTempC: Array(12).fill(10) } as const // prettier-ignore
const beck: CommandInput<'waterCreate'> = {
  waterId: id('test:water'),
  water,
  reaches: [{ id: id('test:reach'), ...reach }] as never,
}
const readings = (importId: never): CommandInput<'readingsImport'> => ({
  importId,
  readings: { reachId: id('test:reach'), depthMm: 300, source: 'entered', rows: [[20_000, 600, 1050, null, null]] } as never, // prettier-ignore
})
const waters = async () =>
  ((await server.get('/api/waters').expect(200)).body as WatersView).waters.map(
    ({ water: { name }, reaches }) => [name, reaches.map((one) => one.reach.name)],
  )

const homeless = midge({ variants: midge().variants.map((each) => ({ ...each, homeCompartmentId: null })) })

/** What a tier sees of goods. */
async function seen() {
  const { materials } = (await server.get('/api/stores').expect(200)).body as StoresView
  const families = async (path: string) =>
    ((await server.get(path).expect(200)).body as FamiliesView).families.map(({ name }) => name)
  return {
    drawers: materials.map(({ name, colourName, onHand }) => [name, colourName, onHand]),
    families: await families('/api/families'),
    catalogue: await families('/api/catalogue'),
  }
}

describe('a drawer whose making is taken back', () => {
  it('goes with its goods though it was counted once, and comes again', async () => {
    const before = await seen()
    const made = await act('familyCreate', silkMade)
    const after = await seen()
    await passing('materialEntry', counted(silkDrawer))
    const undone = await undo(made)
    expect(await seen()).toEqual(before)
    const redone = await undo(undone)
    expect(await seen()).toEqual(after)
    await undo(redone)
    expect(await seen()).toEqual(before)
  })

  it('goes where it was counted as it was made', async () => {
    const before = await seen()
    const made = await act('storesPutIn', {
      newMaterials: [{ id: thread, familyId: threadFamily, sizeKey: '70', colourName: 'black' }],
      lines: [
        { materialId: thread, counted: 2, minimumAmount: 1, packAmount: null, priceMinor: null, supplier: null },
      ],
    }) // prettier-ignore
    const after = await seen()
    expect(after.drawers.map(([, , onHand]) => onHand)).toEqual([2])
    const undone = await undo(made)
    expect(await seen()).toEqual(before)
    await undo(undone)
    expect(await seen()).toEqual(after)
  })

  it('goes with the pattern that it came with', async () => {
    const before = await seen()
    await act('boxCreate', box)
    const saved = await act('patternSave', midge())
    const after = await seen()
    await passing('materialEntry', counted(thread))
    await passing('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    const undone = await undo(saved)
    expect(await seen()).toEqual(before)
    await undo(undone)
    expect(await seen()).toEqual(after)
  })

  it('goes though a recipe that was taken back is of it', async () => {
    const before = await seen()
    await act('boxCreate', box)
    const made = await act('familyCreate', silkMade)
    const saved = await act('patternSave', ofSilk())
    await passing('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    await undo(saved)
    const undone = await undo(made)
    expect(await seen()).toEqual(before)
    await undo(undone)
    await act('materialEntry', counted(silkDrawer))
  })

  it('stays while a fly is of it, even in an earlier recipe', async () => {
    await act('boxCreate', box)
    const made = await act('familyCreate', silkMade)
    await passing('materialEntry', counted(silkDrawer))
    const saved = await act('patternSave', ofSilk())
    const changed = await act('patternSave', midge({ version: 1, newMaterials: [] }))
    const now = await seen()
    expect(await refused(made)).toContain('Plain Thread')
    expect(await seen()).toEqual(now)
    await undo(changed)
    await undo(saved)
    await undo(made)
  })

  it('stays while something was counted of it', async () => {
    const made = await act('familyCreate', silkMade)
    await passing('materialEntry', counted(silkDrawer))
    const again = await act('materialEntry', counted(silkDrawer, 5))
    expect(await refused(made)).toContain('Waxed Silk')
    await undo(again)
    await undo(made)
  })

  it('stays, taken out again, while something is of it since', async () => {
    const made = await act('familyCreate', silkMade)
    await passing('materialEntry', counted(silkDrawer))
    const redone = await undo(await undo(made))
    await act('boxCreate', box)
    const saved = await act('patternSave', ofSilk())
    expect(await refused(redone)).toContain('Plain Thread')
    await undo(saved)
    await undo(redone)
    expect((await seen()).drawers).toEqual([])
  })

  it('leaves its place to another of the same kind, size and colour', async () => {
    const saved = await act('patternSave', homeless)
    await passing('materialEntry', counted(thread))
    const undone = await undo(saved)
    const other = id('test:thread-again')
    const again = await act(
      'patternSave',
      midge({
        patternId: id('test:pattern-again'),
        name: 'Again',
        dressing: bodyOf(other),
        newMaterials: [
          { id: hook, familyId: id('family:hook-straight'), sizeKey: '16', colourName: 'bronze' },
          { id: other, familyId: threadFamily, sizeKey: '70', colourName: 'black' },
        ],
        variants: [{ id: id('test:variant-again'), label: '#16', hookMaterialId: hook, swaps: [], parCount: null, homeCompartmentId: null }],
      }),
    ) // prettier-ignore
    expect(await refused(undone)).toMatch(/taken since|Again/)
    await undo(again)
    await undo(undone)
    expect((await seen()).drawers).toHaveLength(2)
  })

  it('comes again under its own id', async () => {
    const saved = await act('patternSave', homeless)
    const after = await seen()
    await passing('materialEntry', counted(thread))
    await undo(saved)
    const variants = homeless.variants.map((each) => ({ ...each, id: id('test:variant-again') }))
    await act('patternSave', { ...homeless, patternId: id('test:pattern-again'), variants })
    expect(await seen()).toEqual(after)
  })

  it('stays, come again under its own id, while another fly is of it', async () => {
    const saved = await act('patternSave', homeless)
    for (const drawer of [hook, thread]) await passing('materialEntry', counted(drawer))
    await undo(saved)
    const under = (key: string, change: object) => ({ ...homeless, patternId: id(`test:${key}`), name: key, variants: homeless.variants.map((each) => ({ ...each, id: id(`test:${key}-variant`) })), ...change }) // prettier-ignore
    const again = await act('patternSave', under('again', {}))
    const other = await act('patternSave', under('other', { newMaterials: [] }))
    const now = await seen()
    expect(await refused(again)).toContain('other')
    expect(await seen()).toEqual(now)
    await undo(other)
    await undo(again)
    expect((await seen()).drawers).toEqual([])
  })
})

describe('a water whose making is taken back', () => {
  it('goes though readings were taken in there once, and comes again', async () => {
    const before = await waters()
    const made = await act('waterCreate', beck)
    const after = await waters()
    await passing('readingsImport', readings(id('test:import')))
    const undone = await undo(made)
    expect(await waters()).toEqual(before)
    const redone = await undo(undone)
    expect(await waters()).toEqual(after)
    await act('readingsImport', readings(id('test:import-again')))
    expect(await refused(redone)).toMatch(/Read Bridge/)
    expect(await waters()).toEqual(after)
  })

  it('stays while readings are there, and goes once they are put away and back out', async () => {
    const made = await act('waterCreate', beck)
    const taken = await act('readingsImport', readings(id('test:import')))
    const away = await act('readingsArchive', { importId: id('test:import'), version: 2 })
    expect(await refused(made)).toContain('Bridge')
    await undo(away)
    await undo(taken)
    await undo(made)
    expect(await waters()).toEqual([])
  })

  it('gives its name to another', async () => {
    const made = await act('waterCreate', beck)
    await passing('readingsImport', readings(id('test:import')))
    await undo(made)
    await act('waterCreate', { ...beck, waterId: id('test:other'), reaches: [{ id: id('test:other-reach'), ...reach }] as never }) // prettier-ignore
    expect(await waters()).toEqual([['Long Beck', ['Bridge']]])
  })
})

describe('a reach', () => {
  it('is added beside one that was put away, and that one comes back beside it', async () => {
    const { waterId } = beck
    await act('waterCreate', beck)
    await act('reachAdd', { waterId, reachId: id('test:second'), reach: { ...reach, name: 'Second' } as never })
    const away = await act('reachArchive', { reachId: id('test:second'), version: 1 })
    await act('reachAdd', { waterId, reachId: id('test:third'), reach: { ...reach, name: 'Third' } as never })
    await undo(away)
    expect(await waters()).toEqual([['Long Beck', ['Bridge', 'Second', 'Third']]])
  })
})

describe('a food whose making is taken back', () => {
  it('goes though a pattern that is history served it', async () => {
    await act('boxCreate', box)
    const stages = async () => ((await server.get('/api/larder').expect(200)).body as LarderView).stages
    const foodsOf = async () => (await stages()).length
    const before = await foodsOf()
    const [like] = await stages()
    const stage = Object.fromEntries(
      Object.keys(foodStageBody.shape).map((key) => [key, like![key as keyof StageLine]]),
    )
    const made = await act('foodStageSave', {
      foodStageId: id('test:stage'),
      version: null,
      food: { id: id('test:food'), name: 'Own food', groupKey: like!.groupKey },
      stage: stage as never,
    })
    const after = await foodsOf()
    expect(after).toBeGreaterThan(before)
    const saved = await act('patternSave', midge({ serves: [{ foodStageId: id('test:stage'), weight: 1 }] }))
    await passing('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    expect(await refused(made)).toContain('Plain Thread')
    await undo(saved)
    const undone = await undo(made)
    expect(await foodsOf()).toBe(before)
    await undo(undone)
    expect(await foodsOf()).toBe(after)
  })
})

describe('a pattern that history names', () => {
  it('is not put away while flies of it are to be tied, though none is left', async () => {
    await act('boxCreate', box)
    const saved = await act('patternSave', midge())
    await passing('fliesCount', { compartmentId: placeA, variantId, counted: 2 })
    const planned = await act('batchPlan', { batchId: id('test:batch'), variantId, plannedCount: 3, compartmentId: placeA, onVise: false } as never) // prettier-ignore
    await server.command('undo', { actionId: saved }).expect(409)
    await undo(planned)
    await undo(saved)
  })
})
