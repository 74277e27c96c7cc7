import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { CommandInput, PatternsView, SettingsChange, StoresView } from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { variantFigure } from './db/schema.ts'
import { seedShipped } from './upkeep/seed.ts'
import { makeTemplate } from './testing/testServer.ts'
import type { TestServer } from './testing/testServer.ts'

let template: Awaited<ReturnType<typeof makeTemplate>>
let server: TestServer
const id = (key: string) => fixedId(key) as never
const [hook, straight, long, tungsten, brass, red] = [
  'hook',
  'straight',
  'long',
  'tungsten',
  'brass',
  'red',
].map((key) => id(`d:${key}`))

const around = (from: number, to: number) => ({ from, to, side: 'around' as const })
const jigs: CommandInput<'patternSave'> = {
  patternId: id('d:pattern'),
  version: null,
  name: 'Two Metals',
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
      { key: 'bead', kind: 'bead', materialId: tungsten as never, place: around(0, 0.2) },
      { key: 'spot', kind: 'hotSpot', materialId: red as never, place: around(0.2, 0.25), turns: 3 },
    ],
    steps: null,
  },
  newMaterials: [
    { id: hook as never, familyId: id('family:hook-jig-60'), sizeKey: '14', colourName: 'bronze' },
    { id: straight as never, familyId: id('family:hook-straight'), sizeKey: '14', colourName: 'bronze' },
    { id: long as never, familyId: id('family:hook-heavy-2xl'), sizeKey: '10', colourName: 'bronze' },
    {
      id: tungsten as never,
      familyId: id('family:bead-tungsten-slotted'),
      sizeKey: '2.8',
      colourName: 'copper',
    },
    { id: brass as never, familyId: id('family:bead-brass-slotted'), sizeKey: '2.8', colourName: 'copper' },
    { id: red as never, familyId: id('family:thread-nylon'), sizeKey: '70', colourName: 'red' },
  ],
  variants: [
    { label: 'W', hookMaterialId: hook, swaps: [] },
    { label: 'B', hookMaterialId: hook, swaps: [{ componentKey: 'bead', materialId: brass }] },
    { label: 'plain', hookMaterialId: straight, swaps: [{ componentKey: 'bead', omit: true }] },
    { label: 'long', hookMaterialId: long, swaps: [{ componentKey: 'bead', omit: true }] },
  ].map((variant) => ({
    ...variant,
    id: id(`d:${variant.label}`),
    parCount: null,
    homeCompartmentId: null,
  })) as never,
}

beforeAll(async () => {
  template = await makeTemplate((database) => seedShipped(database, 'Europe/London'))
})
afterAll(() => template.remove())
beforeEach(async () => {
  server = await template.open()
  await server.command('patternSave', jigs).expect(200)
})
afterEach(() => server.close())

const patterns = async () => (await server.get('/api/patterns').expect(200)).body as PatternsView
const massOf = async (label: string) =>
  (await patterns()).patterns[0]?.variants.find((variant) => variant.label === label)?.figure.massMg ?? 0
const drawer = async (materialId: unknown) =>
  ((await server.get('/api/stores').expect(200)).body as StoresView).materials.find(
    (line) => line.id === materialId,
  )
const saveSettings = (change: SettingsChange) => server.command('settingsSave', { change }).expect(200)

describe('a measured hook', () => {
  const measure = (version: number, wireMm: number | null) =>
    server.command('hookMeasure', {
      materialId: hook as never,
      version,
      shankMm: null,
      gapeMm: null,
      wireMm,
    })

  it('moves every fly on it, is kept in its drawer, and is taken back', async () => {
    const [before, other] = [await massOf('W'), await massOf('long')]
    await measure(1, 0.6).expect(200)
    expect(await massOf('W')).toBeGreaterThan(before + 5)
    expect(await massOf('long')).toBe(other)
    expect((await drawer(hook))?.overrides.wireMm).toMatchObject({ value: 0.6, evidence: 'entered' })
    await measure(2, null).expect(200)
    expect(await massOf('W')).toBeCloseTo(before, 6)
    expect((await drawer(hook))?.overrides).toEqual({})
  })

  it('comes back by undo with its figures', async () => {
    const before = await massOf('W')
    const { body } = await measure(1, 0.6).expect(200)
    await server.command('undo', { actionId: (body as { actionId: never }).actionId }).expect(200)
    expect(await massOf('W')).toBeCloseTo(before, 6)
  })

  it('is refused where no hook measures so', async () => {
    const { body } = await measure(1, 40).expect(400)
    expect(JSON.stringify(body)).toContain('At most 3 mm.')
  })
})

