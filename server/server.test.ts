import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { eq, sql } from 'drizzle-orm'
import fc from 'fast-check'
import { afterEach, describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type {
  BenchView,
  BoxesView,
  CommandInput,
  DrawingsView,
  EventId,
  FrameView,
  MomentView,
  OutingsView,
  PatternView,
  PatternsView,
  PlanView,
  SearchView,
  StandingsView,
  StoresView,
  UsesView,
  TonightView,
} from '../contract/index.ts'
import { roomOf } from '../contract/index.ts'
import { minutesTaken } from '../core/index.ts'
import type { ViseEvent } from '../core/index.ts'
import { rowsOf } from './db/ownWords.ts'
import { loadTimedEvents } from './read/standingEvents.ts'
import { makeClock } from './clock/clock.ts'
import { checkDatabase } from './upkeep/verify.ts'
import {
  action,
  batchEvent,
  dressing,
  family,
  flyEntry,
  foodStage,
  material,
  variantFigure,
} from './db/schema.ts'
import {
  box,
  hook,
  id,
  midge,
  patternId,
  placeA,
  placeB,
  thread,
  threadFamily,
  variantId,
} from './testing/smallBox.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'
import { localTime } from './clock/localTime.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

const body = async <T>(path: string): Promise<T> => (await server.get(path).expect(200)).body as T
const boxes = () => body<BoxesView>('/api/boxes')
async function onHand(place: unknown = placeA): Promise<number> {
  const all = (await boxes()).boxes.flatMap(({ compartments }) => compartments)
  return all.find((candidate) => candidate.id === place)?.flies.reduce((sum, { count }) => sum + count, 0) ?? 0
}
async function ready(): Promise<void> {
  await server.command('boxCreate', box).expect(200)
  await server.command('patternSave', midge()).expect(200)
}
const undo = (actionId: string) => server.command('undo', { actionId: actionId })

describe('a new data directory', () => {
  it('has what ships: 200 families, 164 stages, a bench tray, settings', async () => {
    const { db } = server.database
    expect(await db.$count(family)).toBe(200)
    expect(await db.$count(foodStage)).toBe(164)
    const frame = await body<FrameView>('/api/frame')
    expect(frame.settings.parCount).toBe(3)
    expect((await boxes()).boxes.map(({ kind }) => kind)).toEqual(['benchTray'])
  })

  it('enforces references on every connection', async () => {
    const asked = sql`pragma foreign_keys`
    expect(await rowsOf(server.database.db, asked)).toEqual([[1]])
    await server.database.write(async (tx) => expect(await rowsOf(tx, asked)).toEqual([[1]]))
  })

  it('has its triggers and its search table', async () => {
    const rows = await rowsOf<readonly [string]>(
      server.database.db,
      sql`select name from sqlite_master where type in ('trigger', 'table')`,
    )
    const names = rows.map(([name]) => name)
    for (const name of [
      'fly_entry_kept',
      'fly_entry_stays',
      'fly_entry_sums',
      'fly_entry_tallies',
      'material_entry_sums',
      'dressing_kept',
      'search_text',
      'search_pattern_insert',
    ]) {
      expect(names).toContain(name)
    }
  })

  it('says on Tonight that it is empty', async () => {
    expect(await body<TonightView>('/api/tonight')).toMatchObject({ empty: true, lines: [] })
  })
})

describe('patterns', () => {
  it('are saved with variants, minted drawers and figures', async () => {
    await ready()
    const { patterns } = await body<PatternsView>('/api/patterns')
    expect(patterns).toHaveLength(1)
    expect(patterns[0]?.variants[0]?.figure.kind).toBe('sinks')
    const key = patterns[0]?.variants[0]?.figure.drawingKey ?? ''
    const { sketches } = await body<DrawingsView>(`/api/drawings?keys=${key},0000000000000000-900x500`)
    expect(sketches[key]?.parts.map(({ shape }) => shape)).toEqual(['wound'])
    expect(Object.keys(sketches)).toEqual([key])
    expect(roomOf(key)).toEqual({
      widthMm: sketches[key]?.frame.widthMm,
      heightMm: sketches[key]?.frame.heightMm,
    })
    await server.get('/api/drawings?keys=../../etc').expect(400)
  })

  it('whose drawings were named without their size before are named with it', async () => {
    await ready()
    const keys = async () =>
      (await server.database.client.execute('select drawing_key from variant_figure')).rows.map(
        ({ drawing_key: key }) => key,
      )
    const today = await keys()
    expect(today.length).toBeGreaterThan(0)
    await server.database.write((tx) =>
      tx.run(sql`update variant_figure set drawing_key = substr(drawing_key, 1, 16)`),
    )
    expect(await keys()).not.toEqual(today)
    const step = await readFile(join('server', 'migrations', '0038_drawings-name-their-size.sql'), 'utf8')
    await server.database.write((tx) => tx.run(sql.raw(step)))
    expect(await keys()).toEqual(today)
  })

  it('are in the stores with their drawers, of which nothing was counted', async () => {
    await ready()
    const { materials } = await body<StoresView>('/api/stores')
    expect(materials.map(({ onHand: amount }) => amount)).toEqual([null, null])
  })

  it('make a new revision only when the recipe changes', async () => {
    await ready()
    await server.command('patternSave', midge({ version: 1, note: 'thin' })).expect(200)
    expect(await server.database.db.$count(dressing)).toBe(1)
    const thicker = midge({ version: 2 })
    const components = thicker.dressing.components.map((component) => ({ ...component, layers: 5 }))
    await server.command('patternSave', { ...thicker, dressing: { components, steps: null } }).expect(200)
    expect(await server.database.db.$count(dressing)).toBe(2)
  })

  it('leaves flies that lie in a box under the recipe that they were tied by', async () => {
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 3 }).expect(200)
    const held = async () => {
      const { patterns } = await body<PatternsView>('/api/patterns')
      const line = patterns.flatMap(({ variants }) => variants).find(({ id }) => id === variantId)
      return [line?.onHand, line?.olderOnHand]
    }
    const changed = (version: number, layers: number) => {
      const whole = midge({ version })
      const components = whole.dressing.components.map((one) => ({ ...one, layers }))
      return { ...whole, dressing: { components, steps: null } }
    }
    await server.command('patternSave', changed(1, 5)).expect(200)
    expect(await held()).toEqual([3, 3])
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 5 }).expect(200)
    expect(await held()).toEqual([5, 3])
  })

  it('corrects the record of flies that were tied so all along, and undo takes back both', async () => {
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 3 }).expect(200)
    await server.command('fliesCount', { compartmentId: placeB, variantId, counted: 2 }).expect(200)
    const seen = async () => {
      const { variants, dressing: now } = await body<PatternView>(`/api/patterns/${patternId}`)
      return [variants[0]?.onHand, variants[0]?.olderOnHand, now.components.at(-1)?.layers]
    }
    const asMade = await seen()
    const corrected = (version: number, layers: number) => {
      const whole = midge({ version })
      const components = whole.dressing.components.map((one) => ({ ...one, layers }))
      return { ...whole, dressing: { components, steps: null }, correctsRecord: true }
    }
    const { actionId } = (await server.command('patternSave', corrected(1, 5)).expect(200)).body as {
      actionId: string
    }
    expect(await seen()).toEqual([5, 0, 5])
    const undone = (await server.command('undo', { actionId }).expect(200)).body as { actionId: string }
    expect(await seen()).toEqual(asMade)
    expect((await checkDatabase(server.database)).every((line) => line.startsWith('ok'))).toBe(true)
    // done again it is as it was, and a further change is of the recipe that is current
    await server.command('undo', { actionId: undone.actionId }).expect(200)
    expect(await seen()).toEqual([5, 0, 5])
    const { version } = await body<PatternView>(`/api/patterns/${patternId}`)
    await server.command('patternSave', { ...corrected(version, 6), correctsRecord: false }).expect(200)
    expect(await seen()).toEqual([5, 5, 6])
  })

  it('refuse a stale save and hand over the row as it is', async () => {
    await ready()
    await server.command('patternSave', midge({ version: 1, note: 'first tab' })).expect(200)
    const refused = await server.command('patternSave', midge({ version: 1, note: 'second tab' })).expect(409)
    expect(refused.body).toMatchObject({
      code: 'staleVersion',
      current: { note: 'first tab', version: 2, changedAtMs: expect.any(Number) as number },
    })
  })

  it('leave place and number alone that were set elsewhere since, unless they say them', async () => {
    await ready()
    const { parCount: _par, homeCompartmentId: _home, ...unsaid } = midge().variants[0]!
    const kept = async () => {
      const { patterns } = await body<PatternsView>('/api/patterns')
      const { parCount, homeCompartmentId } = patterns[0]!.variants[0]!
      return { parCount, homeCompartmentId }
    }
    const home = { variantId, version: 1, parCount: 5, homeCompartmentId: placeB }
    const { version } = (await body<PatternView>(`/api/patterns/${patternId}`)).variants[0]!
    await server.command('variantHome', { ...home, version }).expect(200)
    await server.command('patternSave', midge({ version: 1, variants: [unsaid] })).expect(200)
    expect(await kept()).toEqual({ parCount: 5, homeCompartmentId: placeB })
    await server
      .command('patternSave', midge({ version: 2, variants: [{ ...unsaid, parCount: 2 }] }))
      .expect(200)
    expect(await kept()).toEqual({ parCount: 2, homeCompartmentId: placeB })
    await server
      .command('patternSave', midge({ version: 3, variants: [{ ...unsaid, homeCompartmentId: null }] }))
      .expect(200)
    expect(await kept()).toEqual({ parCount: 2, homeCompartmentId: null })
  })

  it('refuse a taken name, two variants of one name, and a colour that goods do not come in', async () => {
    await ready()
    const twin = midge({
      patternId: id('test:other'),
      name: 'plain  THREAD',
      variants: [{ ...midge().variants[0]!, id: id('test:v2') }],
    })
    expect((await server.command('patternSave', twin).expect(409)).body).toMatchObject({
      code: 'nameTaken',
      fields: [{ path: 'name' }],
    })
    const [one] = midge().variants
    const pair = midge({
      patternId: id('test:other'),
      name: 'Other',
      variants: [one!, { ...one!, id: id('test:v3') }],
    })
    expect((await server.command('patternSave', pair).expect(409)).body.fields[0].path).toBe('variants.1.label')
    const odd = midge({
      patternId: id('test:other'),
      name: 'Other',
      newMaterials: [{ id: id('test:odd'), familyId: threadFamily, sizeKey: '71', colourName: 'black' }],
    })
    expect((await server.command('patternSave', odd).expect(400)).body.fields[0].path).toBe('newMaterials')
  })

  it('mints a colour of one’s own, and a bead of a size between those that are listed', async () => {
    await ready()
    const families = (
      (await server.get('/api/catalogue').expect(200)).body as { families: { id: string; name: string }[] }
    ).families
    const familyOf = (name: string) => families.find((family) => family.name === name)!.id
    const minted = [
      {
        id: id('test:turquoise'),
        familyId: familyOf('Hare-like fur with guard hair'),
        sizeKey: '',
        colourName: 'turquoise',
        colourHex: '#5b3a7a',
      },
      {
        id: id('test:26'),
        familyId: familyOf('Tungsten alloy bead, slotted'),
        sizeKey: '2.6',
        colourName: 'copper',
      },
    ]
    const own = midge({ version: 1, newMaterials: [...(midge().newMaterials as never[]), ...minted] as never })
    await server.command('patternSave', own).expect(200)
    const { materials } = (await server.get('/api/stores').expect(200)).body as {
      materials: { id: string; sizeKey: string; colourName: string; colourHex: string; colourWetHex: string }[]
    }
    expect(materials.find((one) => one.id === minted[0]!.id)).toMatchObject({
      colourName: 'turquoise',
      colourHex: '#5b3a7a',
    })
    // wet it is darker
    expect(
      parseInt(materials.find((one) => one.id === minted[0]!.id)!.colourWetHex.slice(1, 3), 16),
    ).toBeLessThan(0x5b)
    expect(materials.find((one) => one.id === minted[1]!.id)).toMatchObject({
      sizeKey: '2.6',
      colourName: 'copper',
    })
    const wire = { id: id('test:wire'), familyId: familyOf('Lead wire'), sizeKey: '0.45', colourName: 'lead' }
    await server
      .command('patternSave', midge({ patternId: id('test:other'), newMaterials: [wire] as never }))
      .expect(400)
  })

  it('keep markup in a name as the text it is', async () => {
    await ready()
    await server.command('patternSave', midge({ version: 1, name: '<script>alert(1)</script>' })).expect(200)
    expect((await body<PatternsView>('/api/patterns')).patterns[0]?.name).toBe('<script>alert(1)</script>')
  })

  it('are found by the beginnings of their words, and no longer once put away', async () => {
    await ready()
    const found = () =>
      server
        .get('/api/search?q=thre')
        .expect(200)
        .then((answer) => answer.body.hits.map((hit: { title: string }) => hit.title) as string[])
    expect(await found()).toContain('Plain Thread')
    await server.command('patternArchive', { patternId, version: 1 }).expect(200)
    expect(await found()).not.toContain('Plain Thread')
  })

  it('use their materials, and no longer once put away', async () => {
    await ready()
    const { materials } = await body<StoresView>('/api/stores')
    const used = materials.find(({ usedBy }) => usedBy > 0)!
    const uses = async () => (await body<UsesView>(`/api/materials/${used.id}/uses`)).uses.length
    expect(await uses()).toBe(used.usedBy)
    await server.command('patternArchive', { patternId, version: 1 }).expect(200)
    const left = (await body<StoresView>('/api/stores')).materials.find(({ id }) => id === used.id)
    expect(left?.usedBy).toBe(await uses())
    expect(left?.usedBy).toBe(used.usedBy - 1)
  })

  it('are found with their variants by words of both names', async () => {
    await ready()
    const hits = async (words: string) => {
      const { body: found } = await server.get(`/api/search?q=${encodeURIComponent(words)}`).expect(200)
      return (found as SearchView).hits
    }
    const { label } = (await body<PatternsView>('/api/patterns')).patterns[0]!.variants[0]!
    const [fly] = await hits(`plain ${label}`)
    expect(fly).toMatchObject({ kind: 'variant', id: variantId, patternId, title: `Plain Thread ${label}` })
    // where the pattern's name says it all, the pattern is meant
    expect((await hits('plain')).map(({ kind }) => kind)).toEqual(['pattern'])
    expect(await hits(`plain ${label} moth`)).toEqual([])
  })

  it('stand beside foods that are found by what anglers call them', async () => {
    const { hits } = (await server.get('/api/search?q=buzzers').expect(200)).body as {
      hits: { kind: string; title: string }[]
    }
    expect(hits.length).toBeGreaterThan(3)
    for (const { kind, title } of hits) expect(`${kind} ${title}`).toMatch(/^foodStage .*midge/)
    const { hits: drakes } = (await server.get('/api/search?q=drake').expect(200)).body as {
      hits: { title: string }[]
    }
    expect(drakes.map(({ title }) => title)).toContain('Large burrowing mayfly, dun')
  })
})

