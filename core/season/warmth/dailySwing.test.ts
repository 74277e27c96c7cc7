import { describe, expect, it } from 'vitest'
import { mean } from '../../number/index.ts'
import { normalsFrom, randomFrom } from '../../uncertainty/index.ts'
import { epochDayOf, placeInYear } from '../calendar.ts'
import { aboveDayMeanC, curveC, curveSdOn, dayMeanOf, fitSeasonal, fitSwing, forecastC, swingShape, usualModel, usualSwing } from './index.ts' // prettier-ignore
import type { DaySum } from './index.ts'
import { KIND_SD_C } from './seasonalModel.ts'

const LATITUDE = 54
const river = usualSwing({ waterKind: 'freestone', latitudeDeg: LATITUDE, depthMm: 300 })
const JUNE = epochDayOf('2026-06-21')

/** Readings of a day as they are summed up. */
function summed(day: number, readings: readonly (readonly [localMin: number, tempC: number])[]): DaySum {
  const shapes = readings.map(([localMin]) => swingShape(localMin))
  return {
    day,
    count: readings.length,
    meanC: mean(readings.map(([, tempC]) => tempC)),
    shape: mean(shapes),
    shapeSq: mean(shapes.map((shape) => shape ** 2)),
    shapeTempC: mean(readings.map(([, tempC], i) => tempC * (shapes[i] ?? 0))),
  }
}

const hourly = (day: number, meanC: number, halfRangeC: number) =>
  summed(
    day,
    Array.from({ length: 24 }, (_, hour) => [hour * 60, meanC + halfRangeC * swingShape(hour * 60)] as const),
  )

describe('usualSwing', () => {
  it('is warmest late in the afternoon and coldest before dawn, and nought between', () => {
    expect(aboveDayMeanC(river, JUNE, 17 * 60)).toBeCloseTo(1.4, 2)
    expect(aboveDayMeanC(river, JUNE, 5 * 60)).toBeCloseTo(-1.4, 2)
    expect(aboveDayMeanC(river, JUNE, 11 * 60)).toBeCloseTo(0, 6)
  })

  it('follows the sun: a quarter of it in midwinter at 54°, turned round in the south', () => {
    const winter = epochDayOf('2026-12-21')
    // sine of the sun at noon: 54 − 23.4 and 54 + 23.4 degrees from the zenith
    const quarter = Math.cos((77.4 * Math.PI) / 180) / Math.cos((30.6 * Math.PI) / 180)
    expect(aboveDayMeanC(river, winter, 17 * 60) / 1.4).toBeCloseTo(quarter, 2)
    const south = { ...river, latitudeDeg: -LATITUDE }
    expect(aboveDayMeanC(south, winter, 17 * 60)).toBeCloseTo(1.4, 2)
  })

  it('fades with depth in water that stands, and not in a river', () => {
    const at = (depthMm: number, waterKind: 'reservoir' | 'freestone') =>
      usualSwing({ waterKind, latitudeDeg: LATITUDE, depthMm }).midsummerC
    expect(at(1500, 'reservoir')).toBeLessThan(at(300, 'reservoir') / 2)
    expect(at(1500, 'freestone')).toBe(at(300, 'freestone'))
  })
})

describe('dayMeanOf', () => {
  it('takes a reading at two for a degree above the mean of its day', () => {
    const { meanC, sdC = 0, hourSdC = 0 } = dayMeanOf(river, summed(JUNE, [[14 * 60, 15]]))
    // 1.4 × cos 45° = 0.99 °C above
    expect(meanC).toBeCloseTo(15 - 0.99, 2)
    // forty parts in a hundred of that are doubt of this water, fifty of the day's sun, 0.2 °C of the thermometer
    expect(hourSdC).toBeCloseTo(0.4, 2)
    expect(sdC).toBeCloseTo(Math.hypot(0.2, 0.396, 0.495), 2)
  })

  it('leaves a day that was read by the hour as it is, and is sure of it', () => {
    const { meanC, sdC = 9 } = dayMeanOf(river, hourly(JUNE, 14, 2))
    expect(meanC).toBeCloseTo(14, 6)
    expect(sdC).toBeCloseTo(0.2, 6)
  })
})

