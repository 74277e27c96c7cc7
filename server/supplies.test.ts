import { eq } from 'drizzle-orm'
import sharp from 'sharp'
import { v7 } from 'uuid'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { wording } from '../core/index.ts'
import { noRules } from '../contract/index.ts'
import type {
  BenchView,
  BoxesView,
  CommandInput,
  FamiliesView,
  HistoryView,
  LedgerView,
  MomentView,
  OutingsView,
  PatternView,
  PlanView,
  StoresView,
} from '../contract/index.ts'
import { photo } from './db/schema.ts'
import { dropUnusedPhotos } from './upkeep/photos.ts'
import {
  box,
  boxId,
  hook,
  hookFamily,
  id,
  midge,
  patternId,
  placeA,
  placeB,
  thread,
  variantId,
} from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
beforeEach(async () => {
  await server.command('boxCreate', box).expect(200)
  await server.command('patternSave', midge()).expect(200)
})
afterEach(() => server.close())

const body = async <T>(path: string): Promise<T> => (await server.get(path).expect(200)).body as T
async function held(place: unknown): Promise<number> {
  const { boxes } = await body<BoxesView>('/api/boxes')
  const found = boxes.flatMap(({ compartments }) => compartments).find((candidate) => candidate.id === place)
  return found?.flies.reduce((sum, { count }) => sum + count, 0) ?? 0
}
const put = (count: number, compartmentId: never = placeA) =>
  server.command('fliesCount', { compartmentId, variantId, counted: count }).expect(200)
const undo = (actionId: string) => server.command('undo', { actionId: actionId })

describe('putting many flies in', () => {
  const bare = {
    patternId: id('bare:pattern'),
    variantId: id('bare:variant'),
    name: 'Olive Jig',
    label: '#14',
    hookMaterialId: hook,
  }
  const lines = [
    { compartmentId: placeA, variantId: bare.variantId, count: 3 },
    { compartmentId: placeB, variantId, count: 2 },
  ]

  it('makes what has no recipe, with a name and a hook, weighing nothing that anyone knows', async () => {
    const made = await server
      .command('fliesPutIn', { how: 'found', newMaterials: [], newFlies: [bare], lines })
      .expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([3, 2])
    const { patterns } = await body<{ patterns: { name: string; variants: { figure: { kind: string; drawingKey: string | null; massMg: number | null } }[] }[] }>('/api/patterns') // prettier-ignore
    const figure = patterns.find(({ name }) => name === 'Olive Jig')?.variants[0]?.figure
    expect(figure).toMatchObject({ kind: 'incomplete', massMg: null })
    expect(figure?.drawingKey).not.toBeNull()
    const undone = await undo(made.body.actionId).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([0, 0])
    const names = async () =>
      (await body<{ patterns: { name: string }[] }>('/api/patterns')).patterns.map(({ name }) => name)
    expect(await names()).toEqual(['Plain Thread'])
    await undo(undone.body.actionId).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([3, 2])
    expect(await names()).toEqual(['Olive Jig', 'Plain Thread'])
  })

  it('takes all or none in: one line that does not fit refuses the whole', async () => {
    const full = [...lines, { compartmentId: placeB, variantId, count: 4 }]
    const refused = await server
      .command('fliesPutIn', { how: 'found', newMaterials: [], newFlies: [bare], lines: full })
      .expect(409)
    expect(refused.body.code).toBe('overCapacity')
    expect([await held(placeA), await held(placeB)]).toEqual([0, 0])
    await server
      .command('fliesPutIn', { how: 'found', anyway: true, newMaterials: [], newFlies: [bare], lines: full })
      .expect(200)
    expect(await held(placeB)).toBe(6)
  })

  it('refuses more lines than a table may have, and counts that are none', async () => {
    const many = Array.from({ length: 2001 }, () => ({ compartmentId: placeA, variantId, count: 1 }))
    const send = (rows: typeof many) =>
      server.command('fliesPutIn', { how: 'counted', newMaterials: [], newFlies: [], lines: rows })
    expect((await send(many)).status).toBeGreaterThanOrEqual(400)
    expect((await send([{ compartmentId: placeA, variantId, count: -1 }]).expect(400)).body.detail).toBe(
      'Nought or more.',
    )
    expect((await send([{ compartmentId: placeA, variantId, count: 1.5 }]).expect(400)).body.detail).toBe(
      'Whole flies only.',
    )
  })
})