describe('commands', () => {
  it('are carried out once: a repeated id changes nothing, another body under it is refused', async () => {
    await ready()
    const once = v7()
    const count = (counted: number) =>
      server.command('fliesCount', { compartmentId: placeA, variantId, counted }, once)
    await count(4).expect(200)
    await count(4).expect(200)
    expect(await onHand()).toBe(4)
    expect(await server.database.db.$count(flyEntry)).toBe(1)
    expect((await count(5).expect(409)).body.code).toBe('commandReused')
  })

  it.each([
    [{ kind: 'fliesCount', body: {} }, 'invalidInput', 400],
    [{ id: 'x', kind: 'fliesCount', body: {} }, 'invalidInput', 400],
    [{ id: v7(), kind: 'nothing', body: {} }, 'invalidInput', 400],
    [
      { id: v7(), kind: 'fliesCount', body: { compartmentId: v7(), variantId: v7(), counted: -1 } },
      'invalidInput',
      400,
    ],
    [
      { id: v7(), kind: 'fliesCount', body: { compartmentId: v7(), variantId: v7(), counted: 1.5 } },
      'invalidInput',
      400,
    ],
    [
      { id: v7(), kind: 'fliesCount', body: { compartmentId: v7(), variantId: v7(), counted: 1 } },
      'unknownId',
      404,
    ],
    [
      {
        id: v7(),
        kind: 'batchPlan',
        body: { batchId: v7(), variantId: v7(), plannedCount: 0, compartmentId: v7(), onVise: true },
      },
      'invalidInput',
      400,
    ],
    [
      {
        id: v7(),
        kind: 'batchPlan',
        body: { batchId: v7(), variantId: v7(), plannedCount: 10_000, compartmentId: v7(), onVise: true },
      },
      'invalidInput',
      400,
    ],
  ])('refuse %j', async (sent, code, status) => {
    const refused = await server.send(sent).expect(status)
    expect(refused.body).toMatchObject({ code, status })
    expect(refused.headers['content-type']).toContain('application/problem+json')
    expect(await server.database.db.$count(action)).toBe(0)
  })

  it('refuse wrong JSON and bodies that are too large', async () => {
    const raw = (text: string) =>
      server.agent
        .post('/api/commands')
        .set({ Host: '127.0.0.1:1', 'Content-Type': 'application/json' })
        .send(text)
    expect((await raw('{"id": ').expect(400)).body.code).toBe('malformedJson')
    expect((await raw(JSON.stringify({ note: 'x'.repeat(10_000_000) })).expect(413)).body.code).toBe(
      'bodyTooLarge',
    )
  })

  it('do not answer other names or other origins', async () => {
    await server.agent.get('/api/frame').set('Host', 'example.org').expect(403)
    const origin = { Host: '127.0.0.1:4180', Origin: 'http://example.org' }
    expect((await server.send({}, origin).expect(403)).body.code).toBe('forbiddenOrigin')
  })

  it('leave nothing behind when they fail half way', async () => {
    await ready()
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 2 }).expect(200)
    const before = await server.database.db.$count(flyEntry)
    const losses = [
      { compartmentId: placeA, variantId, count: 1, cause: 'tree' as const },
      { compartmentId: placeA, variantId, count: 2, cause: 'fish' as const },
    ]
    const refused = await server.command('fliesLose', { outingId: null, losses }).expect(409)
    expect(refused.body).toMatchObject({ code: 'tooFewFlies', fields: [{ path: 'losses.1.count' }] })
    expect(await server.database.db.$count(flyEntry)).toBe(before)
    expect(await onHand()).toBe(2)
  })

  it('answer what is unknown with a problem document', async () => {
    expect((await server.get('/api/nothing').expect(404)).body.code).toBe('notFound')
    expect((await server.get(`/api/families/${v7()}`).expect(404)).body.code).toBe('unknownId')
    expect(
      (await server.get('/api/moment?reachId=1&on=2026-06-06&localMin=99').expect(400)).body.fields[0].path,
    ).toBe('reachId')
  })
})

