import { describe, expect, it } from 'vitest'
import { shippedFoods } from './shipped/larder.ts'
import { stepsOf } from '../testing/steps.ts'
import { bandRange, dateOf, epochDayOf, hourWeight, sunTimes, throughMonths } from './index.ts'
import type { FoodStage, Spot } from './index.ts'

function stage(key: string): FoodStage {
  const found = shippedFoods.flatMap(({ stages }) => stages).find((candidate) => candidate.key === key)
  if (!found) throw new Error(`no stage ${key}`)
  return { ...found, id: key }
}

const bridge: Spot = { latitudeDeg: 54, longitudeDeg: -2, utcOffsetMinutes: 60 }
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

describe('hourWeight', () => {
  const dun = stage('large-burrowing-mayfly-dun')

  it('prefers the early afternoon to the small hours, when a hundredth of it is left', () => {
    expect(hourWeight(dun, bridge, june6, 14 * 60, 'any')).toBe(1)
    expect(hourWeight(dun, bridge, june6, 3 * 60, 'any')).toBeLessThan(0.05)
  })

  it('swells and fades over minutes, never by more than a third in ten', () => {
    for (const key of [
      'large-burrowing-mayfly-spinner',
      'net-spinning-sedge-pupa',
      'large-lake-midge-pupa-rising',
    ]) {
      const day = Array.from({ length: 144 }, (_, i) => hourWeight(stage(key), bridge, june6, i * 10, 'any'))
      expect(Math.max(...stepsOf(day).map(Math.abs)), key).toBeLessThan(0.34)
      expect(Math.max(...day), key).toBeGreaterThan(0.55)
    }
  })

  it('keeps what comes at dusk where the sun does not set', () => {
    const north = { ...bridge, latitudeDeg: 69 }
    const day = Array.from({ length: 48 }, (_, i) =>
      hourWeight(stage('net-spinning-sedge-pupa'), north, epochDayOf('2026-07-01'), i * 30, 'any'),
    )
    expect(Math.max(...day)).toBeGreaterThan(0.5)
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
