import { describe, expect, it } from 'vitest'
import { waterside } from '../../../core/index.ts'
import type { DisplayUnits } from '../../../core/index.ts'
import type { AlongView, WatersideTap } from '../../../contract/index.ts'
import { leadSentence, readAgainst } from '../../words/waterside.ts'
import { aboardNow, halfOf, warmerThanReckoned, Waterside } from './answer.ts'
import { packNeeds } from './packNeeds.ts'
import { takenIn } from './takeIn.ts'

const stage = (id: string, name: string, onIt: readonly number[]) =>
  ({
    ...{ foodStageId: id, foodKey: 'dark-olive', groupKey: 'mayfly', stage: id, name, band: 'onFilm' },
    ...{
      fromMm: 0,
      toMm: 0,
      lengthMmLow: 7,
      lengthMmHigh: 9,
      hexWet: '#6a6d37',
      howFished: 'Dead drift.',
      onIt,
    },
  }) as unknown as AlongView['stages'][number]
const fly = (id: string, aboard: number, figure: object = { kind: 'floats', posture: 'proud', hookSize: 16, sinkSpeedMmPerS: null }) =>
  ({
    ...{ variantId: id, name: id, figure, drawingKey: null, palette: [{ hexWet: '#6a6d37', share: 1 }], bright: false, cut: null, aboard },
    ...{ compartmentId: 'pocket', lies: 2, place: 'Pocket', forbidden: null, meantFor: [] },
  }) as unknown as AlongView['flies'][number] // prettier-ignore

/** Four half hours from ten: nymphs, then duns with their emergers. */
const along = {
  outing: { technique: 'dry', alsoTechniques: ['tightLineNymph'], rules: { maxFlies: null } },
  ...{ school: 'sizeAndStage', waterKind: 'freestone', bedMm: 700, surfaceSpeedMmPerS: 600, fromLocalMin: 600 },
  stages: [
    stage('nymph', 'Olive, nymph', [0.5, 0.4, 0.1, 0.1]),
    stage('emerger', 'Olive, emerger', [0, 0.1, 0.3, 0.2]),
    stage('dun', 'Olive, dun', [0, 0.1, 0.3, 0.4]),
  ],
  whatever: [0.5, 0.4, 0.3, 0.3],
  known: [],
  flies: [
    fly('dun 16', 2),
    fly('emerger 16', 0),
    fly('nymph 16', 1, { kind: 'sinks', posture: null, hookSize: 16, sinkSpeedMmPerS: 350 }),
  ],
  showings: [
    { fly: 0, way: 'dry', stages: [[2, 0.9], [1, 0.3]], whatever: 0.3, depthMm: 0 },
    { fly: 1, way: 'dry', stages: [[1, 0.9], [2, 0.4]], whatever: 0.3, depthMm: 0 },
    { fly: 2, way: 'tightLineNymph', stages: [[0, 0.9]], whatever: 0.4, depthMm: 650 },
  ],
  rigs: [],
  taps: [],
  booked: [],
} as unknown as AlongView // prettier-ignore

/** Taps a minute apart. */
const taps = (...said: readonly waterside.Tap[]) =>
  said.map((tap, i) => ({ ...tap, id: `e${i}`, atMs: i * 60_000 })) as unknown as readonly WatersideTap[]
const after = (...said: readonly waterside.Tap[]) => waterside.standingAfter(taps(...said))
const saw = (signKey: string): waterside.Tap => ({ kind: 'sign', signKey, seen: true })
const water = new Waterside(along)

