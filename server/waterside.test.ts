import { afterEach, describe, expect, it } from 'vitest'
import { v7 } from 'uuid'
import type { AlongView, AlongWarmth, CommandInput, ReachSeasonView } from '../contract/index.ts'
import { fixedId } from './db/ids.ts'
import { box, midge, placeA, placeB, variantId } from './testing/smallBox.ts'
import { lowReach, river } from './testing/smallRiver.ts'
import { onShippedData } from './testing/onShippedData.ts'
import type { TestServer } from './testing/testServer.ts'

let server: TestServer
onShippedData((opened) => {
  server = opened
})
afterEach(() => server.close())

type Taps = CommandInput<'outingNote'>['taps']
const newId = () => v7() as never
const fixed = (key: string) => fixedId(key) as never
const outingId = newId()

/** A fly that is tied, two of it in the pocket, and an outing to come. */
async function packed(
  rules: Partial<CommandInput<'waterCreate'>['water']['rules']> = {},
  on = '2026-06-01',
): Promise<void> {
  const water = { ...river.water, rules: { ...river.water.rules, ...rules } }
  await server.command('waterCreate', { ...river, water }).expect(200)
  await server.command('boxCreate', box).expect(200)
  await server.command('patternSave', midge()).expect(200)
  await server.command('fliesCount', { compartmentId: placeA, variantId, counted: 5 }).expect(200)
  const outing = {
    waterId: river.waterId, reachId: lowReach, on, fromLocalMin: 600, toLocalMin: 900,
    status: 'planned', technique: 'dry', note: '',
  } as const // prettier-ignore
  await server.command('outingSave', { outingId, version: null, outing }).expect(200)
  const flies = [{ fromCompartmentId: placeA, variantId, count: 2 }]
  await server.command('outingPack', { outingId, toCompartmentId: placeB, flies }).expect(200)
}
const along = async () =>
  (await server.get(`/api/outings/${outingId}/along`).expect(200)).body as AlongView | null
const taps: Taps = [
  { id: newId(), atMs: 1_780_300_000_000, kind: 'watch' },
  { id: newId(), atMs: 1_780_300_060_000, kind: 'sign', signKey: 'duns-upright', seen: true },
  { id: newId(), atMs: 1_780_300_120_000, kind: 'tiedOn', variantKey: variantId, way: 'dry', stageKey: null, step: null }, // prettier-ignore
]

describe('what goes along to the water', () => {
  it('is the outing with what fish may be on, an hour before to an hour after, and the flies that are packed', async () => {
    await packed()
    const view = await along()
    expect(view).toMatchObject({ fromLocalMin: 540, waterKind: 'freestone', taps: [] })
    expect(view?.flies.filter(({ aboard }) => aboard > 0)).toMatchObject([
      { variantId, aboard: 2, compartmentId: placeB, forbidden: null },
    ])
    // half hours of seven hours; shares of one of them are all the fish
    const half = 5
    expect(view?.whatever.length).toBe(14)
    const all = (view?.stages ?? []).reduce((sum, { onIt }) => sum + (onIt[half] ?? 0), view?.whatever[half] ?? 0) // prettier-ignore
    expect(all).toBeCloseTo(1, 3)
    expect(view?.stages.find(({ foodKey }) => foodKey === 'dark-olive')?.groupKey).toBe('mayfly')
  })

  it('is nothing where there is no such outing', async () => {
    expect(await along()).toBeNull()
  })

  it('shows no fly that the water’s note forbids, and names the rule', async () => {
    await packed({ maxHookSize: 22 })
    const view = await along()
    expect(view?.flies.find((fly) => fly.variantId === variantId)?.forbidden).toBe('hookTooLarge')
    const at = view?.flies.findIndex((fly) => fly.variantId === variantId)
    expect(view?.showings.filter(({ fly }) => fly === at)).toEqual([])
  })
})

