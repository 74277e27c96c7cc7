import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { normal, normalsFrom, randomFrom } from '../../uncertainty/index.ts'
import { epochDayOf, placeInYear } from '../calendar.ts'
import {
  amplitudeC, borrowSeasonal, curveC, curveSdOn, fitSeasonal, forecastC, layersOf, peakDay, tempAtDepthC, trendCPerDay, usualModel, yearAtHeight,
} from './index.ts' // prettier-ignore
import type { DayReading, SeasonalModel } from './index.ts'
import { stepsOf } from '../../testing/steps.ts'
import { mean } from '../../number/index.ts'
import { KIND_SD_C } from './seasonalModel.ts'

/** A year of readings of a known river: mean + amplitude × cos, days that follow one another, gaps. */
function made(
  { meanC = 9, amplitude = 6.2, peak = 209, sd = 1.1, persistence = 0.85, yearSd = 0 },
  { years = 1, gaps = 0.3, seed = 7, from = '2024-01-01' } = {},
): readonly DayReading[] {
  const random = randomFrom(seed)
  const first = epochDayOf(from)
  let anomaly = sd * normal(random)
  let year = yearSd * normal(random)
  return Array.from({ length: Math.round(365.25 * years) }, (_, i) => first + i).flatMap((day) => {
    anomaly = persistence * anomaly + sd * Math.sqrt(1 - persistence ** 2) * normal(random)
    const { dayOfYear } = placeInYear(day)
    if (dayOfYear === 0) year = yearSd * normal(random)
    const curve = meanC + amplitude * Math.cos((2 * Math.PI * (dayOfYear - peak)) / 365.25)
    return random() < gaps ? [] : [{ day, meanC: Math.max(curve + year + anomaly, 0) }]
  })
}

const months = (meanC: number, amplitude: number) =>
  Array.from(
    { length: 12 },
    (_, month) => meanC + amplitude * Math.cos((2 * Math.PI * (month * 30.4 + 15 - 209)) / 365.25),
  )
const kind = usualModel(months(10, 5))

describe('usualModel', () => {
  it('draws the months it was given', () => {
    expect(kind.meanC).toBeCloseTo(10, 1)
    expect(Math.abs(amplitudeC(kind) - 5)).toBeLessThan(0.1)
    expect(peakDay(kind)).toBeCloseTo(209, -1)
    expect(kind.basis).toBe('kind')
  })
})