describe('an hour at the water', () => {
  it('is told by the season before anything was seen, by the signs once they were', () => {
    expect(water.answer(after(), 3).stages[0]?.stage.name).toBe('Olive, dun')
    const seen = water.answer(after(saw('back-and-tail'), saw('drifting-shucks')), 3)
    expect(seen.stages[0]).toMatchObject({ before: 0.2, stage: { name: 'Olive, emerger' } })
    expect(seen.stages[0]?.says.map(({ key }) => key)).toEqual(['back-and-tail', 'drifting-shucks'])
  })

  it('puts on what is packed, and names what lies at home and would do more', () => {
    const { put, atHome } = water.answer(after(saw('back-and-tail'), saw('drifting-shucks')), 3)
    expect(put?.fly.name).toBe('dun 16')
    expect(atHome?.name).toBe('emerger 16')
    expect(water.answer(after(), 0)).toMatchObject({
      atHome: null,
      put: { way: 'tightLineNymph', depthMm: 650 },
    })
  })

  it('no more has what was lost, until that is taken in and gone from the box', () => {
    const lost = after({ kind: 'lost', variantKeys: ['nymph 16'], leftIn: 'bottom' })
    expect(water.answer(lost, 0).put?.fly.name).not.toBe('nymph 16')
    expect(aboardNow(along.flies[2]!, lost, [])).toBe(0)
    expect(aboardNow(along.flies[2]!, lost, ['e0'])).toBe(1)
  })

  it('changes one thing after a refusal, and ends with leaving', () => {
    const on: waterside.Tap = { kind: 'tiedOn', variantKey: 'dun 16', way: 'dry', stageKey: 'dun', step: null }
    const steps: waterside.Step[] = []
    for (;;) {
      const standing = after(on, ...steps.map((step): waterside.Tap => ({ kind: 'step', step })))
      const step = water.next('turned', standing, 3)?.step
      if (!step || steps.includes(step) || steps.length > 20) break
      steps.push(step)
    }
    expect(steps.at(-1)).toBe('leave')
    expect(new Set(steps).size).toBe(steps.length)
  })

  it('is of the half hour of the clock, the first before and the last after', () => {
    expect([590, 600, 629, 630, 719, 900].map((min) => halfOf(along, min))).toEqual([0, 0, 0, 1, 3, 3])
  })
})

describe('the water, read', () => {
  const outing = { ...along.outing, on: '1970-01-01', fromLocalMin: 600, toLocalMin: 690 }
  const place = { ...along, timeZone: 'UTC', outing }
  const row = (warmerC: number, dun: number) => ({
    warmerC,
    onIt: [[0.1, 0.1, 0.1, 0.1], [0, 0, 0, 0], [dun, dun, dun, dun]],
    whatever: [0.9 - dun, 0.9 - dun, 0.9 - dun, 0.9 - dun],
  }) // prettier-ignore
  const air = (fromC: number | null, dun: number) => ({ fromC, ...row(0, dun) })
  const warmth = {
    reckonedC: [11, 11.5, 12, 12.5],
    rows: [row(-4, 0), row(0, 0.2), row(4, 0.6)],
    air: [air(null, 0), air(10, 0.2), air(18, 0.6)],
  }
  const read = (tempC: number, localMin: number) =>
    waterside.standingAfter([{ kind: 'waterTemp', tempC, id: 'r', atMs: localMin * 60_000 }])
  const dunAt = (standing: waterside.Standing) =>
    new Waterside(place, warmth).answer(standing, 3).stages.find(({ stage: on }) => on.name === 'Olive, dun')

  it('moves what fish are on, by how far it lies from what was reckoned at that time', () => {
    // at half past ten 11.5 °C was reckoned: 13.5 is two warmer, and halfway between 0.2 and 0.6
    expect(warmerThanReckoned(place, warmth, read(13.5, 635))).toBe(2)
    const dun = dunAt(read(13.5, 635))
    expect(dun?.share).toBeCloseTo(0.4, 10)
    expect(dun?.before).toBeCloseTo(0.4, 10)
    expect(dunAt(read(9.5, 635))?.share).toBeCloseTo(0.1, 10)
    // tried out the evening before: against the middle, a quarter to eleven
    expect(
      warmerThanReckoned({ ...place, outing: { ...outing, on: '1970-01-02' } }, warmth, read(13.5, 1380)),
    ).toBe(2)
  })

  it('moves nothing before it is read, nor where nobody has worked out what that does', () => {
    expect(dunAt(waterside.standingAfter([]))?.share).toBe(0.4)
    const unknowing = new Waterside(place)
    expect(unknowing.answer(read(16, 635), 3).stages[0]?.share).toBe(0.4)
    expect(warmerThanReckoned(place, null, read(16, 635))).toBeNull()
  })

  it('moves them by the air too, by what it makes of the season’s own', () => {
    const airAt = (tempC: number) =>
      dunAt(waterside.standingAfter([{ kind: 'airTemp', tempC, id: 'a', atMs: 0 }]))
    // of nothing read the dun has 0.4: in the cold none is left, and among the half and half of the warmth it has more
    expect(airAt(5)?.share).toBe(0)
    expect(airAt(12)?.share ?? 0).toBeLessThan(airAt(20)?.share ?? 0)
    const both = waterside.standingAfter([
      { kind: 'airTemp', tempC: 20, id: 'a', atMs: 0 },
      { kind: 'waterTemp', tempC: 13.5, id: 'w', atMs: 635 * 60_000 },
    ])
    expect(dunAt(both)?.share).toBeGreaterThan(dunAt(read(13.5, 635))?.share ?? 1)
  })

  it('is told against what was reckoned, and where that ends', () => {
    const units = { temperature: '°C' } as DisplayUnits
    expect(readAgainst(2, [-4, 0, 4], units)).toBe('2.0 °C warmer than reckoned: the shares follow it')
    expect(readAgainst(-5.5, [-4, 0, 4], units)).toBe(
      '5.5 °C colder than reckoned: the shares follow it as far as 4.0 °C',
    )
    expect(readAgainst(-0.2, [-4, 0, 4], units)).toBe('as reckoned')
    expect(readAgainst(-2, [-4, 0, 4], { temperature: '°F' } as DisplayUnits)).toContain('3.6 °F colder')
  })
})

