import { describe, expect, it } from 'vitest'
import { normal, randomFrom } from '../../uncertainty/index.ts'
import { usualModel } from '../warmth/index.ts'
import type { SeasonalModel } from '../warmth/index.ts'
import {
  AS_USUAL, chanceOn, chanceOnDayOfYear, dayOfMonthDay, emergenceWindows, firstDayOf, learnedWindow, learnShift,
  leaveOneOut, onsetDay, peakDayOf, shareBefore, towardsStart,
} from './index.ts' // prettier-ignore
import type { DatedTrigger, EmergenceWindow, Note, SimulatedReach, Year } from './index.ts'
import { stepsOf } from '../../testing/steps.ts'

const months = (meanC: number, amplitude: number) =>
  Array.from(
    { length: 12 },
    (_, month) => meanC + amplitude * Math.cos((2 * Math.PI * (month * 30.4 + 15 - 209)) / 365.25),
  )
const river: SeasonalModel = { ...usualModel(months(9, 6.2)), curveSdC: 0 }
const reach = (change: Partial<SimulatedReach> = {}): SimulatedReach => ({
  key: 'bridge',
  model: river,
  latitudeDeg: 54,
  elevationM: 180,
  ...change,
})
const olives: DatedTrigger = {
  kind: 'waterTemp', direction: 'rising', thresholdC: 6.8, lowC: 6, highC: 8, notBefore: '02-20', spreadDays: 7,
  durationDays: 45, steadyStartOn: '03-10',
} // prettier-ignore

function windowsOf(trigger: DatedTrigger, change: Partial<SimulatedReach> = {}, years = 1500) {
  const work = emergenceWindows({
    reaches: [reach(change)],
    broods: [{ stageKey: 'it', brood: 0, trigger }],
    years,
    seed: 11,
  })
  let step = work.next()
  while (!step.done) step = work.next()
  const window = step.value[0]?.windows[0]
  if (!window) throw new Error('no window')
  return window
}

const yearOf = (waterC: (day: number) => number, change: Partial<Year> = {}): Year => ({
  waterC: Float32Array.from({ length: 500 }, (_, day) => waterC(day)),
  airC: new Float32Array(500),
  daylightH: new Float32Array(500),
  freezes: false,
  iceGoneC: 4.2,
  steady: false,
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
    const trigger: DatedTrigger = {
      kind: 'degreeDays',
      baseC: 8,
      degreeDays: 120,
      startOn: '03-01',
      spreadDays: 9,
      durationDays: 35,
    }
    expect(
      onsetDay(
        trigger,
        yearOf(() => 12),
        AS_USUAL,
      ),
    ).toBe(dayOfMonthDay('03-01') + 29)
    // ten days at 9 (ten), then 14 (six a day): ten and nineteen days
    const stepped = yearOf((day) => (day < dayOfMonthDay('03-11') ? 9 : 14))
    expect(onsetDay(trigger, stepped, AS_USUAL)).toBe(dayOfMonthDay('03-11') + 18)
    expect(
      onsetDay(
        trigger,
        yearOf(() => 7.9),
        AS_USUAL,
      ),
    ).toBeNull()
  })

  it('keeps to the date that is usual where the year hardly swings', () => {
    expect(
      onsetDay(
        olives,
        yearOf(() => 9, { steady: true }),
        AS_USUAL,
      ),
    ).toBe(dayOfMonthDay('03-10'))
  })

  it('is moved by lag and by deviation', () => {
    const warming = yearOf((day) => day / 10)
    expect(onsetDay({ ...olives, lagDays: 4 }, warming, { thresholdC: 0.5, days: -2 })).toBe(75)
  })
})