describe('the bench', () => {
  const batch = id('test:batch')
  const start = (plannedCount = 3) =>
    server.command('batchPlan', {
      batchId: batch,
      variantId,
      plannedCount,
      compartmentId: placeA,
      onVise: true,
    })
  const tie = (kind: 'done' | 'spoiled', count = 1) =>
    server.command('batchCount', {
      eventId: v7(),
      batchId: batch,
      kind,
      stepKey: null,
      count,
      spoiledCause: null,
    })
  const finish = (abandon = false) => server.command('batchFinish', { batchId: batch, abandon })
  const bench = () => body<BenchView>('/api/bench')

  it('books flies into the box and materials out of the stores, spoiled ones too, and takes both back', async () => {
    await ready()
    await server.command('materialEntry', { materialId: hook, cause: 'counted', amount: 1000 }).expect(200)
    await start().expect(200)
    await tie('done', 2).expect(200)
    await tie('spoiled').expect(200)
    expect((await bench()).onVise?.batch).toMatchObject({ done: 2, spoiled: 1, planned: 3 })
    expect(await onHand()).toBe(0)
    const finished = await finish().expect(200)
    expect(await onHand()).toBe(2)
    const hooks = async () =>
      (await body<StoresView>('/api/stores')).materials.find((line) => line.id === hook)?.onHand
    expect(await hooks()).toBe(700)
    await undo(finished.body.actionId).expect(200)
    expect(await onHand()).toBe(0)
    expect(await hooks()).toBe(1000)
    expect((await bench()).onVise?.batch.status).toBe('open')
  })

  it('counts back what is undone, and again what is redone', async () => {
    await ready()
    await start().expect(200)
    const counted = await tie('done').expect(200)
    const done = async () => (await bench()).onVise?.batch.done
    const undone = await undo(counted.body.actionId).expect(200)
    expect(await done()).toBe(0)
    await undo(undone.body.actionId).expect(200)
    expect(await done()).toBe(1)
  })

  it('names the events that its counts hold, taken back or not, on the bench and in the frame', async () => {
    await ready()
    await start().expect(200)
    const eventOf = (response: { body: { actionId: string } }) => response.body.actionId
    expect((await bench()).onVise?.batch.counted).toEqual([])
    const event = { batchId: batch, stepKey: null, count: 1, spoiledCause: null }
    const [kept, back, spoiled, step] = [v7(), v7(), v7(), v7()]
    await server.command('batchCount', { ...event, eventId: kept, kind: 'done' }).expect(200)
    const counted = await server.command('batchCount', { ...event, eventId: back, kind: 'done' }).expect(200)
    await server.command('batchCount', { ...event, eventId: spoiled, kind: 'spoiled' }).expect(200)
    const stepKey = (await bench()).onVise?.steps[1]?.key ?? ''
    await server.command('batchCount', { ...event, eventId: step, kind: 'step', stepKey }).expect(200)
    await undo(eventOf(counted)).expect(200)
    for (const mention of [(await bench()).onVise?.batch, (await body<FrameView>('/api/frame')).onVise]) {
      expect(mention).toMatchObject({ done: 1, spoiled: 1 })
      expect(mention?.counted).toEqual(expect.arrayContaining([kept, back, spoiled]))
      expect(mention?.counted).not.toContain(step)
    }
  })

  it('takes a repeated event once', async () => {
    await ready()
    await start().expect(200)
    const event = {
      eventId: v7() as never,
      batchId: batch,
      kind: 'done' as const,
      stepKey: null,
      count: 1,
      spoiledCause: null,
    }
    await server.command('batchCount', event).expect(200)
    await server.command('batchCount', event).expect(200)
    expect((await bench()).onVise?.batch.done).toBe(1)
  })

  it('refuses to end a batch twice, or with nothing counted, or into a full compartment', async () => {
    await ready()
    await start(9).expect(200)
    expect((await finish().expect(409)).body.code).toBe('nothingCounted')
    await tie('done', 7).expect(200)
    expect((await finish().expect(409)).body.code).toBe('overCapacity')
    expect((await bench()).onVise?.batch.done).toBe(7)
    await server
      .command('batchCount', {
        eventId: v7(),
        batchId: batch,
        kind: 'spoiled',
        stepKey: null,
        count: 0,
        spoiledCause: null,
      })
      .expect(200)
  })

  it('ends it once when two tabs end it', async () => {
    await ready()
    await start().expect(200)
    await tie('done', 3).expect(200)
    const answers = await Promise.all([finish(), finish()])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await onHand()).toBe(3)
  })

  it('has one batch on the vise', async () => {
    await ready()
    await start().expect(200)
    await server
      .command('batchPlan', {
        batchId: id('test:batch2'),
        variantId,
        plannedCount: 2,
        compartmentId: placeA,
        onVise: true,
      })
      .expect(200)
    const { onVise, queue } = await bench()
    expect(onVise?.batch.batchId).toBe(id('test:batch2'))
    expect(queue.map(({ batchId }) => batchId)).toEqual([batch])
  })

  it('gives steps with the numbers for the hook at hand', async () => {
    await ready()
    await start().expect(200)
    const steps = (await bench()).onVise?.steps ?? []
    expect(steps.map(({ key }) => key)).toEqual(['body', 'finish'])
    expect(steps[0]?.toMm).toBeCloseTo(7.1, 2)
  })
})

