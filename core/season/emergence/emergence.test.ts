import { describe, expect, it } from 'vitest'
import { mean, quantile, Z_80 } from '../../number/index.ts'
import { normalsFrom, randomFrom } from '../../uncertainty/index.ts'
import { drawn, reachOf, skillAsIssued, stages } from '../../testing/season.ts'
import { epochDayOf, newYearOf } from '../calendar.ts'
import {
  AS_USUAL, dayOfMonthDay, firstDayOf, lastDayOf, onsetDay, sceneOf, triggerAt, towardsStart, windowOf,
} from './index.ts' // prettier-ignore
import type { DatedTrigger, SeasonDraws, SeasonNote, Year } from './index.ts'

const olives: DatedTrigger = {
  kind: 'waterTemp', direction: 'rising', thresholdC: 6.8, lowC: 6, highC: 8, notBefore: '02-20', spreadDays: 7,
  durationDays: 45, steadyStartOn: '03-10',
} // prettier-ignore

const yearOf = (waterC: (day: number) => number, change: Partial<Year> = {}): Year => ({
  waterC: Float32Array.from({ length: 600 }, (_, day) => waterC(day)),
  airC: new Float32Array(600),
  daylightH: new Float32Array(600),
  freezes: false,
  iceGoneC: 4.2,
  signShare: 1,
  warmestC: 17,
  ...change,
})

const ofFood = (foodId: string) => stages.filter((stage) => stage.foodId === foodId)
const windowIn = (draws: SeasonDraws, stageId: string, brood = 0) => {
  const found = draws.broods.find((one) => one.stageId === stageId && one.brood === brood)
  const window = found && windowOf(found)
  if (!window) throw new Error(`${stageId} never comes`)
  return window
}
const low = reachOf(3, 16.6)
const note = (change: Partial<SeasonNote>): SeasonNote => ({
  reachKey: 'reach',
  stageId: 'dark-olive-dun',
  day: epochDayOf('2025-04-10'),
  localMin: null,
  kind: 'firstSeen',
  count: null,
  effortMinutes: 60,
  ...change,
})

describe('onsetDay', () => {
  it('is the first day from notBefore at the threshold, rising or falling', () => {
    const warming = yearOf((day) => day / 10)
    expect(onsetDay(olives, warming, AS_USUAL)).toBe(68)
    expect(onsetDay({ ...olives, notBefore: '04-01' }, warming, AS_USUAL)).toBe(dayOfMonthDay('04-01'))
    const cooling = yearOf((day) => 30 - day / 10)
    const autumn = { ...olives, direction: 'falling' as const, thresholdC: 9, notBefore: '07-01' }
    expect(onsetDay(autumn, cooling, AS_USUAL)).toBe(210)
  })

  it('sums degree-days as a hand-made table does', () => {
    // 12 °C over a base of 8: four a day; 120 of them on the thirtieth day from 1 March
    const trigger: DatedTrigger = { kind: 'degreeDays', baseC: 8, degreeDays: 120, startOn: '03-01', spreadDays: 9, durationDays: 35 } // prettier-ignore
    const on = (waterC: (day: number) => number) => onsetDay(trigger, yearOf(waterC), AS_USUAL)
    expect(on(() => 12)).toBe(dayOfMonthDay('03-01') + 29)
    // ten days at 9 (ten), then 14 (six a day): ten and nineteen days
    expect(on((day) => (day < dayOfMonthDay('03-11') ? 9 : 14))).toBe(dayOfMonthDay('03-11') + 18)
    expect(on(() => 7.9)).toBeNull()
  })

  it('goes over to the date that is usual as the year swings less, without a cliff', () => {
    const warming = (day: number) => 4 + day / 30
    const starts = [0, 0.25, 0.5, 0.75, 1].map(
      (signShare) => onsetDay(olives, yearOf(warming, { signShare }), AS_USUAL) ?? NaN,
    )
    expect(starts[0]).toBe(dayOfMonthDay('03-10'))
    expect(starts[4]).toBe(84)
    const steps = starts.slice(1).map((start, i) => start - (starts[i] ?? 0))
    for (const step of steps) expect(step).toBeCloseTo(4, 6)
  })

  it('comes by its latest date where the water comes near to its warmth, and not where it stays far from it', () => {
    const late = { ...olives, thresholdC: 12.5, latest: '06-20' }
    const cool = yearOf(() => 10)
    expect(onsetDay(late, { ...cool, warmestC: 10 }, AS_USUAL)).toBe(dayOfMonthDay('06-20'))
    expect(onsetDay(late, { ...cool, warmestC: 9 }, AS_USUAL)).toBeNull()
  })

  it('is moved by lag and by deviation', () => {
    const warming = yearOf((day) => day / 10)
    expect(onsetDay({ ...olives, lagDays: 4 }, warming, { thresholdC: 0.5, days: -2 })).toBe(75)
  })
})