describe('what fish are on, were the water warmer or colder than is reckoned', () => {
  const on = '2027-04-14'
  const warmth = async () =>
    (await server.get(`/api/outings/${outingId}/warmth`).expect(200)).body as AlongWarmth
  const sum = (all: readonly (readonly number[])[], half: number) =>
    all.reduce((n, own) => n + (own[half] ?? 0), 0)
  const read = (tempC: number) =>
    server
      .command('readingsImport', {
        importId: newId(),
        readings: {
          reachId: lowReach,
          depthMm: 300,
          source: 'entered',
          rows: [[Date.parse(on) / 86_400_000, 750, Math.round(100 * tempC), null, null]],
        },
      })
      .expect(200)

  it('is all the fish at each half hour, and in spring more on what waits for warmth', async () => {
    await packed({}, on)
    const view = (await along())!
    const { rows, reckonedC } = await warmth()
    expect(rows.map(({ warmerC }) => warmerC)).toEqual([-4, -2, 0, 2, 4])
    expect(reckonedC.length).toBe(view.whatever.length)
    for (const { onIt, whatever } of rows) expect(sum([...onIt, whatever], 6)).toBeCloseTo(1, 3)
    // olives of the spring hatch once the water has come to their degrees
    const hatching = view.stages.flatMap(({ groupKey, band }, i) => (groupKey === 'mayfly' && band !== 'bottom' ? [i] : []))
    const share = (row: number) => sum(hatching.map((i) => rows[row]?.onIt[i] ?? []), 8)
    expect(share(4)).toBeGreaterThan(1.3 * share(0))
    expect(share(2)).toBeGreaterThan(share(0))
  }) // prettier-ignore

  it('is told of the air as well: in warm air swarms may fall, in cold air none does', async () => {
    await packed({}, '2026-08-05')
    const view = (await along())!
    const { air } = await warmth()
    expect(air.map(({ fromC }) => fromC)).toEqual(air.map(({ fromC }) => fromC).toSorted((a, b) => (a ?? -99) - (b ?? -99)))
    for (const { onIt, whatever } of air) expect(sum([...onIt, whatever], 6)).toBeCloseTo(1, 3)
    const ants = view.stages.findIndex(({ foodKey, stage }) => foodKey === 'ant' && stage === 'wingedAdult')
    const most = (row: number) => Math.max(...(air[row]?.onIt[ants] ?? []))
    expect(ants).toBeGreaterThan(-1)
    expect(most(air.length - 1)).toBeGreaterThan(2 * most(0))
  }) // prettier-ignore

  it('is what it comes to once that has been read', async () => {
    await packed({}, on)
    const before = await warmth()
    // the middle of the hours that are gone along with: half past twelve
    const middleC = ((before.reckonedC[6] ?? 0) + (before.reckonedC[7] ?? 0)) / 2
    const { stages } = (await along())!
    await read(Math.round(10 * (middleC + 4)) / 10)
    const after = (await along())!
    const now = new Map(after.stages.map(({ foodStageId, onIt }) => [foodStageId, onIt]))
    const [row] = before.rows.filter(({ warmerC }) => warmerC === 4)
    stages.forEach(({ foodStageId }, i) => {
      if (now.has(foodStageId)) expect(row?.onIt[i]).toEqual(now.get(foodStageId))
    })
    expect([...now.keys()].filter((id) => stages.some(({ foodStageId }) => foodStageId === id)).length).toBeGreaterThan(20)
  }) // prettier-ignore
})

describe('rigs for the day', () => {
  it('are those that are made for one of its ways; what the water’s note forbids of one is said', async () => {
    await packed({ maxLeaderMm: 3000 })
    const rig = (typed: Omit<CommandInput<'rigSave'>['rig'], 'note'>) =>
      server.command('rigSave', { rigId: newId(), version: null, rig: { ...typed, note: '' } }).expect(200)
    const leader = (lengthMm: number) => ({ kind: 'leader', lengthMm, buttMm: 0.45, tipMm: 0.16, stuff: 'nylon' }) as const // prettier-ignore
    const dry = { kind: 'dry', fly: null } as const
    await rig({ name: 'Short dry', way: 'carried', parts: [leader(2700), dry] })
    await rig({ name: 'Long dry', way: 'carried', parts: [leader(4200), dry] })
    await rig({ name: 'Held tight', way: 'tight', parts: [leader(2700), { kind: 'point', fly: null }] })
    const found = (await along())?.rigs.map(({ name, techniques, against }) => [name, techniques, against])
    expect(found).toEqual([
      ['Long dry', ['dry'], ['maxLeader']],
      ['Short dry', ['dry'], []],
    ])
  })
})