describe('fitSeasonal', () => {
  it.each([1, 2, 3, 4, 5])(
    'recovers a river from a year of days with three in ten missing, seed %i',
    (seed) => {
      const fit = fitSeasonal(made({}, { seed }), kind)
      // the mean of a year with sd 1.1 and persistence 0.85 is itself known to 0.2 °C only
      expect(Math.abs(fit.meanC - 9)).toBeLessThan(0.6)
      expect(Math.abs(amplitudeC(fit) - 6.2)).toBeLessThan(0.6)
      expect(Math.abs(peakDay(fit) - 209)).toBeLessThan(7)
      // 255 such days tell as much as 21 that stand alone: the sd to ± 0.17, the persistence to ± 0.04 (one sd)
      expect(Math.abs(fit.noiseSdC - 1.1)).toBeLessThan(0.4)
      expect(Math.abs(fit.persistence - 0.85)).toBeLessThan(0.12)
      expect(mean(fit.curveSdC)).toBeLessThan(1)
    },
  )

  it('finds how far years lie apart once there are several', () => {
    const fit = fitSeasonal(made({ yearSd: 1 }, { years: 9, gaps: 0 }), kind)
    expect(fit.yearSdC).toBeGreaterThan(0.5)
    expect(fit.yearSdC).toBeLessThan(1.6)
  })

  it('takes a second harmonic only from readings through the year', () => {
    const skew = made({}).map(({ day, meanC }) => ({
      day,
      meanC: meanC + 0.9 * Math.cos((4 * Math.PI * placeInYear(day).dayOfYear) / 365.25) + 1,
    }))
    expect(fitSeasonal(skew, kind).cos2C).toBeGreaterThan(0.2)
    expect(fitSeasonal(skew.slice(0, 100), kind).cos2C).toBe(kind.cos2C)
  })

  it('narrows with one reading and moves a part of the way, and with none stays what it was', () => {
    const [reading] = made({ meanC: 6 }, { gaps: 0 })
    if (!reading) throw new Error('none')
    const one = fitSeasonal([reading], kind)
    const before = curveC(kind, 0)
    expect(mean(one.curveSdC)).toBeLessThan(mean(kind.curveSdC) + 1e-9)
    expect(curveC(one, 0)).toBeLessThan(before)
    expect(curveC(one, 0)).toBeGreaterThan(reading.meanC)
    expect(fitSeasonal([], kind)).toBe(kind)
  })

  it('has finite figures for any readings that a thermometer can give', () => {
    const reading = fc.record({
      day: fc.integer({ min: 15_000, max: 21_000 }),
      meanC: fc.double({ min: 0, max: 30, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.uniqueArray(reading, { selector: ({ day }) => day, maxLength: 80 }), (readings) => {
        const fit = fitSeasonal(
          [...readings].sort((a, b) => a.day - b.day),
          kind,
        )
        const { basis: _basis, ...figures } = fit
        return Object.values(figures).flat().every(Number.isFinite)
      }),
    )
  })
})

describe('borrowSeasonal', () => {
  const low: SeasonalModel = fitSeasonal(made({ meanC: 9.8, amplitude: 6.8 }, { years: 2 }), kind)
  const high: SeasonalModel = fitSeasonal(made({ meanC: 6.6, amplitude: 5 }, { years: 2 }), kind)

  it('is cooler and calmer higher up, and less sure the farther', () => {
    const lenders = [{ elevationM: 95, model: low }]
    const [near, far] = [borrowSeasonal(180, lenders), borrowSeasonal(430, lenders)]
    expect(near?.meanC).toBeLessThan(low.meanC)
    expect(far?.meanC).toBeLessThan(near?.meanC ?? 0)
    expect(mean(far?.curveSdC ?? [])).toBeGreaterThan(mean(near?.curveSdC ?? [9]))
    expect(near?.basis).toBe('borrowed')
  })

  it('lies between two lenders, nearer to the nearer one', () => {
    const between = borrowSeasonal(180, [
      { elevationM: 95, model: low },
      { elevationM: 430, model: high },
    ])
    expect(between?.meanC).toBeGreaterThan(high.meanC)
    expect(Math.abs((between?.meanC ?? 0) - 9)).toBeLessThan(0.8)
  })

  it('has nothing from those who only borrowed themselves', () => {
    expect(borrowSeasonal(180, [{ elevationM: 95, model: kind }])).toBeNull()
  })
})

describe('yearAtHeight', () => {
  it('is cooler by nine tenths of a degree a hundred metres up, calmer, and never below freezing', () => {
    const low = [3, 3, 5, 7, 10, 13, 15, 15, 12, 9, 6, 4]
    const high = yearAtHeight(low, 100, 300)
    expect(mean(high)).toBeCloseTo(mean(low) - 1.8, 1)
    expect(Math.max(...high) - Math.min(...high)).toBeLessThan(12)
    expect(yearAtHeight(low, 100, 100)).toEqual(low)
    expect(Math.min(...yearAtHeight(low, 0, 900))).toBe(0)
  })
})

describe('forecastC', () => {
  const model = fitSeasonal(made({}, { years: 2 }), kind)
  const day = epochDayOf('2026-06-04')
  const latest = { day, meanC: curveC(model, placeInYear(day).dayOfYear) + 3 }

  it('starts from the latest reading and relaxes to the season, less and less sure', () => {
    const ahead = [0, 1, 5, 20, 60].map((days) => forecastC(model, latest, day + days))
    expect(ahead[0]?.value).toBeCloseTo(latest.meanC, 6)
    // a thermometer held in at some hour is not the day's mean: about half a degree either side
    expect((ahead[0]?.high ?? 9) - (ahead[0]?.low ?? 0)).toBeCloseTo(2 * 1.2816 * 0.4, 2)
    const widths = ahead.map(({ low, high }) => high - low)
    expect(Math.min(...stepsOf(widths))).toBeGreaterThan(0)
    const last = ahead[4]
    expect(last?.value).toBeCloseTo(curveC(model, placeInYear(day + 60).dayOfYear), 1)
  })

  it('is the season alone without a reading', () => {
    expect(forecastC(model, null, day).value).toBeCloseTo(curveC(model, placeInYear(day).dayOfYear), 6)
  })
})

describe('trendCPerDay', () => {
  const rising = Array.from({ length: 7 }, (_, i) => ({ day: 100 + i, meanC: 9 + 0.3 * i }))

  it('is the slope of the last week, and null where half of it is missing', () => {
    expect(trendCPerDay(rising, 106)).toBeCloseTo(0.3, 9)
    expect(trendCPerDay(rising.slice(0, 3), 106)).toBeNull()
  })
})

describe('layersOf', () => {
  const spring = { warmestC: 17.5, cooling: false }
  const autumn = { warmestC: 17.5, cooling: true }

  it('ices over, turns over in spring, and lies in layers by its surface in summer', () => {
    expect(layersOf(0.2, 6000, autumn)).toMatchObject({ iced: true, deepC: 4 })
    expect(layersOf(5, 6000, spring)).toMatchObject({ mixed: true, deepC: 5 })
    const summer = layersOf(17, 6000, spring)
    expect(summer.mixed).toBe(false)
    expect(tempAtDepthC(summer, 6000, 1000)).toBe(17)
    expect(tempAtDepthC(summer, 6000, 12_000)).toBeLessThan(10)
    expect(tempAtDepthC(summer, 6000, 6000)).toBeCloseTo((17 + summer.deepC) / 2, 6)
  })

  it('turns over in autumn: of one warmth it lies in layers as it warms and is mixed as it cools', () => {
    expect(layersOf(11, 6000, spring).mixed).toBe(false)
    expect(layersOf(11, 6000, autumn)).toMatchObject({ mixed: true, deepC: 11 })
    expect(layersOf(15, 6000, autumn).mixed).toBe(false)
    // mixed until the ice
    for (const surfaceC of [10, 8, 6, 4, 2, 1])
      expect(layersOf(surfaceC, 6000, autumn).mixed, `${surfaceC}`).toBe(true)
  })

  it('is warmed through where it is too shallow for a thermocline', () => {
    expect(tempAtDepthC(layersOf(17, null, spring), null, 2000)).toBe(17)
  })
})

describe('bands', () => {
  /** A river that differs from its kind as rivers do, read on some days of some years; how often bands hold it. */
  function held(rivers: number, read: (day: number, year: number) => boolean, years: number) {
    const random = normalsFrom(randomFrom(23))
    let [curve, curves, day, days] = [0, 0, 0, 0]
    for (let river = 0; river < rivers; river += 1) {
      const [meanC, cos1C, sin1C, cos2C, sin2C] = (
        [kind.meanC, kind.cos1C, kind.sin1C, kind.cos2C, kind.sin2C] as const
      ).map((value, i) => value + (KIND_SD_C[i] ?? 0) * random()) as [number, number, number, number, number]
      const truth: SeasonalModel = { ...kind, meanC, cos1C, sin1C, cos2C, sin2C }
      const first = epochDayOf('2022-01-01')
      const lived: DayReading[] = []
      let off = 1.1 * random()
      let year = 0.7 * random()
      for (let n = 0; n < 365 * (years + 1); n += 1) {
        if (n % 365 === 0) year = 0.7 * random()
        lived.push({ day: first + n, meanC: curveC(truth, placeInYear(first + n).dayOfYear) + year + off })
        off = 0.85 * off + 1.1 * Math.sqrt(1 - 0.85 ** 2) * random()
      }
      const readings = lived.filter(
        ({ day: on }, n) => n < 365 * years && read(placeInYear(on).dayOfYear, Math.floor(n / 365)),
      )
      const fit = fitSeasonal(readings, kind)
      for (const middle of [15, 105, 196, 288]) {
        curves += 1
        curve +=
          Math.abs(curveC(fit, middle) - curveC(truth, middle)) <= 1.2816 * curveSdOn(fit, middle) ? 1 : 0
        const on = lived[365 * years + middle]!
        const { low, high } = forecastC(fit, readings.at(-1)!, on.day)
        days += 1
        day += on.meanC >= low && on.meanC <= high ? 1 : 0
      }
    }
    return { curve: curve / curves, day: day / days }
  }

  it.each([
    ['two months of one year', (day: number) => day > 120 && day < 181, 1],
    ['a year', () => true, 1],
    ['three summers', (day: number) => day > 120 && day < 270, 3],
  ])('hold the curve and the day in about eight of ten, from %s', (_, read, years) => {
    const share = held(90, read, years)
    expect(share.curve).toBeGreaterThan(0.72)
    expect(share.curve).toBeLessThan(0.9)
    expect(share.day).toBeGreaterThan(0.72)
    expect(share.day).toBeLessThan(0.9)
  })
})