describe('boxes and their ledger', () => {
  it('move, lose and count flies, and take each back', async () => {
    await ready()
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 5 }).expect(200)
    const moved = await server
      .command('fliesMove', { fromCompartmentId: placeA, toCompartmentId: placeB, variantId, count: 2 })
      .expect(200)
    expect([await onHand(placeA), await onHand(placeB)]).toEqual([3, 2])
    await undo(moved.body.actionId).expect(200)
    expect([await onHand(placeA), await onHand(placeB)]).toEqual([5, 0])
    const lost = await server
      .command('fliesLose', {
        outingId: null,
        losses: [{ compartmentId: placeA, variantId, count: 4, cause: 'bottom' }],
      })
      .expect(200)
    expect(await onHand()).toBe(1)
    await undo(lost.body.actionId).expect(200)
    expect(await onHand()).toBe(5)
  })

  it('refuses to undo what has gone since, in words', async () => {
    await ready()
    const counted = await server
      .command('fliesCount', { compartmentId: placeA, variantId, counted: 3 })
      .expect(200)
    await server
      .command('fliesLose', {
        outingId: null,
        losses: [{ compartmentId: placeA, variantId, count: 2, cause: 'tree' }],
      })
      .expect(200)
    const refused = await undo(counted.body.actionId).expect(409)
    expect(refused.body).toMatchObject({ code: 'cannotUndo' })
    expect(refused.body.detail).toContain('Lost 2')
    expect(await onHand()).toBe(1)
  })

  it('never changes or removes an entry', async () => {
    await ready()
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 3 }).expect(200)
    const { write } = server.database
    await expect(write((tx) => tx.update(flyEntry).set({ delta: 9 }))).rejects.toThrow()
    await expect(write((tx) => tx.delete(flyEntry))).rejects.toThrow()
    expect(await onHand()).toBe(3)
  })

  it('says what is below par with the materials that are short', async () => {
    await ready()
    await server.command('materialEntry', { materialId: hook, cause: 'counted', amount: 200 }).expect(200)
    const { restock } = await boxes()
    expect(restock).toHaveLength(1)
    expect(restock[0]).toMatchObject({ onHand: 0, par: 3, missing: 3, allowed: 2 })
    expect(restock[0]?.shortOf).toEqual([
      { materialId: hook, name: expect.any(String) as string, stockUnit: 'count', need: 300, onHand: 200 },
    ])
  })

  it('keeps balances equal to the sum of entries through any row of moves, losses, counts, undos and replays', async () => {
    await ready()
    const place = fc.constantFrom(placeA, placeB)
    const step = fc.oneof(
      fc.record({ kind: fc.constant('count' as const), place, n: fc.nat(6) }),
      fc.record({ kind: fc.constant('move' as const), place, n: fc.integer({ min: 1, max: 4 }) }),
      fc.record({ kind: fc.constant('lose' as const), place, n: fc.integer({ min: 1, max: 4 }) }),
      fc.record({ kind: fc.constant('undo' as const), place, n: fc.nat(20) }),
    )
    const [steps] = fc.sample(fc.array(step, { minLength: 60, maxLength: 60 }), { numRuns: 1, seed: 41 })
    const done: string[] = []
    for (const { kind, place: at, n } of steps ?? []) {
      const other = at === placeA ? placeB : placeA
      const commandId = v7()
      const send = () =>
        kind === 'count'
          ? server.command('fliesCount', { compartmentId: at, variantId, counted: n }, commandId)
          : kind === 'move'
            ? server.command(
                'fliesMove',
                { fromCompartmentId: at, toCompartmentId: other, variantId, count: n },
                commandId,
              )
            : kind === 'lose'
              ? server.command(
                  'fliesLose',
                  { outingId: null, losses: [{ compartmentId: at, variantId, count: n, cause: 'fish' }] },
                  commandId,
                )
              : server.command('undo', { actionId: done[n % Math.max(done.length, 1)] ?? v7() }, commandId)
      const [first, second] = await Promise.all([send(), send()])
      expect([200, 404, 409]).toContain(first.status)
      expect(second.status).toBe(first.status)
      if (first.status === 200) done.push(commandId)
    }
    expect(done.length).toBeGreaterThan(10)
    const report = await checkDatabase(server.database)
    expect(report.every((line) => line.startsWith('ok'))).toBe(true)
  })
})