describe('what was noted at the water', () => {
  it('is kept in order, each tap once however often it comes, and undone in one', async () => {
    await packed()
    await server.command('outingNote', { outingId, taps: taps.slice(1) }).expect(200)
    const { body } = await server.command('outingNote', { outingId, taps }).expect(200)
    expect(body).toMatchObject({ label: 'Noted one thing at Test Water' })
    expect((await along())?.taps).toEqual(taps)
    await server.command('outingNote', { outingId, taps }).expect(200)
    expect((await along())?.taps).toEqual(taps)
  })

  it('comes back after it was undone, when it is sent again', async () => {
    await packed()
    const { body } = await server.command('outingNote', { outingId, taps }).expect(200)
    const { actionId } = body as { actionId: string }
    await server.command('undo', { actionId: actionId as never }).expect(200)
    expect((await along())?.taps).toEqual([])
    await server.command('outingNote', { outingId, taps }).expect(200)
    expect((await along())?.taps).toEqual(taps)
  })

  it('goes to no outing that is not there, takes no sign that nobody knows, and belongs to one outing', async () => {
    await packed()
    await server.command('outingNote', { outingId: newId(), taps }).expect(404)
    const unknown = [{ ...taps[1]!, signKey: 'a-mermaid' }] as Taps
    await server.command('outingNote', { outingId, taps: unknown }).expect(400)
    await server.command('outingNote', { outingId, taps }).expect(200)
    const other = newId()
    const outing = { waterId: river.waterId, reachId: null, on: '2026-06-02', fromLocalMin: 600, toLocalMin: 900, status: 'planned', technique: 'dry', note: '' } as const // prettier-ignore
    await server.command('outingSave', { outingId: other, version: null, outing }).expect(200)
    const refused = await server.command('outingNote', { outingId: other, taps }).expect(400)
    expect(refused.body).toMatchObject({ fields: [{ path: 'taps.0.id' }] })
  })
})