describe('a batch', () => {
  it.each([0, 10_000, -3, 2.5])('of %d flies is refused, and nothing waits', async (plannedCount) => {
    const planned = { batchId: v7() as never, variantId, plannedCount, compartmentId: placeA, onVise: false }
    const refused = await server.command('batchPlan', planned).expect(400)
    expect(refused.body.fields[0]?.path).toBe('plannedCount')
    expect((await body<{ queue: unknown[] }>('/api/bench')).queue).toEqual([])
  })

  it('keeps why a fly was spoiled, and goes into another compartment where its own is full', async () => {
    await put(6)
    const batchId = v7() as never
    const eventId = v7() as never
    await server.command('batchPlan', {
      batchId,
      variantId,
      plannedCount: 2,
      compartmentId: placeA,
      onVise: true,
    })
    const count = { batchId, stepKey: null, count: 1, spoiledCause: null }
    await server.command('batchCount', { ...count, eventId, kind: 'spoiled' }).expect(200)
    await server.command('batchCount', { ...count, eventId: v7(), kind: 'done' }).expect(200)
    await server.command('batchSpoiledCause', { batchId, eventId, cause: 'thread snapped' }).expect(200)
    await server.command('batchSpoiledCause', { batchId, eventId: v7(), cause: 'x' }).expect(404)
    expect((await server.command('batchFinish', { batchId, abandon: false }).expect(409)).body.code).toBe(
      'overCapacity',
    )
    await server.command('batchFinish', { batchId, abandon: false, compartmentId: placeB }).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([6, 1])
  })
})

describe('an outing', () => {
  const outingId = id('test:outing')
  const reachId = id('test:reach')
  beforeEach(async () => {
    const waterId = id('test:water')
    await server
      .command('waterCreate', {
        waterId,
        water: {
          name: 'Long Beck',
          kind: 'smallStream',
          latitudeDeg: 54,
          longitudeDeg: -2,
          timeZone: 'Europe/London',
          clarityMm: 2000,
          snagginess: 2,
          openFromMonthDay: null,
          openToMonthDay: null,
          iceOffMonthDay: null,
          rules: noRules,
          rulesNote: '',
        },
        reaches: [
          {
            id: reachId,
            kind: 'reach',
            name: 'Long Beck',
            elevationM: 200,
            typicalDepthMm: 400,
            surfaceSpeedMmPerS: 500,
            thermoclineMm: null,
            defaultTempC: Array.from({ length: 12 }, () => 9),
          },
        ],
      }) // prettier-ignore
      .expect(200)
    await server
      .command('outingSave', {
        outingId,
        version: null,
        outing: {
          waterId,
          reachId,
          on: '2030-06-01',
          fromLocalMin: 600,
          toLocalMin: 900,
          status: 'planned',
          technique: 'dry',
          note: '',
        },
      }) // prettier-ignore
      .expect(200)
    await put(4)
  })
  const pack = (count: number, change = {}) =>
    server.command('outingPack', {
      outingId,
      toCompartmentId: placeB,
      flies: [{ fromCompartmentId: placeA, variantId, count }],
      ...change,
    })

  it('takes flies along, and brings back what was not lost, to where it came from', async () => {
    await pack(3).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([1, 3])
    const { outings } = await body<OutingsView>('/api/outings')
    expect(outings[0]?.packed).toMatchObject([{ count: 3, compartmentId: placeB }])
    expect(outings[0]?.losses).toEqual([])
    // they hang in the Column as what goes along, there and on that day
    const packedOn = async (on: string) =>
      (await body<MomentView>(`/api/moment?reachId=${reachId}&on=${on}&localMin=780`)).flies.find(
        (fly) => (fly.variantId as string) === variantId,
      )?.packed
    expect([await packedOn('2030-06-01'), await packedOn('2030-06-02')]).toEqual([3, 0])
    await server
      .command('fliesLose', {
        outingId,
        losses: [{ compartmentId: placeB, variantId, count: 2, cause: 'tree' }],
      })
      .expect(200)
    await server.command('outingUnpack', { outingId }).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([2, 0])
    await server.command('outingUnpack', { outingId }).expect(400)
    const { variants } = await body<HistoryView>('/api/history')
    expect(variants).toMatchObject([{ lost: 2, mostlyTo: 'tree', onHand: 2 }])
  })

  it('refuses more than there are, more than fit, and what lies there already', async () => {
    expect((await pack(5, { anyway: true }).expect(409)).body.code).toBe('tooFewFlies')
    await put(2, placeB)
    expect((await pack(3).expect(409)).body.code).toBe('overCapacity')
    expect((await pack(1, { toCompartmentId: placeA }).expect(400)).body.detail).toContain(
      'They lie there already',
    )
    expect([await held(placeA), await held(placeB)]).toEqual([4, 2])
  })

  it('is packed anew after an undo', async () => {
    const packed = await pack(3).expect(200)
    await undo(packed.body.actionId).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([4, 0])
    expect((await body<OutingsView>('/api/outings')).outings[0]?.packed).toEqual([])
  })
})