describe('triggerAt', () => {
  const start = (trigger: DatedTrigger, ...of: Parameters<typeof reachOf>) => {
    const scene = sceneOf(reachOf(...of))
    return onsetDay(triggerAt(trigger, scene), scene.year, AS_USUAL) ?? NaN
  }

  it('lets 335 m of height cost weeks, not months: strains come half way to their water', () => {
    // 9 °C and 0.6 ‰ of the swing for each 1,000 m
    const cost = start(olives, 0.4, 12.8) - start(olives, 3, 16.2)
    expect(cost).toBeGreaterThan(10)
    expect(cost).toBeLessThan(30)
  })

  it('brings land insects sooner in the south and later in the north', () => {
    const beetles = stages.find(({ id }) => id === 'small-land-beetle-adult')?.trigger as DatedTrigger
    const at = (latitudeDeg: number) => start(beetles, 3, 16, { latitudeDeg })
    expect(at(42)).toBeLessThan(at(54) - 7)
    expect(at(64)).toBeGreaterThan(at(54) + 3)
  })

  it('takes light as a share of the local year', () => {
    const dusk = stages.find(({ id }) => id === 'large-autumn-sedge-adult')?.trigger as DatedTrigger
    expect(dusk.kind).toBe('dayLength')
    const at = (latitudeDeg: number) => start(dusk, 3, 16, { latitudeDeg })
    expect(at(42)).toBeGreaterThan(at(54))
    expect(Number.isFinite(at(66))).toBe(true)
  })

  it('turns with the hemisphere: half a year on, in days from 1 July', () => {
    expect(Math.abs(start(olives, 3, 16.6, { latitudeDeg: -54 }) - start(olives, 3, 16.6))).toBeLessThan(4)
  })
})