describe('where to put a fly before a fish that cruises', () => {
  it('says of a fly that sinks when it is down, of a floating one that it floats', () => {
    const units = { depth: 'm' } as DisplayUnits
    const lead = { aheadMm: 3200, moveAfterS: 8, linesIt: false }
    expect(leadSentence('Cold Tea #10', lead, 8, units)).toBe(
      'Cold Tea #10: put it 3.2 m ahead on its way, no nearer. It is down after 8.0 s. Move it 8 s after it has landed.',
    )
    expect(leadSentence('Chapel Roof #14', lead, null, units)).toContain('It floats.')
  })
})

describe('a box for the day', () => {
  it('is asked for each food, for nothing showing, and for an anchor; gaps name what lies at home', () => {
    const needs = packNeeds(along).map(({ kind, stage: of, put, atHome, fromHalf, toHalf }) => [
      of?.name ?? kind, put?.fly.name ?? null, atHome?.name ?? null, fromHalf, toHalf,
    ]) // prettier-ignore
    expect(needs).toEqual([
      ['Olive, nymph', 'nymph 16', null, 0, 2],
      ['Olive, dun', 'dun 16', null, 2, 4],
      ['Olive, emerger', null, 'emerger 16', 2, 4],
      ['whatever', null, null, 0, 4],
      ['anchor', 'nymph 16', null, 0, 4],
      ['coloured', null, null, 0, 4],
    ])
    const bare = { ...along, flies: along.flies.map((one) => ({ ...one, aboard: 0 })) }
    expect(packNeeds(bare).find(({ stage: of }) => of?.name === 'Olive, dun')).toMatchObject({ put: null, atHome: { name: 'dun 16' } }) // prettier-ignore
  })
})

describe('water that may colour', () => {
  const sinks = (mmPerS: number, hookSize: number) => ({
    kind: 'sinks',
    posture: null,
    hookSize,
    sinkSpeedMmPerS: mmPerS,
  })
  const seen = (...flies: AlongView['flies']) =>
    packNeeds({ ...along, flies }).find(({ kind }) => kind === 'coloured')
  const [large, anchor] = [fly('streamer 8', 1, sinks(90, 8)), fly('anchor 8', 2, sinks(400, 8))]
  const bright = { ...fly('bright 14', 1, sinks(120, 14)), bright: true }

  it('is packed for with something large or bright that sinks slowly, the largest first', () => {
    expect(seen(anchor, bright, large)?.put?.fly.name).toBe('streamer 8')
    expect(seen(anchor, bright)?.put?.fly.name).toBe('bright 14')
    expect(seen(anchor, fly('grey 14', 1, sinks(120, 14)))?.put).toBeNull()
    // how many fish that will be for nobody knows
    expect(seen(large)?.share).toBeNull()
  })

  it('names what lies at home, and asks for none of it where the note allows the dry fly only', () => {
    expect(seen(anchor, { ...large, aboard: 0 })).toMatchObject({ put: null, atHome: { name: 'streamer 8' } })
    const dry = { ...along, outing: { ...along.outing, rules: { ...along.outing.rules, dryOnly: true } } }
    expect(packNeeds(dry).some(({ kind }) => kind === 'coloured')).toBe(false)
  })
})