describe('emergenceWindows', () => {
  it('agrees with a simulation that is written plainly', () => {
    const random = randomFrom(5)
    const starts: number[] = []
    for (let n = 0; n < 3000; n += 1) {
      const limit = 6.8 + ((8 - 6) / 2 / 1.2816) * normal(random)
      const late = (7 / 1.2816) * normal(random)
      const year = 0.7 * normal(random)
      let anomaly = 1.1 * normal(random)
      let found: number | null = null
      for (let day = 0; day < 300 && found === null; day += 1) {
        const curve = river.meanC + river.cos1C * Math.cos((2 * Math.PI * day) / 365.25) + river.sin1C * Math.sin((2 * Math.PI * day) / 365.25) + river.cos2C * Math.cos((4 * Math.PI * day) / 365.25) + river.sin2C * Math.sin((4 * Math.PI * day) / 365.25) // prettier-ignore
        const water = Math.max(curve + year + anomaly, 0)
        if (day >= 50 && water >= limit) found = day
        anomaly = 0.85 * anomaly + 1.1 * Math.sqrt(1 - 0.85 ** 2) * normal(random)
      }
      if (found !== null) starts.push(found + late)
    }
    starts.sort((a, b) => a - b)
    const window = windowsOf(olives, {}, 3000)
    for (const share of [1, 3, 5, 7, 9]) {
      const plain = starts[Math.round((share / 10) * (starts.length - 1))] ?? 0
      expect(Math.abs((window.onset[share] ?? 0) - plain), `${share}0 %`).toBeLessThan(2)
    }
  })

  it('comes later higher up, since the water is colder there, and with no direction coded', () => {
    const cold = { ...usualModel(months(6.6, 5)), curveSdC: 0 }
    const [low, high] = [windowsOf(olives), windowsOf(olives, { model: cold })]
    expect(firstDayOf(high)).toBeGreaterThan(firstDayOf(low) + 10)
    const warmBelowSpring = { ...usualModel(months(11, 6)), curveSdC: 0 }
    expect(firstDayOf(windowsOf(olives, { model: warmBelowSpring, elevationM: 500 }))).toBeLessThan(
      firstDayOf(low),
    )
  })

  it('is wider and less sure where the curve is less sure', () => {
    const unsure = windowsOf(olives, { model: { ...river, curveSdC: 1.8 } })
    const sure = windowsOf(olives)
    expect(unsure.doubtSdDays).toBeGreaterThan(sure.doubtSdDays * 1.3)
    expect(Math.abs(unsure.weatherSdDays - sure.weatherSdDays)).toBeLessThan(1.5)
  })

  it('turns with the hemisphere: half a year on, in days from 1 July', () => {
    const turned = { ...river, cos1C: -river.cos1C, sin1C: -river.sin1C }
    expect(
      Math.abs(
        firstDayOf(windowsOf(olives, { model: turned, latitudeDeg: -44 })) - firstDayOf(windowsOf(olives)),
      ),
    ).toBeLessThan(4)
  })

  it('starts after the ice on the day that is noted for it, later where it is noted later', () => {
    const boatmen: DatedTrigger = {
      kind: 'iceOff',
      offsetDays: 6,
      withoutIceC: 5,
      spreadDays: 5,
      durationDays: 20,
    }
    const tarn = { model: { ...usualModel(months(8.2, 8.6)), curveSdC: 0 }, elevationM: 510 }
    const noted = (iceOffOn: string | null) => windowsOf(boatmen, { ...tarn, iceOffOn })
    const median = ({ onset }: EmergenceWindow) => onset[Math.floor(onset.length / 2)] ?? 0
    expect(Math.abs(median(noted('04-02')) - (dayOfMonthDay('04-02') + 6))).toBeLessThan(6)
    expect(median(noted('04-20')) - median(noted('04-02'))).toBeGreaterThan(10)
    expect(median(noted(null))).toBeLessThan(median(noted('04-20')))
  })

  it('says how many years never bring it', () => {
    expect(windowsOf({ ...olives, thresholdC: 16.5 }).noneShare).toBeGreaterThan(0.1)
  })

  it('gives the same for the same seed, with progress up to the end', () => {
    const work = emergenceWindows({ reaches: [reach()], broods: [{ stageKey: 'it', brood: 0, trigger: olives }], years: 100, seed: 11 }) // prettier-ignore
    const steps = []
    let step = work.next()
    while (!step.done) {
      steps.push(step.value.done)
      step = work.next()
    }
    expect(steps.at(-1)).toBe(1)
    expect(Math.min(...stepsOf(steps))).toBeGreaterThan(0)
    expect(step.value[0]?.windows[0]).toEqual(windowsOf(olives, {}, 100))
  })
})