describe('fitSwing', () => {
  it('finds a swing unlike its kind from a fortnight by the hour, and is surer of it', () => {
    const days = Array.from({ length: 14 }, (_, i) => hourly(JUNE + i, 14 + 0.1 * i, 2.4))
    const fitted = fitSwing(river, days)
    expect(fitted.midsummerC).toBeGreaterThan(2.2)
    expect(fitted.midsummerC).toBeLessThan(2.45)
    expect(fitted.doubt).toBeLessThan(0.12)
    const one = dayMeanOf(fitted, summed(JUNE + 20, [[14 * 60, 16.2]]))
    expect(one.meanC).toBeCloseTo(14.55, 0)
  })

  it('learns nothing from one reading a day', () => {
    expect(fitSwing(river, [summed(JUNE, [[14 * 60, 15]]), summed(JUNE + 1, [[14 * 60, 19]])])).toEqual(river)
  })
})

describe('readings at two in the afternoon', () => {
  const kind = usualModel([3, 3.5, 5.5, 8, 11, 13.5, 15, 14.8, 12.5, 9.5, 6, 4])

  /** Rivers unlike their kind, with a swing unlike the kind's, read once a day; how bands of day means hold. */
  function held(byTheHour: (n: number) => boolean, read: (dayOfYear: number) => boolean) {
    const normal = normalsFrom(randomFrom(91))
    const first = epochDayOf('2025-01-01')
    const told = { curve: 0, day: 0, count: 0, offC: 0, plainOffC: 0 }
    for (let n = 0; n < 150; n += 1) {
      const [meanC, cos1C, sin1C] = ([kind.meanC, kind.cos1C, kind.sin1C] as const).map(
        (value, i) => value + (KIND_SD_C[i] ?? 0) * normal(),
      ) as [number, number, number]
      const truth = { ...kind, meanC, cos1C, sin1C }
      const swing = { ...river, midsummerC: Math.max(river.midsummerC * (1 + 0.4 * normal()), 0) }
      const year = kind.yearSdC * normal()
      let off = kind.noiseSdC * normal()
      const sums: DaySum[] = []
      const lived: number[] = []
      for (let i = 0; i < 365; i += 1) {
        const dayMean = Math.max(curveC(truth, i) + year + off, 0)
        lived.push(dayMean)
        const sunny = Math.max(1 + 0.5 * normal(), 0)
        const at = (localMin: number) =>
          [localMin, dayMean + sunny * aboveDayMeanC(swing, first + i, localMin) + 0.2 * normal()] as const
        if (read(i))
          sums.push(
            summed(first + i, byTheHour(i) ? Array.from({ length: 24 }, (_, h) => at(h * 60)) : [at(840)]),
          )
        off = kind.persistence * off + kind.noiseSdC * Math.sqrt(1 - kind.persistence ** 2) * normal()
      }
      const fitted = fitSwing(river, sums)
      const days = sums.map((sum) => dayMeanOf(fitted, sum))
      const model = fitSeasonal(days, kind)
      const plain = fitSeasonal(
        sums.map(({ day, meanC: readC }) => ({ day, meanC: readC })),
        kind,
      )
      const middle = 166
      const trueC = curveC(truth, placeInYear(first + middle).dayOfYear)
      const z = 1.2816
      told.count += 1
      told.curve += Math.abs(curveC(model, middle) - trueC) <= z * curveSdOn(model, middle) ? 1 : 0
      const latest = days.at(-1)!
      const { low, high } = forecastC(model, latest, latest.day)
      const was = lived[latest.day - first] ?? 0
      told.day += was >= low && was <= high ? 1 : 0
      told.offC += curveC(model, middle) - trueC
      told.plainOffC += curveC(plain, middle) - trueC
    }
    const share = (value: number) => value / told.count
    return {
      curve: share(told.curve),
      day: share(told.day),
      offC: share(told.offC),
      plainOffC: share(told.plainOffC),
    }
  }

  it.each([
    ['two months', () => false, (day: number) => day > 120 && day < 181],
    ['two months with a fortnight by the hour', (day: number) => day > 150 && day < 165, (day: number) => day > 120 && day < 181],
    ['a year', () => false, () => true],
  ] as const)('give the curve and the last day within their bands in about eight of ten: %s', (_, byTheHour, read) => {
    const share = held(byTheHour, read)
    expect(share.curve).toBeGreaterThan(0.72)
    expect(share.curve).toBeLessThan(0.88)
    expect(share.day).toBeGreaterThan(0.72)
    expect(share.day).toBeLessThan(0.88)
    // taken for means of their days they would have made June warmer than it is
    expect(share.plainOffC - share.offC).toBeGreaterThan(0.4)
    expect(Math.abs(share.offC)).toBeLessThan(0.3)
  }) // prettier-ignore
})