describe('a purchase', () => {
  const purchaseId = id('test:purchase')
  const lineId = id('test:line')
  const order = () =>
    server
      .command('purchaseOrder', {
        purchaseId,
        supplier: 'by post',
        lines: [{ lineId, materialId: thread, packAmount: 1000, packs: 3 }],
      })
      .expect(200)
  const arrive = (packs: number) =>
    server.command('purchaseArrive', { purchaseId, arrived: [{ lineId, packs }] })
  const stores = () => body<StoresView>('/api/stores')
  const onHand = async () => (await stores()).materials.find((line) => line.id === thread)?.onHand

  it('comes in parts, and is done when the last pack is there', async () => {
    await order()
    await arrive(1).expect(200)
    expect(await onHand()).toBe(1000)
    expect((await stores()).purchases[0]?.lines[0]).toMatchObject({ packs: 3, arrivedPacks: 1 })
    expect((await arrive(3).expect(400)).body.detail).toBe('Only 2 are waited for.')
    const rest = await arrive(2).expect(200)
    expect((await stores()).purchases).toEqual([])
    await undo(rest.body.actionId).expect(200)
    expect(await onHand()).toBe(1000)
    expect((await stores()).purchases[0]?.lines[0]?.arrivedPacks).toBe(1)
  })

  it('is not waited for once it is closed', async () => {
    await order()
    await server.command('purchaseClose', { purchaseId, version: 1 }).expect(200)
    await arrive(1).expect(400)
    expect(await onHand()).toBeNull()
  })
})

describe('pictures', () => {
  const send = (bytes: Buffer) =>
    server.agent.post('/api/photos').set({ Host: '127.0.0.1:4180', 'Content-Type': 'image/jpeg' }).send(bytes)
  const picture = (widthPx: number, heightPx: number) =>
    sharp({ create: { width: widthPx, height: heightPx, channels: 3, background: '#405060' } })

  it('are made small, turned upright, and lose what the camera wrote', async () => {
    const bytes = await picture(400, 200)
      .withMetadata({ orientation: 6, exif: { IFD0: { Copyright: 'nobody' } } })
      .jpeg()
      .toBuffer()
    const { photoId } = (await send(bytes).expect(200)).body as { photoId: never }
    await server.command('photoAttach', { subject: 'material', subjectId: thread, photoId }).expect(200)
    const kept = await server.get(`/api/photos/${photoId as string}`).expect(200)
    const about = await sharp(kept.body as Buffer).metadata()
    expect([about.format, about.width, about.height, about.exif]).toEqual(['webp', 200, 400, undefined])
    expect((await body<StoresView>('/api/stores')).materials.find((line) => line.id === thread)?.photoId).toBe(
      photoId,
    )
  })

  it.each([
    ['nothing', () => Buffer.alloc(0)],
    ['a text', () => Buffer.from('<svg onload="x()"></svg>')],
    ['half a picture', async () => (await picture(300, 300).png().toBuffer()).subarray(0, 90)],
    ['a picture of another sort', () => picture(20, 20).gif().toBuffer()],
    ['one of too many pixels', () => picture(6000, 5000).png().toBuffer()],
  ])('refuse %s', async (_what, make) => {
    expect((await send(await make()).expect(415)).body.code).toBe('notAPicture')
    expect(await server.database.db.$count(photo)).toBe(0)
  })

  it('refuse more than 8 MB', async () => {
    await send(Buffer.alloc(8_500_000)).expect(413)
  })

  it('that were never attached go at the next start; attached ones stay', async () => {
    const bytes = await picture(50, 50).png().toBuffer()
    const first = (await send(bytes).expect(200)).body as { photoId: never }
    await send(bytes).expect(200)
    await server
      .command('photoAttach', { subject: 'material', subjectId: thread, photoId: first.photoId })
      .expect(200)
    await dropUnusedPhotos(server.database)
    const rows = await server.database.db.select({ id: photo.id }).from(photo)
    expect(rows).toEqual([{ id: first.photoId }])
    expect(await server.database.db.$count(photo, eq(photo.id, first.photoId))).toBe(1)
  })
})