describe('an emergence window', () => {
  const window: EmergenceWindow = {
    stageKey: 'it',
    brood: 0,
    onset: [60, 70, 74, 77, 79, 80, 82, 84, 87, 91, 100],
    weatherSdDays: 8,
    doubtSdDays: 10,
    durationDays: 30,
    noneShare: 0,
  }

  it('is unlikely before its first day, likely after its middle and over in the end', () => {
    expect(chanceOn(window, 55)).toBe(0)
    expect(chanceOn(window, 80)).toBeCloseTo(0.5, 6)
    expect(chanceOn(window, peakDayOf(window))).toBeGreaterThan(0.8)
    expect(chanceOn(window, 140)).toBe(0)
    expect(shareBefore(window.onset, 80)).toBeCloseTo(0.5, 6)
  })

  it('reaches over the end of the year', () => {
    const winter = { ...window, onset: window.onset.map((day) => day + 250), durationDays: 120 }
    expect(chanceOnDayOfYear(winter, 20)).toBeGreaterThan(0.9)
  })

  const note = (change: Partial<Note>): Note => ({ kind: 'firstSeen', day: 80, year: 2025, effortMinutes: 60, weight: 1, foretoldDay: null, ...change }) // prettier-ignore

  it('moves towards what was seen, the more with each year, and narrows', () => {
    const seen = [2023, 2024, 2025].map((year) => note({ year, day: 97 }))
    const shifts = [1, 2, 3].map((count) => learnShift(window, seen.slice(0, count)))
    expect(shifts[0]?.shiftDays).toBeGreaterThan(4)
    expect(shifts.map(({ shiftDays }) => shiftDays)).toEqual([...shifts].sort((a, b) => a.shiftDays - b.shiftDays).map(({ shiftDays }) => shiftDays)) // prettier-ignore
    expect(shifts[2]?.shiftDays).toBeLessThan(16)
    const sds = shifts.map(({ sdDays }) => sdDays)
    expect(Math.max(...stepsOf(sds))).toBeLessThan(0)
    const after = learnedWindow(window, shifts[2] ?? { shiftDays: 0, sdDays: 1, notes: 0 })
    expect(firstDayOf(after)).toBeGreaterThan(firstDayOf(window) + 8)
    expect((after.onset[9] ?? 0) - (after.onset[1] ?? 0)).toBeLessThan(
      (window.onset[9] ?? 0) - (window.onset[1] ?? 0),
    )
  })

  it('is never widened by notes that agree with it', () => {
    for (const kind of ['firstSeen', 'thick', 'lastSeen', 'absent', 'counted'] as const) {
      const day = { firstSeen: 82, thick: 90.5, lastSeen: 107, absent: 40, counted: 92 }[kind]
      expect(learnShift(window, [note({ kind, day })]).sdDays, kind).toBeLessThanOrEqual(10 + 1e-9)
    }
  })

  it('takes a search that found nothing as a sign that it is later, the more the longer it was', () => {
    const [short, long] = [10, 180].map((effortMinutes) =>
      learnShift(window, [note({ kind: 'absent', day: 88, effortMinutes })]),
    )
    expect(short?.shiftDays).toBeGreaterThan(0)
    expect(long?.shiftDays).toBeGreaterThan(short?.shiftDays ?? 0)
  })

  it('is moved less by a neighbouring water', () => {
    const [own, near] = [1, 0.35].map((weight) => learnShift(window, [note({ day: 97, weight })]).shiftDays)
    expect(near).toBeGreaterThan(1)
    expect(near).toBeLessThan((own ?? 0) * 0.7)
  })

  it('does better than a fixed date where the years’ own warmth foretells them', () => {
    const years = [70, 95, 78, 88, 74].map((foretoldDay, i) =>
      note({ year: 2020 + i, foretoldDay, day: foretoldDay + 11 }),
    )
    const test = leaveOneOut(window, years)
    expect(test?.years).toBe(5)
    expect(test?.engineDays).toBeLessThan(test?.fixedDateDays ?? 0)
    expect(leaveOneOut(window, years.slice(0, 1))).toBeNull()
  })
})

describe('towardsStart', () => {
  it('says how warm it is against a threshold, and what of the degree-days is there', () => {
    expect(towardsStart(olives, () => 5.5, 60)).toEqual({
      kind: 'threshold',
      tempC: 5.5,
      thresholdC: 6.8,
      rising: true,
    })
    const sums: DatedTrigger = {
      kind: 'degreeDays',
      baseC: 8,
      degreeDays: 120,
      startOn: '03-01',
      spreadDays: 9,
      durationDays: 35,
    }
    expect(towardsStart(sums, () => 10, dayOfMonthDay('03-10'))).toMatchObject({ sum: 20, wanted: 120 })
  })

  it('has nothing to say of daylight', () => {
    expect(
      towardsStart(
        {
          kind: 'dayLength',
          direction: 'falling',
          hours: 14,
          notBefore: '07-15',
          spreadDays: 9,
          durationDays: 40,
        },
        () => 9,
        60,
      ),
    ).toBeNull()
  })
})