describe('what was noted, taken in', () => {
  const [watch, , tiedOn] = taps
  const lost = { id: newId(), atMs: 1_780_300_900_000, kind: 'lost', variantKeys: [variantId], leftIn: 'tree' } as Taps[number] // prettier-ignore
  const made: CommandInput<'outingTakeIn'> = {
    outingId,
    spells: [{ tapId: tiedOn!.id, variantId, minutes: 13, takes: 1, refusals: 2 }],
    losses: [{ tapId: lost.id, losses: [{ compartmentId: placeB, variantId, cause: 'tree' }] }],
  }
  const prepare = async () => {
    await packed()
    await server.command('outingNote', { outingId, taps: [watch!, tiedOn!, lost] }).expect(200)
  }

  it('makes spells and losses of it once, out of the box that was along', async () => {
    await prepare()
    await server.command('outingTakeIn', made).expect(200)
    await server.command('outingTakeIn', made).expect(200)
    const view = await along()
    expect(view?.outing.spells).toMatchObject([{ variantId, minutes: 13, takes: 1, refusals: 2 }])
    expect(view?.outing.losses).toMatchObject([{ variantId, count: 1, cause: 'tree' }])
    expect(view?.booked.toSorted()).toEqual([tiedOn!.id, lost.id].toSorted())
    expect(view?.flies.find((fly) => fly.variantId === variantId)?.aboard).toBe(1)
  })

  it('waits until it is taken in, and is done with where the fly that was lost lies nowhere any more', async () => {
    const waits = async () => (await along())?.outing.waits
    await prepare()
    // a spell and a loss
    expect(await waits()).toBe(2)
    await server.command('outingTakeIn', { ...made, losses: [{ tapId: lost.id, losses: [] }] }).expect(200)
    expect(await waits()).toBe(0)
    expect((await along())?.outing.losses).toEqual([])
  })

  it('is undone in one, and can be taken in again', async () => {
    await prepare()
    const { body } = await server.command('outingTakeIn', made).expect(200)
    await server.command('undo', { actionId: (body as { actionId: string }).actionId as never }).expect(200)
    expect(await along()).toMatchObject({ booked: [], outing: { spells: [], losses: [] } })
    await server.command('outingTakeIn', made).expect(200)
    expect((await along())?.outing.spells.length).toBe(1)
  })

  it('is all or nothing: where a fly is no more in the box, no spell is made either', async () => {
    await prepare()
    await server.command('outingUnpack', { outingId }).expect(200)
    const { body } = await server.command('outingTakeIn', made)
    expect(body).toMatchObject({ status: 409 })
    expect((await along())?.outing.spells).toEqual([])
  })

  it('makes readings of its reach of what the thermometer showed, once; undone they count no more', async () => {
    const set = (tempC: number) => ({ id: newId(), atMs: 1_780_300_000_000, kind: 'waterTemp', tempC }) as Taps[number] // prettier-ignore
    const [first, second] = [set(13), set(13.5)]
    await packed()
    await server.command('outingNote', { outingId, taps: [first, second] }).expect(200)
    const reading = { tapIds: [first.id, second.id], localMin: 700, tempC100: 1350 }
    const body = { outingId, spells: [], losses: [], readings: [reading] }
    const season = async () =>
      (await server.get(`/api/season/reach?reachId=${lowReach}&on=2026-06-01`).expect(200))
        .body as ReachSeasonView
    expect((await season()).warmth.latest).toBeNull()
    const { body: told } = await server.command('outingTakeIn', body).expect(200)
    await server.command('outingTakeIn', body).expect(200)
    const { warmth, imports } = await season()
    expect(imports).toMatchObject([{ source: 'noted', rowCount: 1 }])
    // twenty to twelve is near the mean of a day that is warmest at five
    expect(warmth.latest?.meanC).toBeCloseTo(13.25, 0)
    await server.command('undo', { actionId: (told as { actionId: string }).actionId as never }).expect(200)
    expect((await season()).warmth.latest).toBeNull()
    expect((await along())?.booked).toEqual([])
  })

  it('makes notes of the season of what was counted, once; of a part that was counted before nothing', async () => {
    const count = (n: number) => ({ id: newId(), atMs: 1_780_300_000_000, kind: 'counted', stageKey: fixed('stage:dark-olive-nymph'), from: 'stones', count: n }) as Taps[number] // prettier-ignore
    const [first, second] = [count(2), count(3)]
    await packed()
    await server.command('outingNote', { outingId, taps: [first, second] }).expect(200)
    const observation = { reachId: lowReach, on: '2026-06-01', localMin: 700, foodStageId: fixed('stage:dark-olive-nymph'), kind: 'counted', count: 5, lengthMm: null, effortMinutes: null, method: 'stone', note: '' } as const // prettier-ignore
    const sample = { tapIds: [first.id, second.id], observation }
    const body = { outingId, spells: [], losses: [], samples: [sample] }
    await server.command('outingTakeIn', body).expect(200)
    await server.command('outingTakeIn', body).expect(200)
    const third = count(1)
    await server.command('outingNote', { outingId, taps: [third] }).expect(200)
    const again = { ...sample, tapIds: [second.id, third.id] }
    await server.command('outingTakeIn', { ...body, samples: [again] }).expect(200)
    const { body: season } = await server.get(`/api/season/reach?reachId=${lowReach}&on=2026-06-01`).expect(200)
    const { observations } = season as ReachSeasonView
    expect(observations.map(({ observation: of }) => [of.kind, of.count, of.method])).toEqual([['counted', 5, 'stone']]) // prettier-ignore
  })
})