describe('a box after a school', () => {
  it('gives flies their place and gathers them there; undo puts them back', async () => {
    await put(3)
    const made = await server
      .command('boxCreate', {
        boxId: id('test:second-box'),
        name: 'By Depth',
        note: '',
        compartments: [{ id: id('test:deep'), row: 1, column: 1, label: 'Deep', capacity: 8 }],
        homes: [{ variantId, compartmentId: id('test:deep') }],
        moveFlies: true,
      })
      .expect(200)
    expect([await held(placeA), await held(id('test:deep'))]).toEqual([0, 3])
    const { boxes } = await body<BoxesView>('/api/boxes')
    expect(boxes.map((line) => line.id)).toContain(boxId)
    const undone = await undo(made.body.actionId).expect(200)
    expect(await held(placeA)).toBe(3)
    expect((await body<BoxesView>('/api/boxes')).boxes.map((line) => line.name)).not.toContain('By Depth')
    await undo(undone.body.actionId).expect(200)
    expect(await held(id('test:deep'))).toBe(3)
  })
})

describe('a batch by stations', () => {
  it('counts flies through a step, takes one back, and counts none of them as done', async () => {
    const batchId = id('test:stations')
    await server
      .command('batchPlan', { batchId, variantId, plannedCount: 3, compartmentId: placeA, onVise: true })
      .expect(200)
    await server.command('batchWay', { batchId, way: 'stations' }).expect(200)
    const through = (n: number) =>
      server
        .command('batchCount', {
          eventId: id(`test:through:${n}`),
          batchId,
          kind: 'station',
          stepKey: 'body',
          count: 1,
          spoiledCause: null,
        })
        .expect(200)
    await through(1)
    const second = await through(2)
    expect(second.body).toMatchObject({ label: 'One Plain Thread #16 black through a step', undoable: true })
    const onVise = async () => (await body<BenchView>('/api/bench')).onVise
    expect((await onVise())?.throughStep).toEqual({ body: 2 })
    const undone = await undo(second.body.actionId).expect(200)
    expect((await onVise())?.throughStep).toEqual({ body: 1 })
    expect((await onVise())?.batch.done).toBe(0)
    await undo(undone.body.actionId).expect(200)
    expect((await onVise())?.throughStep).toEqual({ body: 2 })
  })
})

describe('a box that is taken back', () => {
  it('is no fly’s place any more, and is again when that is undone', async () => {
    const deep = id('test:deep')
    const made = await server
      .command('boxCreate', {
        boxId: id('test:later-box'),
        name: 'Later Box',
        note: '',
        compartments: [{ id: deep, row: 1, column: 1, label: 'Deep', capacity: 8 }],
      })
      .expect(200)
    const fly = async () => (await body<PatternView>(`/api/patterns/${String(patternId)}`)).variants[0]
    const version = (await fly())?.version ?? 0
    await server
      .command('variantHome', { variantId, version, parCount: 3, homeCompartmentId: deep })
      .expect(200)
    await put(2, deep)
    await put(0, deep)
    const undone = await undo(made.body.actionId).expect(200)
    expect((await fly())?.homeCompartmentId).toBeNull()
    expect((await body<BoxesView>('/api/boxes')).restock).toEqual([])
    await undo(undone.body.actionId).expect(200)
    expect((await fly())?.homeCompartmentId).toBe(deep)
  })
})