const TODAY = '2026-05-31'

describe('what is taken in', () => {
  it('is each spell that has ended and each loss, once', () => {
    const on: waterside.Tap = { kind: 'tiedOn', variantKey: 'dun 16', way: 'dry', stageKey: 'dun', step: null }
    const noted = taps(
      on, { kind: 'take', end: 'cameOff', lengthMm: null }, { kind: 'refused', refusal: 'turned' },
      { kind: 'refused', refusal: 'dragged' }, { kind: 'lost', variantKeys: ['dun 16', 'nymph 16'], leftIn: 'tree' },
    ) // prettier-ignore
    const made = takenIn(along, noted, TODAY)
    expect(made.spells).toEqual([{ tapId: 'e0', variantId: 'dun 16', minutes: 4, takes: 1, refusals: 1, rigId: null }]) // prettier-ignore
    expect(made.losses.flatMap(({ losses }) => losses.map(({ variantId }) => variantId))).toEqual(['dun 16', 'nymph 16']) // prettier-ignore
    const elsewhere = along.flies.map((one) => ({ ...one, compartmentId: null }))
    expect(takenIn({ ...along, flies: elsewhere }, noted, TODAY)).toMatchObject({ losses: [{ losses: [] }], gone: ['dun 16', 'nymph 16'] }) // prettier-ignore
    // two went in the tree, and one of that kind was given away at home
    const fewer = along.flies.map((one) => ({ ...one, lies: one.variantId === 'dun 16' ? 0 : 1 }))
    const partly = takenIn({ ...along, flies: fewer }, noted, TODAY)
    expect(partly.losses.map(({ losses }) => losses.map(({ variantId }) => variantId))).toEqual([['nymph 16']])
    expect(partly.gone).toEqual(['dun 16'])
    expect(takenIn({ ...along, booked: ['e0', 'e4'] as never }, noted, TODAY)).toEqual({
      spells: [],
      losses: [],
      samples: [],
      readings: [],
      gone: [],
    })
  })

  it('is each sample of a day that has come, at its reach, by its way of looking', () => {
    const count = (from: waterside.SampledFrom, n: number): waterside.Tap => ({ kind: 'counted', stageKey: 'dun', from, count: n }) // prettier-ignore
    const noted = taps(count('stones', 1), count('stones', 3), count('stomach', 2))
    const there = { ...along, outing: { ...along.outing, reachId: 'low', on: TODAY } } as unknown as AlongView
    const [stones, stomach] = takenIn(there, noted, TODAY).samples
    expect(stones).toMatchObject({ tapIds: ['e0', 'e1'], observation: { count: 4, method: 'stone', on: TODAY, reachId: 'low', foodStageId: 'dun', kind: 'counted' } }) // prettier-ignore
    expect(stomach).toMatchObject({ tapIds: ['e2'], observation: { count: 2, method: 'fishSample' } })
    expect(takenIn(there, noted, '2026-05-30').samples).toEqual([])
    const nowhere = { ...there, outing: { ...there.outing, reachId: null } }
    expect(takenIn(nowhere, noted, TODAY).samples).toEqual([])
  })

  it('is what the thermometer showed on the day itself, in its water’s own time', () => {
    const there = { ...along, timeZone: 'Europe/London', outing: { ...along.outing, reachId: 'low', on: TODAY } } as unknown as AlongView // prettier-ignore
    const at = (utc: string, tempC: number) => ({ kind: 'waterTemp', tempC, id: utc, atMs: Date.parse(utc) })
    const noted = [
      at('2026-05-30T20:00:00Z', 15), // tried out at home the evening before
      at(`${TODAY}T11:15:00Z`, 12.5),
      at(`${TODAY}T11:15:03Z`, 13),
    ] as unknown as readonly WatersideTap[]
    expect(takenIn(there, noted, TODAY).readings).toEqual([
      { tapIds: [`${TODAY}T11:15:00Z`, `${TODAY}T11:15:03Z`], localMin: 12 * 60 + 15, tempC100: 1300 },
    ])
    expect(takenIn(there, noted, '2026-05-30').readings).toEqual([])
    const nowhere = { ...there, outing: { ...there.outing, reachId: null } }
    expect(takenIn(nowhere, noted, TODAY).readings).toEqual([])
  })
})