describe('drawSeason', () => {
  it('agrees with a simulation that is written plainly', () => {
    const random = normalsFrom(randomFrom(5))
    const reach = { ...low, model: { ...low.model, curveSdC: low.model.curveSdC.map(() => 0) } }
    const scene = sceneOf(reach)
    const trigger = ofFood('dark-olive').find(({ id }) => id === 'dark-olive-dun')?.broods[0]?.trigger ?? olives
    if (trigger.kind !== 'waterTemp') throw new Error('no threshold')
    const own = triggerAt(trigger, scene) as typeof trigger
    const starts: number[] = []
    for (let n = 0; n < 2500; n += 1) {
      const limit = own.thresholdC + ((own.highC - own.lowC) / 2 / Z_80) * random()
      const late = (own.spreadDays / Z_80) * random()
      const year = 0.7 * random()
      let off = 1.1 * random()
      let found: number | null = null
      for (let day = 0; day < 300 && found === null; day += 1) {
        off = 0.85 * off + 1.1 * Math.sqrt(1 - 0.85 ** 2) * random()
        const water = Math.max((scene.water[day] ?? 0) + year + off, 0)
        if (day >= dayOfMonthDay(own.notBefore) && water >= limit) found = day
      }
      if (found !== null) starts.push(Math.min(found, dayOfMonthDay(own.latest ?? '12-31')) + late)
    }
    const plain = Float64Array.from(starts).sort()
    const window = windowIn(drawn({ reach, of: ofFood('dark-olive'), draws: 2500 }), 'dark-olive-dun')
    for (const share of [1, 3, 5, 7, 9])
      expect(Math.abs((window.onset[share] ?? 0) - quantile(plain, share / 10)), `${share}0 %`).toBeLessThan(
        2.5,
      )
  })

  it('knows on the day whether it is warm enough: readings of this year are exact, and narrow what comes', () => {
    const of = ofFood('dark-olive')
    const first = newYearOf(2026)
    const cold = { ...low, days: Array.from({ length: 110 }, (_, day) => ({ day: first + day, meanC: 3 })) }
    const warm = {
      ...low,
      days: Array.from({ length: 110 }, (_, day) => ({ day: first + day, meanC: 3 + day / 10 })),
    }
    const usual = windowIn(drawn({ reach: low, of }), 'dark-olive-dun')
    const [late, early] = [cold, warm].map((reach) => windowIn(drawn({ reach, of }), 'dark-olive-dun'))
    expect(firstDayOf(late!)).toBeGreaterThan(100)
    expect(firstDayOf(early!)).toBeLessThan(firstDayOf(late!) - 20)
    const width = ({ onset }: typeof usual) => (onset[9] ?? 0) - (onset[1] ?? 0)
    expect(width(early!)).toBeLessThan(width(usual))
  })

  it('moves all stages of a brood together: nymph, emerger and spinner by what was noted of the dun', () => {
    const of = ofFood('dark-olive')
    const late = [2023, 2024, 2025].map((year) => note({ day: epochDayOf(`${year}-05-04`) }))
    const [before, after] = [[], late].map((notes) => drawn({ reach: low, of, notes }))
    const moved = ['dark-olive-dun', 'dark-olive-emerger', 'dark-olive-spinner'].map(
      (id) => firstDayOf(windowIn(after!, id)) - firstDayOf(windowIn(before!, id)),
    )
    expect(moved[0]).toBeGreaterThan(7)
    for (const days of moved) expect(Math.abs(days - (moved[0] ?? 0))).toBeLessThan(2)
    const spinners = after!.broods.find(
      ({ stageId, brood }) => stageId === 'dark-olive-spinner' && brood === 0,
    )!
    const duns = after!.broods.find(({ stageId, brood }) => stageId === 'dark-olive-dun' && brood === 0)!
    expect(spinners.starts.every((start, n) => Number.isNaN(start) || start >= (duns.starts[n] ?? 0))).toBe(
      true,
    )
  })

  it('takes four notes of one spring for one spring', () => {
    const of = ofFood('dark-olive')
    const springs = (days: readonly string[]) =>
      windowIn(
        drawn({ reach: low, of, notes: days.map((on) => note({ day: epochDayOf(on) })) }),
        'dark-olive-dun',
      )
    const one = springs(['2025-04-22'])
    const four = springs(['2025-04-21', '2025-04-22', '2025-04-22', '2025-04-23'])
    const years = springs(['2022-04-21', '2023-04-22', '2024-04-22', '2025-04-23'])
    expect(firstDayOf(years)).toBeGreaterThan(firstDayOf(four) + 2)
    expect(Math.abs(firstDayOf(four) - firstDayOf(one))).toBeLessThan(7)
  })

  it('counts a neighbour less, and land insects noted as forecast do not move', () => {
    const of = ofFood('dark-olive')
    const other = { ...low, key: 'other' }
    const late = [2023, 2024, 2025].map((year) => note({ day: epochDayOf(`${year}-05-04`) }))
    const start = (notes: readonly SeasonNote[]) =>
      firstDayOf(windowIn(drawn({ reach: low, reaches: [low, other], of, notes }), 'dark-olive-dun'))
    const [none, near, own] = [[], late.map((one) => ({ ...one, reachKey: 'other' })), late].map(start)
    expect(near).toBeGreaterThan(none! + 2)
    expect(near).toBeLessThan(own!)
    const beetles = ofFood('small-land-beetle')
    const id = beetles[0]!.id
    const usual = firstDayOf(windowIn(drawn({ reach: low, of: beetles }), id))
    const asForecast = [2022, 2023, 2024, 2025].map((year) =>
      note({ stageId: id, day: newYearOf(year) + Math.round(usual) + 2 }),
    )
    expect(Math.abs(firstDayOf(windowIn(drawn({ reach: low, of: beetles, notes: asForecast }), id)) - usual)).toBeLessThan(4) // prettier-ignore
  })

  it('is over within days of what was seen for the last time this year', () => {
    const of = ofFood('large-burrowing-mayfly')
    const notes = [
      note({ stageId: 'large-burrowing-mayfly-dun', kind: 'lastSeen', day: epochDayOf('2026-06-02') }),
    ]
    const last = lastDayOf(windowIn(drawn({ reach: low, of, notes }), 'large-burrowing-mayfly-dun'))
    expect(last - dayOfMonthDay('06-02')).toBeGreaterThan(0)
    expect(last - dayOfMonthDay('06-02')).toBeLessThan(6)
  })

  it('has begun where it was first seen this year, and not yet where it was looked for by the hour', () => {
    const of = ofFood('large-burrowing-mayfly')
    const id = 'large-burrowing-mayfly-dun'
    const begun = drawn({ reach: low, of, notes: [note({ stageId: id, day: epochDayOf('2026-05-12') })] })
    expect(Math.abs(firstDayOf(windowIn(begun, id)) - dayOfMonthDay('05-11'))).toBeLessThan(4)
    const usual = firstDayOf(windowIn(drawn({ reach: low, of }), id))
    const vain = [-6, -3, 0, 3, 6].map((off) =>
      note({ stageId: id, kind: 'absent', effortMinutes: 120, day: newYearOf(2026) + Math.round(usual) + off }),
    )
    expect(firstDayOf(windowIn(drawn({ reach: low, of, notes: vain }), id))).toBeGreaterThan(usual + 4)
  })

  it('starts after the ice on the day that is noted for it, later where it is noted later', () => {
    const of = stages.filter(({ id }) => id === 'lesser-water-boatman-flight')
    const tarn = reachOf(0.2, 16.8, { waterKind: 'uplandTarn', elevationM: 510 })
    const start = (iceOffOn: string) =>
      firstDayOf(windowIn(drawn({ reach: { ...tarn, iceOffOn }, of }), 'lesser-water-boatman-flight'))
    expect(start('04-22') - start('04-06')).toBeGreaterThan(7)
  })

  it('starts after the ice no earlier than on the day before which it does not', () => {
    const [boatman] = stages.filter(({ id }) => id === 'lesser-water-boatman-flight')
    if (boatman?.trigger.kind !== 'iceOff') throw new Error('the boatman does not wait for the ice')
    const { trigger } = boatman
    const tarn = reachOf(0.2, 16.8, { waterKind: 'uplandTarn', elevationM: 510, iceOffOn: '03-20' })
    const start = (notBefore: string) => {
      const brood = { name: 'spring', months: [3, 4, 5], trigger: { ...trigger, spreadDays: 0, notBefore } }
      return firstDayOf(windowIn(drawn({ reach: tarn, of: [{ ...boatman, broods: [brood] }] }), boatman.id))
    }
    const free = start('02-01')
    expect(free).toBeLessThan(dayOfMonthDay('04-10'))
    expect(start('03-01')).toBe(free)
    expect(start('05-01')).toBeGreaterThanOrEqual(dayOfMonthDay('05-01'))
  })

  it('gives the same for the same seed', () => {
    const of = ofFood('dark-olive')
    expect(drawn({ reach: low, of, draws: 50 })).toEqual(drawn({ reach: low, of, draws: 50 }))
  })
})