describe('the plan', () => {
  it('keeps what was fixed of it, and forgets it when it is let free', async () => {
    const choices = async () => (await body<PlanView>('/api/plan')).choices
    const fly = { variantId, patternId, label: '#16 black' }
    await server.command('planFix', { ...fly, count: 4 }).expect(200)
    expect(await choices()).toEqual({ [variantId as string]: 4 })
    const left = await server.command('planFix', { ...fly, count: 0 }).expect(200)
    expect(left.body.label).toBe('Left Plain Thread #16 black out of the plan')
    await undo(left.body.actionId).expect(200)
    expect(await choices()).toEqual({ [variantId as string]: 4 })
    await server.command('planFix', { ...fly, count: null }).expect(200)
    expect(await choices()).toEqual({})
    await server.command('planFix', { ...fly, count: 100 }).expect(400)
  })

  it('keeps what was decided of a fly that it thought of and that nobody made', async () => {
    const thought = id('test:thought')
    const fixed = await server
      .command('planFix', { variantId: thought, patternId, label: '#14 black', count: 2 })
      .expect(200)
    expect(fixed.body.label).toBe('Fixed 2 Plain Thread #14 black in the plan')
    expect((await body<PlanView>('/api/plan')).choices).toEqual({ [thought as string]: 2 })
    await server
      .command('planFix', { variantId: thought, patternId: id('test:none'), label: '#14', count: 2 })
      .expect(404)
  })

  it('keeps evenings that differ, makes them as usual again, and forgets those that are over', async () => {
    const evenings = async () => (await body<PlanView>('/api/plan')).evenings
    await server.command('eveningSet', { on: '2099-06-03', minutes: 0 }).expect(200)
    const long = await server.command('eveningSet', { on: '2099-06-04', minutes: 150 }).expect(200)
    expect(long.body.label).toBe('Set the evening of 2099-06-04 to 150 minutes')
    await server.command('eveningSet', { on: '2001-06-04', minutes: 30 }).expect(200)
    expect(await evenings()).toEqual([
      { on: '2099-06-03', minutes: 0 },
      { on: '2099-06-04', minutes: 150 },
    ])
    await undo(long.body.actionId).expect(200)
    expect(await evenings()).toEqual([{ on: '2099-06-03', minutes: 0 }])
    await server.command('eveningSet', { on: '2099-06-03', minutes: null }).expect(200)
    expect(await evenings()).toEqual([])
    await server.command('eveningSet', { on: '2099-06-03', minutes: 601 }).expect(400)
    await server.command('eveningSet', { on: '2099-02-30', minutes: 60 }).expect(400)
  })
})

describe('moving several flies at once', () => {
  it('is one action that is undone as one, and moves all of them or none', async () => {
    const other = id('bare:variant')
    const bare = {
      patternId: id('bare:pattern'),
      variantId: other,
      name: 'Olive Jig',
      label: '#14',
      hookMaterialId: hook,
    }
    await put(2)
    await server
      .command('fliesPutIn', {
        how: 'found',
        newMaterials: [],
        newFlies: [bare],
        lines: [{ compartmentId: placeA, variantId: other, count: 3 }],
      })
      .expect(200)
    const move = (count: number, alsoCount: number) =>
      server.command('fliesMove', {
        fromCompartmentId: placeA,
        toCompartmentId: placeB,
        variantId,
        count,
        also: [{ variantId: other, count: alsoCount }],
      })
    // five do not fit into four, and four of three are too many
    await move(2, 3).expect(409)
    await move(0, 3).expect(400)
    await move(1, 4).expect(409)
    expect([await held(placeA), await held(placeB)]).toEqual([5, 0])
    const moved = await move(1, 3).expect(200)
    expect(moved.body.label).toBe('Moved 4 Plain Thread #16 black and 1 other to B')
    expect([await held(placeA), await held(placeB)]).toEqual([1, 4])
    await undo(moved.body.actionId).expect(200)
    expect([await held(placeA), await held(placeB)]).toEqual([5, 0])
  })
})

