import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { normal, randomFrom } from '../../uncertainty/index.ts'
import { epochDayOf, placeInYear } from '../calendar.ts'
import {
  amplitudeC, borrowSeasonal, curveC, fitSeasonal, forecastC, layersOf, peakDay, tempAtDepthC, trendCPerDay, usualModel,
} from './index.ts' // prettier-ignore
import type { DayReading, SeasonalModel } from './index.ts'
import { stepsOf } from '../../testing/steps.ts'

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
      expect(fit.curveSdC).toBeLessThan(0.5)
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
    expect(fitSeasonal(skew, kind).cos2C).toBeGreaterThan(0.3)
    expect(fitSeasonal(skew.slice(0, 100), kind).cos2C).toBe(kind.cos2C)
  })

  it('narrows with one reading and moves a part of the way, and with none stays what it was', () => {
    const [reading] = made({ meanC: 6 }, { gaps: 0 })
    if (!reading) throw new Error('none')
    const one = fitSeasonal([reading], kind)
    const before = curveC(kind, 0)
    expect(one.curveSdC).toBeLessThan(kind.curveSdC + 1e-9)
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
        return Object.values(figures).every(Number.isFinite)
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
    expect(far?.curveSdC).toBeGreaterThan(near?.curveSdC ?? 9)
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
  it('ices over, turns over, and lies in layers by its surface', () => {
    expect(layersOf(0.2, 6000)).toMatchObject({ iced: true, deepC: 4 })
    expect(layersOf(5, 6000)).toMatchObject({ mixed: true, deepC: 5 })
    const summer = layersOf(17, 6000)
    expect(summer.mixed).toBe(false)
    expect(tempAtDepthC(summer, 6000, 1000)).toBe(17)
    expect(tempAtDepthC(summer, 6000, 12_000)).toBeLessThan(10)
    expect(tempAtDepthC(summer, 6000, 6000)).toBeCloseTo((17 + summer.deepC) / 2, 6)
  })

  it('is warmed through where it is too shallow for a thermocline', () => {
    expect(tempAtDepthC(layersOf(17, null), null, 2000)).toBe(17)
  })
})