describe('what a spool says of a line', () => {
  it('is kept as thickness and density with its doubt, and is taken back', async () => {
    const families = (await server.get('/api/catalogue').expect(200)).body as {
      families: { id: string; name: string }[]
    }
    const family = families.families.find(({ name }) => name === 'Fly line, sinking, type 2')
    const line = id('l:slow')
    await server
      .command('familyCreate', {
        familyId: id('f:slow'),
        kind: 'line',
        name: 'Slow line',
        likeFamilyId: family!.id,
        colours: [{ name: 'black', hex: '#101010' }],
        drawer: { id: line, sizeKey: '' },
      } as never)
      .expect(200)
    const say = (version: number, spool: unknown) =>
      server.command('lineSpool', { materialId: line, version, spool } as never)
    await say(1, { diameterMm: 1, rateMmPerS: 75, weight: null }).expect(200)
    const { densityMgPerMm3, diameterMm } = (await drawer(line))!.overrides
    expect(diameterMm).toMatchObject({ value: 1, evidence: 'entered' })
    // line.md's own reckoning at 20 °C, and a rate that is known to a seventh
    expect(densityMgPerMm3!.value).toBeCloseTo(1.553, 2)
    expect(densityMgPerMm3!.low).toBeLessThan(1.47)
    expect(densityMgPerMm3!.high).toBeGreaterThan(1.65)
    await say(2, { diameterMm: 1, rateMmPerS: 75, weight: { massMg: 160 * 64.799, lengthMm: 9144 } }).expect(
      200,
    )
    expect((await drawer(line))!.overrides.densityMgPerMm3!.value).toBeCloseTo(1.444, 2)
    const { body } = await say(3, { diameterMm: 1, rateMmPerS: null, weight: null }).expect(400)
    expect(JSON.stringify(body)).toContain('Say how fast it sinks, or what it weighs over a length.')
    await say(3, null).expect(200)
    expect((await drawer(line))!.overrides).toEqual({})
  })
})

describe('the counting of hook sizes', () => {
  it('moves what is long or heavy by nX, and nothing else', async () => {
    const [plain, long] = [await massOf('plain'), await massOf('long')]
    await saveSettings({ hookSteps: 'evenSizes' })
    expect(await massOf('long')).toBeGreaterThan(long * 1.1)
    expect(await massOf('plain')).toBeCloseTo(plain, 6)
    await saveSettings({ hookSteps: 'wholeSizes' })
    expect(await massOf('long')).toBeCloseTo(long, 6)
  })
})

describe('flies to be told apart', () => {
  it('are named in pairs, and by the mark that breaks the code', async () => {
    const first = (await patterns()).toldApart
    expect(first.marks).toEqual([])
    expect(first.pairs).toMatchObject([{ lighterId: id('d:B'), heavierId: id('d:W') }])
    await saveSettings({
      weightCode: { marks: { tungsten: 'red', brass: 'tan', none: null }, on: ['jigHooks'] },
    })
    expect((await patterns()).toldApart.marks).toEqual([
      { variantId: id('d:B'), metal: 'brass', expected: 'tan', found: 'red' },
    ])
  })
})

describe('flies whose figures are not worked out yet', () => {
  it('are told of nothing, least of all of what is wrong with another', async () => {
    await saveSettings({
      weightCode: { marks: { tungsten: 'tan', brass: 'red', none: null }, on: ['jigHooks'] },
    })
    await server.database.write((tx) => tx.delete(variantFigure))
    expect((await patterns()).toldApart).toEqual({ pairs: [], marks: [] })
  })
})

describe('how a drawer is bought', () => {
  it('keeps pack, price and days, and refuses a price below nought', async () => {
    const body = {
      materialId: tungsten as never,
      version: 1,
      minimumAmount: 2500,
      packAmount: 2000,
      priceMinor: 640,
      leadTimeDays: 6,
      supplier: 'the stall at the mill',
      barb: null,
      note: '',
    }
    await server.command('materialSave', body).expect(200)
    expect(await drawer(tungsten)).toMatchObject({ priceMinor: 640, leadTimeDays: 6, packAmount: 2000 })
    await server.command('materialSave', { ...body, version: 2, priceMinor: -1 }).expect(400)
    expect(await drawer(tungsten)).toMatchObject({ priceMinor: 640, version: 2 })
  })
})