describe('a ledger that is read', () => {
  it('says of a compartment what came and went, newest first, and what lay there after each', async () => {
    await put(4)
    await server
      .command('fliesMove', { fromCompartmentId: placeA, toCompartmentId: placeB, variantId, count: 1 })
      .expect(200)
    const losses = [{ compartmentId: placeA, variantId, count: 2, cause: 'tree' as const }]
    const lost = await server.command('fliesLose', { outingId: null, losses }).expect(200)
    await undo(lost.body.actionId).expect(200)
    const { lines, all } = await body<LedgerView>(`/api/ledger?compartmentId=${String(placeA)}`)
    expect(lines.map((line) => [wording.entryWords(line), line.delta, line.after])).toEqual([
      ['taken back: lost: tree', 2, 3],
      ['lost: tree', -2, 1],
      ['moved out', -1, 3],
      ['counted, more', 4, 4],
    ])
    expect(all).toBe(4)
    expect(lines[0]?.name).toBe('Plain Thread #16 black')
    const there = await body<LedgerView>(`/api/ledger?compartmentId=${String(placeB)}`)
    expect(there.lines.map((line) => [wording.entryWords(line), line.after])).toEqual([['moved in', 1]])
  })

  it('says the same of a drawer, and refuses to be asked for nothing', async () => {
    await server.command('materialEntry', { materialId: hook, cause: 'bought', amount: 500 }).expect(200)
    await server.command('materialEntry', { materialId: hook, cause: 'counted', amount: 300 }).expect(200)
    const { lines } = await body<LedgerView>(`/api/ledger?materialId=${String(hook)}`)
    expect(lines.map((line) => [wording.entryWords(line), line.delta, line.after])).toEqual([
      ['counted, fewer', -200, 300],
      ['bought', 500, 500],
    ])
    await server.get('/api/ledger').expect(400)
    await server.get('/api/ledger?compartmentId=nobody').expect(400)
  })
})

describe('goods that do not ship', () => {
  const familyId = id('own:dubbing')
  const drawer = { id: id('own:drawer'), sizeKey: '' }
  const moss = [{ name: 'moss', hex: '#5a6b3a' }]
  const create = (change: Partial<CommandInput<'familyCreate'>> = {}) =>
    server.command('familyCreate', {
      familyId,
      kind: 'dubbing',
      name: 'Cat of the neighbour',
      likeFamilyId: null,
      colours: moss,
      drawer,
      ...change,
    })
  const own = async () =>
    (await body<FamiliesView>('/api/families')).families.find((family) => family.id === familyId)

  it('take the usual figures of their kind, and say so; undo takes them away', async () => {
    const made = await create().expect(200)
    const family = await own()
    expect(family).toMatchObject({
      kind: 'dubbing',
      stockUnit: 'mg',
      colours: [{ name: 'moss', hexWet: '#414d2a' }],
    })
    expect(Object.values(family?.physics ?? {}).every(({ evidence }) => evidence === 'kindDefault')).toBe(true)
    expect(Object.keys(family?.physics ?? {})).toContain('densityMgPerMm3')
    const { materials } = await body<StoresView>('/api/stores')
    expect(materials.find((line) => line.id === drawer.id)).toMatchObject({ colourName: 'moss', onHand: null })
    await undo(made.body.actionId).expect(200)
    expect(await own()).toBeUndefined()
  })

  it('are refused where they are said to be like goods of another kind, or come in no colour', async () => {
    expect((await create({ likeFamilyId: hookFamily }).expect(400)).body.detail).toContain('is of another kind')
    expect((await create({ colours: [] }).expect(400)).body.detail).toBe('Name the colour.')
    expect(await own()).toBeUndefined()
  })

  it('are refused under a name that others have, shipped ones too, until those are taken back', async () => {
    const made = await create().expect(200)
    const another = { familyId: id('own:other'), drawer: { id: id('own:other-drawer'), sizeKey: '' } }
    const refused = (await create({ ...another, name: ' cat of  the Neighbour' }).expect(409)).body
    expect(refused).toMatchObject({
      code: 'nameTaken',
      fields: [{ path: 'name', message: 'That name is taken.' }],
    })
    const { families } = await body<FamiliesView>('/api/families')
    const shipped = families.find(({ id: one }) => one !== familyId)!
    await create({ ...another, kind: shipped.kind, name: shipped.name.toUpperCase() }).expect(409)
    const undone = await undo(made.body.actionId).expect(200)
    const taken = await create(another).expect(200)
    // done again they would stand beside those that have their name now
    const again = await undo(undone.body.actionId).expect(409)
    expect(again.body).toMatchObject({ code: 'cannotUndo', detail: 'Its name or place is taken since.' })
    expect(await own()).toBeUndefined()
    await undo(taken.body.actionId).expect(200)
    await undo(undone.body.actionId).expect(200)
    expect((await own())?.name).toBe('Cat of the neighbour')
  })
})