describe('undo', () => {
  it('takes a new pattern away with all that it made, and brings it back', async () => {
    await server.command('boxCreate', box).expect(200)
    const made = await server.command('patternSave', midge()).expect(200)
    const undone = await undo(made.body.actionId).expect(200)
    expect((await body<PatternsView>('/api/patterns')).patterns).toEqual([])
    expect(await server.database.db.$count(material)).toBe(0)
    await undo(undone.body.actionId).expect(200)
    const { patterns } = await body<PatternsView>('/api/patterns')
    expect(patterns[0]?.variants[0]?.figure.kind).toBe('sinks')
    expect(patterns[0]?.serves).toHaveLength(1)
  })

  it('returns an edited row to what it was, and refuses when it was edited again', async () => {
    await ready()
    const first = await server.command('patternSave', midge({ version: 1, note: 'one' })).expect(200)
    const second = await server.command('patternSave', midge({ version: 2, note: 'two' })).expect(200)
    expect((await undo(first.body.actionId).expect(409)).body.code).toBe('cannotUndo')
    await undo(second.body.actionId).expect(200)
    expect((await body<PatternView>(`/api/patterns/${midge().patternId}`)).note).toBe('one')
  })

  it('refuses to take away a pattern of which flies are tied', async () => {
    await server.command('boxCreate', box).expect(200)
    const made = await server.command('patternSave', midge()).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 1 }).expect(200)
    expect((await undo(made.body.actionId).expect(409)).body.detail).toContain('Counted 1 Plain Thread')
    expect(await onHand()).toBe(1)
  })

  it('takes a whole evening back, step by step, and does it again', async () => {
    await server.command('boxCreate', box).expect(200)
    const batchId = id('test:evening')
    const eventId = v7() as never
    const done: string[] = []
    const take = async (sent: ReturnType<typeof server.command>) =>
      done.push((await sent.expect(200)).body.actionId as string)
    await take(server.command('patternSave', midge()))
    await take(
      server.command('batchPlan', { batchId, variantId, plannedCount: 2, compartmentId: placeA, onVise: true }),
    )
    await take(
      server.command('batchCount', {
        eventId,
        batchId,
        kind: 'done',
        stepKey: null,
        count: 2,
        spoiledCause: null,
      }),
    )
    await take(server.command('batchFinish', { batchId, abandon: false }))
    await take(
      server.command('fliesLose', {
        outingId: null,
        losses: [{ compartmentId: placeA, variantId, count: 1, cause: 'tree' }],
      }),
    )
    const undos: string[] = []
    for (const actionId of [...done].reverse())
      undos.push((await undo(actionId).expect(200)).body.actionId as string)
    expect((await body<PatternsView>('/api/patterns')).patterns).toEqual([])
    expect((await body<BenchView>('/api/bench')).onVise).toBeNull()
    for (const actionId of [...undos].reverse()) await undo(actionId).expect(200)
    expect(await onHand()).toBe(1)
    expect((await checkDatabase(server.database)).every((line) => line.startsWith('ok'))).toBe(true)
  })

  it('takes an action back once', async () => {
    await ready()
    const counted = await server
      .command('fliesCount', { compartmentId: placeA, variantId, counted: 3 })
      .expect(200)
    await undo(counted.body.actionId).expect(200)
    expect((await undo(counted.body.actionId).expect(409)).body.detail).toContain('undone already')
    expect(await onHand()).toBe(0)
  })
})

