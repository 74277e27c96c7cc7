import { afterEach, describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type { CommandInput, RigsView, SearchView } from '../contract/index.ts'
import { box, midge, variantId } from './testing/smallBox.ts'
import { river } from './testing/smallRiver.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

type Rig = CommandInput<'rigSave'>
const newId = () => v7() as never
const rig = (more: Partial<Rig['rig']> = {}): Rig => ({
  rigId: newId(),
  version: null,
  rig: {
    name: 'Two under a float',
    way: 'carried',
    note: '',
    parts: [
      { kind: 'float', diameterMm: 12, massMg: 200 },
      { kind: 'tippet', lengthMm: 1200, diameterMm: 0.14, stuff: 'nylon' },
      { kind: 'point', fly: variantId },
    ],
    ...more,
  },
})
const rigs = async () => ((await server.get('/api/rigs').expect(200)).body as RigsView).rigs

describe('a rig', () => {
  const prepare = async () => {
    await server.command('waterCreate', river).expect(200)
    await server.command('boxCreate', box).expect(200)
    await server.command('patternSave', midge()).expect(200)
  }

  it('is kept, changed, refused where another was quicker, and put away', async () => {
    await prepare()
    const made = rig()
    await server.command('rigSave', made).expect(200)
    expect(await rigs()).toMatchObject([{ ...made.rig, id: made.rigId, version: 1, spells: 0 }])
    const named = { ...made.rig, name: 'One under a float' }
    await server.command('rigSave', { ...made, version: 1, rig: named }).expect(200)
    expect((await rigs())[0]).toMatchObject({ name: 'One under a float', version: 2 })
    const stale = await server.command('rigSave', { ...made, version: 1 }).expect(409)
    expect(stale.body).toMatchObject({ code: 'staleVersion', current: { name: 'One under a float' } })
    const found = async () =>
      ((await server.get('/api/search?q=und%20flo').expect(200)).body as SearchView).hits
    expect(await found()).toMatchObject([{ kind: 'rig', id: made.rigId, title: 'One under a float' }])
    await server.command('rigArchive', { rigId: made.rigId, version: 2 }).expect(200)
    expect(await rigs()).toEqual([])
    expect(await found()).toEqual([])
  })

  it('takes no fly that is not there, no part that nobody ties, and not more than a rod casts', async () => {
    await prepare()
    await server.command('rigSave', rig({ parts: [{ kind: 'point', fly: newId() }] })).expect(404)
    const long = { kind: 'tippet', lengthMm: 70_000, diameterMm: 0.14, stuff: 'nylon' } as const
    const tooLong = await server.command('rigSave', rig({ parts: [long] })).expect(400)
    expect(tooLong.body).toMatchObject({ fields: [{ path: 'rig.parts.0.lengthMm', message: 'At most 60 m.' }] })
    await server.command('rigSave', rig({ parts: [] })).expect(400)
    await server.command('rigSave', rig({ parts: [{ kind: 'anchor' } as never] })).expect(400)
    expect(await rigs()).toEqual([])
  })

  it('keeps counts that were made with it, each by itself, until they are put away', async () => {
    await prepare()
    const made = rig()
    await server.command('rigSave', made).expect(200)
    const count = { rigId: made.rigId, depthMm: 3500, countS: 52, waterTempC: 14 }
    await server
      .command('lineCountSave', { lineCountId: newId(), count: { ...count, rigId: newId() } })
      .expect(404)
    await server.command('lineCountSave', { lineCountId: newId(), count: { ...count, countS: 0 } }).expect(400)
    const lineCountId = newId()
    const { body } = await server.command('lineCountSave', { lineCountId, count }).expect(200)
    expect(body).toMatchObject({ label: 'Counted Two under a float down' })
    const { rigId: _rig, ...kept } = count
    expect((await rigs())[0]?.counts).toEqual([{ ...kept, id: lineCountId, version: 1 }])
    await server.command('measurementArchive', { kind: 'lineCount', id: lineCountId, version: 1 }).expect(200)
    expect((await rigs())[0]?.counts).toEqual([])
  })

  it('stays as it is once it was fished, until that is taken back', async () => {
    await prepare()
    const made = rig()
    await server.command('rigSave', made).expect(200)
    const outingId = newId()
    await server
      .command('outingSave', {
        outingId,
        version: null,
        outing: {
          waterId: river.waterId,
          reachId: null,
          on: '2026-06-01',
          fromLocalMin: 600,
          toLocalMin: 900,
          status: 'done',
          technique: 'indicatorNymph',
          note: '',
        },
      })
      .expect(200)
    const spell = {
      spellId: newId(),
      outingId,
      variantId,
      minutes: 30,
      takes: 1,
      refusals: 0,
      rigId: made.rigId,
    }
    await server.command('spellSave', { ...spell, version: null, rigId: newId() }).expect(404)
    await server.command('spellSave', { ...spell, version: null }).expect(200)
    expect((await rigs())[0]).toMatchObject({ spells: 1, knotsOn: null, fishedMin: 0 })
    const refused = await server.command('rigSave', { ...made, version: 1 }).expect(409)
    expect(refused.body).toMatchObject({ code: 'rigFished' })
    // its knots are tied anew nevertheless, and are counted from that day
    const knots = async (on: string, version: number) => {
      await server.command('rigKnots', { rigId: made.rigId, version, on }).expect(200)
      return (await rigs())[0]
    }
    expect(await knots('2026-06-01', 1)).toMatchObject({ knotsOn: '2026-06-01', fishedMin: 30 })
    expect(await knots('2026-06-02', 2)).toMatchObject({ knotsOn: '2026-06-02', fishedMin: 0 })
    await server.command('spellArchive', { spellId: spell.spellId, version: 1 }).expect(200)
    await server.command('rigSave', { ...made, version: 3 }).expect(200)
  })
})
