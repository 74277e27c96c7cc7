import { describe, expect, it } from 'vitest'
import { shippedFoods } from './shipped/larder.ts'
import { bandRange, dateOf, epochDayOf, hourWeight, stageLikelihood, sunTimes, throughMonths } from './index.ts'
import type { FoodStage, ReachState } from './index.ts'

function stage(key: string): FoodStage {
  const found = shippedFoods.flatMap(({ stages }) => stages).find((candidate) => candidate.key === key)
  if (!found) throw new Error(`no stage ${key}`)
  return { ...found, id: key }
}

const bridge: ReachState = { waterKind: 'freestone', latitudeDeg: 54, longitudeDeg: -2, utcOffsetMinutes: 60 }
const june6 = epochDayOf('2026-06-06')

describe('calendar', () => {
  it('goes there and back', () => {
    expect(dateOf(epochDayOf('2028-02-29'))).toBe('2028-02-29')
    expect(() => epochDayOf('6 June')).toThrow(RangeError)
  })

  it('passes through the value of a month in its middle and keeps to the two around it', () => {
    const values = [0, 0, 0, 0, 1, 3, 0, 0, 0, 0, 0, 0]
    expect(throughMonths(values, epochDayOf('2026-05-16'))).toBeCloseTo(1, 1)
    const between = throughMonths(values, epochDayOf('2026-06-01'))
    expect(between).toBeGreaterThan(1)
    expect(between).toBeLessThan(3)
  })
})

describe('sunTimes', () => {
  it('knows the length of the longest day at 54° N: 17 h 4 min', () => {
    const sun = sunTimes(bridge, epochDayOf('2026-06-21'))
    expect((sun.sunsetLocalMin ?? 0) - (sun.sunriseLocalMin ?? 0)).toBeGreaterThan(1012)
    expect((sun.sunsetLocalMin ?? 0) - (sun.sunriseLocalMin ?? 0)).toBeLessThan(1036)
  })

  it('has no sunrise at midwinter beyond the polar circle', () => {
    expect(sunTimes({ ...bridge, latitudeDeg: 72 }, epochDayOf('2026-12-21')).sunriseLocalMin).toBeNull()
  })
})

describe('stageLikelihood', () => {
  const dun = stage('large-burrowing-mayfly-dun')

  it('expects large mayfly duns in June and none in January', () => {
    expect(stageLikelihood(dun, bridge, june6, 14 * 60, 'any').likelihood.value).toBeGreaterThan(0.3)
    const january = stageLikelihood(dun, bridge, epochDayOf('2026-01-15'), 14 * 60, 'any')
    expect(january.likelihood.value).toBe(0)
    expect(january.reasons[0]?.code).toBe('notThisMonth')
  })

  it('expects them in December south of the equator', () => {
    const south = { ...bridge, latitudeDeg: -42, longitudeDeg: 172, utcOffsetMinutes: 780 }
    expect(
      stageLikelihood(dun, south, epochDayOf('2026-12-06'), 14 * 60, 'any').likelihood.value,
    ).toBeGreaterThan(0.3)
    expect(stageLikelihood(dun, south, june6, 14 * 60, 'any').likelihood.value).toBe(0)
  })

  it('hardly expects them on an upland tarn', () => {
    const tarn = { ...bridge, waterKind: 'uplandTarn' as const }
    expect(stageLikelihood(dun, tarn, june6, 14 * 60, 'any').likelihood.value).toBeLessThan(0.1)
  })

  it('prefers the early afternoon to the small hours', () => {
    expect(hourWeight(dun, bridge, june6, 14 * 60, 'any')).toBe(1)
    expect(hourWeight(dun, bridge, june6, 3 * 60, 'any')).toBeLessThan(0.2)
  })

  it('keeps every likelihood of every shipped stage within 0 and 1, on every day', () => {
    for (const food of shippedFoods) {
      for (const shipped of food.stages) {
        for (let month = 1; month <= 12; month += 1) {
          const day = epochDayOf(`2026-${String(month).padStart(2, '0')}-10`)
          const { likelihood } = stageLikelihood({ ...shipped, id: shipped.key }, bridge, day, 720, 'any')
          expect(
            likelihood.low >= 0 && likelihood.low <= likelihood.value && likelihood.value <= likelihood.high,
          ).toBe(true)
          expect(likelihood.high).toBeLessThanOrEqual(1)
        }
      }
    }
  })
})

describe('bandRange', () => {
  it('keeps every band inside the water and in order of depth', () => {
    for (const bedMm of [200, 350, 900, 2000, 9000]) {
      const ranges = (['onFilm', 'inFilm', 'topHalfMetre', 'midWater', 'bottom'] as const).map((band) =>
        bandRange(band, bedMm, 'freestone'),
      )
      ranges.forEach(({ fromMm, toMm }) => expect(fromMm <= toMm && toMm <= bedMm).toBe(true))
      expect(ranges[4]?.toMm).toBe(bedMm)
    }
  })
})