describe('waters, outings and the moment', () => {
  const waterId = id('test:water')
  const reachId = id('test:reach')
  const water: CommandInput<'waterCreate'> = {
    waterId,
    water: {
      name: 'Test Beck', kind: 'freestone', latitudeDeg: 54, longitudeDeg: -2, timeZone: 'Europe/London', clarityMm: 2000, snagginess: 1,
      openFromMonthDay: null, openToMonthDay: null, iceOffMonthDay: null, rulesNote: '',
      rules: { dryOnly: true, upstreamOnly: null, maxFlies: 1, barbless: null, noLead: null, noAddedWeight: null, minHookSize: null, maxHookSize: 12, noIndicator: null, maxLeaderMm: null },
    },
    reaches: [{ id: reachId, kind: 'reach', name: 'Lower', elevationM: 90, typicalDepthMm: 900, surfaceSpeedMmPerS: 600, thermoclineMm: null, defaultTempC: [3, 3, 5, 7, 10, 13, 15, 15, 13, 10, 6, 4] }],
  } // prettier-ignore
  const outing = (on: string): CommandInput<'outingSave'> => ({
    outingId: id(`test:outing:${on}`),
    version: null,
    outing: {
      waterId,
      reachId,
      on,
      fromLocalMin: 600,
      toLocalMin: 960,
      status: 'planned',
      technique: 'dry',
      note: '',
    },
  })

  it('answer what is likely, lacking and to tie for the next outing', async () => {
    const rules = { ...water.water.rules, dryOnly: null }
    await server.command('waterCreate', { ...water, water: { ...water.water, rules } }).expect(200)
    await ready()
    const on = localTime(Date.now() + 86_400_000, 'Europe/London').on
    await server.command('outingSave', outing(on)).expect(200)
    const tonight = await body<TonightView>('/api/tonight')
    expect(tonight.outing).toMatchObject({
      on,
      waterName: 'Test Beck',
      rules: { maxFlies: 1, maxHookSize: 12, noLead: null },
    })
    expect(tonight.lines.map(({ kind }) => kind)).toContain('likely')
    expect(tonight.lines.find(({ kind }) => kind === 'tie')?.batch).toMatchObject({
      count: 3,
      compartmentId: placeA,
    })
    expect(tonight.lines.length).toBeLessThanOrEqual(7)
  })

  it('offer the first measurement with what it would narrow, until something was measured', async () => {
    await server.command('waterCreate', { ...water, water: { ...water.water, rules: { ...water.water.rules, dryOnly: null } } }).expect(200) // prettier-ignore
    await ready()
    const offered = async () =>
      (await body<TonightView>('/api/tonight')).lines.filter(({ kind }) => kind === 'measure')
    const [line] = await offered()
    expect(line?.variantId).toBe(variantId)
    const [, from, to] = /the band goes from ±(\d+) % to ±(\d+) %, at best\.$/.exec(line?.text ?? '') ?? []
    expect(Number(to)).toBeLessThan(Number(from))
    const subject = { kind: 'material', materialId: hook } as const
    const weighed = { subject, count: 10, totalMg: 120, readabilityMg: 1, source: 'entered', note: '' } as const
    await server.command('weighingSave', { weighingId: id('test:weighed'), weighing: weighed }).expect(200)
    expect(await offered()).toEqual([])
  })

  it('promise no hook twice: not to two batches, not to one that waits at the bench; and no more than there is time for', async () => {
    const rules = { ...water.water.rules, dryOnly: null }
    await server.command('waterCreate', { ...water, water: { ...water.water, rules } }).expect(200)
    await server.command('boxCreate', box).expect(200)
    const [first] = midge().variants
    const second = { ...first!, id: id('test:second'), label: '#14 plain', homeCompartmentId: placeB }
    await server.command('patternSave', midge({ variants: [first!, second] as never })).expect(200)
    await server.command('materialEntry', { materialId: hook, cause: 'bought', amount: 500 }).expect(200)
    const toTie = async (query = '') =>
      (await body<TonightView>(`/api/tonight${query}`)).lines.flatMap(({ kind, batch, text }) =>
        kind === 'tie' && batch ? [{ ...batch, text }] : [],
      )
    const [one, other, ...more] = await toTie()
    expect([one?.count, other?.count, more.length]).toEqual([3, 2, 0])
    // half a minute more than two of them take: two, as the sentence says, and nothing beside
    const { minutesToStart, minutesEach } = one!
    const few = await toTie(`?minutes=${Math.ceil(minutesToStart + 2 * minutesEach)}`)
    expect(few.map(({ count }) => count)).toEqual([2])
    expect(few[0]?.text).toMatch(/^Tie two /)
    expect(await toTie('?minutes=1')).toEqual([])
    await server.get('/api/tonight?minutes=ninety').expect(400)
    const plan = { variantId: first!.id, plannedCount: 3, compartmentId: placeA, onVise: false }
    await server.command('batchPlan', { ...plan, batchId: id('test:waits') }).expect(200)
    expect((await toTie()).map(({ count }) => count)).toEqual([2])
  })

  it('name the same holes in the roll, the boxes and Tonight, and none for what is only below what is kept', async () => {
    const rules = { ...water.water.rules, dryOnly: null }
    await server.command('waterCreate', { ...water, water: { ...water.water, rules } }).expect(200)
    await ready()
    const on = localTime(Date.now() + 86_400_000, 'Europe/London').on
    await server.command('outingSave', outing(on)).expect(200)
    const standings = await body<StandingsView>('/api/standings')
    const holes = standings.stages.filter(({ standing }) => standing === 'hole')
    expect(standings.holes).toBe(holes.length)
    expect(holes.length).toBeGreaterThan(0)
    const { lines } = await body<TonightView>('/api/tonight')
    const [first] = lines.filter(({ kind }) => kind === 'lacking')
    expect(first?.foodStageId).toBe(holes[0]?.foodStageId)
    expect(first?.text).toMatch(/^Nothing in your boxes for it: /)
    const served = holes.filter(({ best }) => best?.variantId === variantId)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 1 }).expect(200)
    const then = await body<StandingsView>('/api/standings')
    expect(then.holes).toBe(holes.length - served.length)
    const { restock } = await body<BoxesView>('/api/boxes')
    expect(restock.map(({ onHand, par }) => [onHand, par])).toContainEqual([1, 3])
  })

  it('ask for no nymph where the next water’s note says dry fly only', async () => {
    await server.command('waterCreate', water).expect(200)
    await ready()
    await server
      .command('outingSave', outing(localTime(Date.now() + 86_400_000, 'Europe/London').on))
      .expect(200)
    const tonight = await body<TonightView>('/api/tonight')
    expect(tonight.outing?.rules).toMatchObject({ dryOnly: true })
    expect(
      tonight.lines.filter(({ kind, variantId: id }) => (kind === 'tie' || kind === 'lacking') && id !== null),
    ).toEqual([])
  })

  it('give a plan its outings with their foods, flies with their room and losses, and drawers', async () => {
    await server.command('waterCreate', water).expect(200)
    await ready()
    const on = localTime(Date.now() + 86_400_000, 'Europe/London').on
    await server.command('outingSave', outing(on)).expect(200)
    await server.command('outingSave', outing('2020-06-06')).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 2 }).expect(200)
    const losses = [{ compartmentId: placeA, variantId, count: 1, cause: 'tree' as const }]
    await server.command('fliesLose', { outingId: null, losses }).expect(200)
    await server.command('materialEntry', { materialId: hook, cause: 'bought', amount: 500 }).expect(200)
    const plan = await body<PlanView>('/api/plan')
    const drawerAt = (wanted: string) => plan.drawers.findIndex(({ materialId }) => materialId === wanted)
    expect(plan.outings.map((coming) => [coming.on, coming.hours, coming.reachName])).toEqual([
      [on, 6, 'Lower'],
    ])
    expect(plan.outings[0]?.foods.length).toBeGreaterThan(0)
    expect(plan.variants).toMatchObject([
      {
        variantId,
        onHand: 1,
        queued: 0,
        pattern: 0,
        place: plan.places.findIndex(({ compartmentId }) => compartmentId === placeA),
        nightsToDry: 0,
        lost: 1,
        look: { soft: 0 },
        setup: { hook: drawerAt(hook), thread: null, bead: null },
      },
    ])
    expect(plan.patterns).toMatchObject([
      { dislike: 0, minutesEach: 8, timedFlies: 0, meantFor: [id('stage:river-midge-larva')] },
    ])
    expect(plan.places.find(({ compartmentId }) => compartmentId === placeA)?.room).toBe(5)
    expect(plan.variants[0]?.bill).toContainEqual([drawerAt(hook), 100])
    expect(plan.drawers.find(({ materialId }) => materialId === hook)).toMatchObject({ onHand: 500 })
    expect(plan.drawers.find(({ materialId }) => materialId === thread)).toMatchObject({ onHand: null })
  })

  it('show what was noted of earlier batches when the pattern lies on the vise again', async () => {
    await ready()
    const [first, second] = [id('test:noted-batch'), id('test:later-batch')]
    const plan = (batchId: never) => ({
      batchId,
      variantId,
      plannedCount: 2,
      compartmentId: placeA,
      onVise: true,
    })
    await server.command('batchPlan', plan(first)).expect(200)
    const noted = await server.command('batchNote', { batchId: first, note: ' Two turns less. ' }).expect(200)
    expect((await body<BenchView>('/api/bench')).onVise).toMatchObject({
      batchNote: 'Two turns less.',
      earlierNotes: [],
    })
    await server.command('batchFinish', { batchId: first, abandon: true }).expect(200)
    await server.command('batchPlan', plan(second)).expect(200)
    const vise = async () => (await body<BenchView>('/api/bench')).onVise
    expect(await vise()).toMatchObject({
      batchNote: '',
      earlierNotes: [{ label: '#16 black', note: 'Two turns less.' }],
    })
    await server.command('batchNote', { batchId: id('test:none'), note: 'x' }).expect(404)
    expect(noted.body.label).toBe('Noted how Plain Thread #16 black was tied')
  })

  it('reckon with the minutes that a fly has taken before, pauses and nights left out', async () => {
    await ready()
    const batchId = id('test:timed-batch')
    await server
      .command('batchPlan', { batchId, variantId, plannedCount: 6, compartmentId: placeA, onVise: true })
      .expect(200)
    const pace = async () => {
      const [planned] = (await body<PlanView>('/api/plan')).patterns
      return [planned?.minutesEach, planned?.timedFlies]
    }
    expect(await pace()).toEqual([8, 0])
    const start = Date.UTC(2026, 4, 1, 19)
    const at = [
      ['step', 0], ['done', 6], ['step', 6], ['done', 12], ['pause', 13], ['resume', 60], ['done', 68], ['done', 700],
    ] as const // prettier-ignore
    for (const [kind, minute] of at) {
      await server.database.write((tx) => tx.insert(batchEvent).values({
        id: v7(), batchId, atMs: start + minute * 60_000, kind, stepKey: null, count: kind === 'done' ? 1 : 0, spoiledCause: null,
      })) // prettier-ignore
    }
    await server
      .command('batchCount', {
        batchId,
        eventId: v7() as never,
        kind: 'pause',
        stepKey: null,
        count: 0,
        spoiledCause: null,
      })
      .expect(200)
    expect(await pace(), 'while the batch is on the vise').toEqual([6, 3])
    await server.command('batchFinish', { batchId, abandon: false }).expect(200)
    expect(await pace()).toEqual([6, 3])
  })

  it('tell the time at the vise from few of many taps as from all of them', async () => {
    await ready()
    const batchId = id('test:taps-batch')
    await server
      .command('batchPlan', { batchId, variantId, plannedCount: 6, compartmentId: placeA, onVise: true })
      .expect(200)
    const kind = fc.constantFrom(...(['step', 'station', 'done', 'pause', 'resume', 'spoiled'] as const))
    const tap = fc.record({ kind, afterS: fc.integer({ min: 0, max: 500 }), takenBack: fc.boolean() })
    await fc.assert(
      fc.asyncProperty(fc.array(tap, { maxLength: 40 }), (taps) =>
        server.database.write(async (tx) => {
          await tx.delete(batchEvent)
          const standing: ViseEvent[] = []
          let atMs = Date.UTC(2026, 4, 1, 19)
          for (const { kind, afterS, takenBack } of taps) {
            atMs += afterS * 1000
            const event = {
              id: v7() as EventId,
              batchId,
              atMs,
              kind,
              stepKey: null,
              count: 1,
              spoiledCause: null,
            }
            await tx.insert(batchEvent).values(event)
            if (takenBack)
              await tx.insert(batchEvent).values({ ...event, id: v7() as EventId, undoesEventId: event.id })
            else if (kind !== 'spoiled') standing.push({ batchId, atMs, kind })
          }
          expect(minutesTaken(await loadTimedEvents(tx))).toEqual(minutesTaken(standing))
        }),
      ),
      { numRuns: 60 },
    )
  })

  it('put foods and flies at their depths', async () => {
    await server.command('waterCreate', water).expect(200)
    await ready()
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 2 }).expect(200)
    const view = await body<MomentView>(`/api/moment?reachId=${String(reachId)}&on=2026-06-06&localMin=780`)
    expect(view.moment.waterTempC).toBeGreaterThan(11)
    expect(view.foods.length).toBeGreaterThan(5)
    expect(view.foods.every(({ fromMm, toMm }) => fromMm <= toMm && toMm <= 900)).toBe(true)
    expect(view.flies).toMatchObject([{ onHand: 2, par: 3 }])
  })

  it('keep how long a fly was fished and what it took, change it, and have it back', async () => {
    await server.command('waterCreate', water).expect(200)
    await ready()
    const outingId = id('test:outing:2026-05-09')
    const past = outing('2026-05-09')
    await server.command('outingSave', { ...past, outing: { ...past.outing, status: 'done' } }).expect(200)
    const spell = { spellId: id('test:spell'), outingId, variantId, minutes: 90, takes: 3, refusals: 1 }
    await server.command('spellSave', { ...spell, version: null }).expect(200)
    const shown = async () => (await body<OutingsView>('/api/outings')).outings[0]?.spells
    expect(await shown()).toMatchObject([{ patternName: 'Plain Thread', minutes: 90, takes: 3, refusals: 1 }])
    await server.command('spellSave', { ...spell, version: 1, takes: 4 }).expect(200)
    await server.command('spellSave', { ...spell, version: 1, takes: 9 }).expect(409)
    expect(await shown()).toMatchObject([{ takes: 4 }])
    // four takes in an hour and a half: more than one an hour for sure
    expect((await body<PlanView>('/api/plan')).variants[0]).toMatchObject({
      hoursFished: 1.5,
      trust: 'trusted',
    })
    const archived = await server.command('spellArchive', { spellId: id('test:spell'), version: 2 }).expect(200)
    expect(await shown()).toEqual([])
    expect((await body<PlanView>('/api/plan')).variants[0]).toMatchObject({
      hoursFished: 1.5,
      trust: 'notFished',
    })
    await undo(archived.body.actionId).expect(200)
    expect(await shown()).toMatchObject([{ takes: 4 }])
    await server.command('spellSave', { ...spell, version: null, minutes: 0 }).expect(400)
    await server
      .command('spellSave', { ...spell, spellId: id('test:other'), outingId: id('test:none'), version: null })
      .expect(404)
  })

  it('book losses against an outing', async () => {
    await server.command('waterCreate', water).expect(200)
    await ready()
    await server.command('outingSave', outing('2026-05-09')).expect(200)
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 3 }).expect(200)
    const losses = [{ compartmentId: placeA, variantId, count: 2, cause: 'tree' as const }]
    const lost = await server
      .command('fliesLose', { outingId: id('test:outing:2026-05-09'), losses })
      .expect(200)
    const shown = async () =>
      (await body<OutingsView>('/api/outings')).outings[0]?.losses.map(({ count, cause }) => [count, cause])
    expect(await shown()).toEqual([[2, 'tree']])
    await undo(lost.body.actionId).expect(200)
    expect(await shown()).toEqual([])
  })

  it('refuse an outing that ends before it begins, and a reach of another water', async () => {
    await server.command('waterCreate', water).expect(200)
    const backwards = outing('2026-06-06')
    const wrong = { ...backwards, outing: { ...backwards.outing, toLocalMin: 500 } }
    expect((await server.command('outingSave', wrong).expect(400)).body.fields[0].path).toBe(
      'outing.toLocalMin',
    )
    const stray = { ...backwards, outing: { ...backwards.outing, reachId: v7() as never } }
    expect((await server.command('outingSave', stray).expect(404)).body.code).toBe('unknownId')
  })
})