describe('skill on made-up rivers, as issued', () => {
  it('holds eight windows in ten however long before, and this year’s readings make it nearer', () => {
    const foods = ['dark-olive-dun', 'large-burrowing-mayfly-dun', 'evening-olive-dun']
    const issued = foods.flatMap((stageId) =>
      skillAsIssued({ stageId, rivers: 24, leadDays: [30, 7, 0], draws: 160, seed: 41 }),
    )
    for (const days of [30, 7, 0]) {
      const then = issued.filter(({ lead }) => lead === days)
      const held = mean(then.map((one) => one.held))
      expect(held, `${days} days before`).toBeGreaterThan(0.7)
      expect(held, `${days} days before`).toBeLessThan(0.9)
    }
    const soon = issued.filter(({ lead }) => lead === 0)
    expect(mean(soon.map((one) => one.errorDays))).toBeLessThan(0.8 * mean(soon.map((one) => one.blindDays)))
  })
})

describe('towardsStart', () => {
  it('says how warm it is against a threshold, and what of the degree-days is there', () => {
    expect(towardsStart(olives, () => 5.5, 60)).toEqual({ kind: 'threshold', tempC: 5.5, thresholdC: 6.8, rising: true }) // prettier-ignore
    const sums: DatedTrigger = { kind: 'degreeDays', baseC: 8, degreeDays: 120, startOn: '03-01', spreadDays: 9, durationDays: 35 } // prettier-ignore
    expect(towardsStart(sums, () => 10, dayOfMonthDay('03-10'))).toMatchObject({ sum: 20, wanted: 120 })
  })
})