describe('upkeep', () => {
  it('rebuilds running sums and figures that were spoiled, and says so', async () => {
    await ready()
    await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 3 }).expect(200)
    await server.database.write(async (tx) => {
      await tx.run(sql`update fly_balance set count = 9`)
      await tx.update(variantFigure).set({ inputHash: 'old' }).where(eq(variantFigure.kind, 'sinks'))
    })
    const report = await checkDatabase(server.database)
    expect(report.filter((line) => line.startsWith('mended'))).toHaveLength(2)
    expect(await checkDatabase(server.database)).toEqual(
      expect.not.arrayContaining([expect.stringContaining('mended')]),
    )
    await server.command('fliesCount', { compartmentId: placeB, variantId, counted: 1 }).expect(200)
    expect(await onHand()).toBe(3)
  })
})

describe('time', () => {
  it('knows the date and offset of a zone in summer and winter', () => {
    expect(localTime(Date.parse('2026-06-04T23:30:00Z'), 'Europe/London')).toEqual({
      on: '2026-06-05',
      localMin: 30,
      utcOffsetMinutes: 60,
    })
    expect(localTime(Date.parse('2026-12-04T23:30:00Z'), 'Pacific/Auckland')).toMatchObject({
      on: '2026-12-05',
      utcOffsetMinutes: 780,
    })
  })

  it('stands where the environment or the directory says', () => {
    expect(makeClock(null, '2026-06-04T18:40:00Z')).toMatchObject({ stands: true })
    expect(makeClock(5, undefined).nowMs()).toBe(5)
    expect(makeClock(null, undefined).stands).toBe(false)
    expect(() => makeClock(null, 'tomorrow')).toThrow(RangeError)
  })
})
