import { describe, expect, it } from 'vitest'
import { curveC, epochDayOf, mean, usualModel, usualSwing } from '../../../core/index.ts'
import { gauge } from './gauge.ts'

const model = usualModel(Array.from({ length: 12 }, (_, month) => 9 - 6 * Math.cos((Math.PI * month) / 6)))
const today = '2026-06-04'

const swing = usualSwing({ waterKind: 'freestone', latitudeDeg: 54, depthMm: 300 })

describe('the simulated gauge', () => {
  const rows = gauge({ model, latest: null, swing }, today)

  it('gives two days, hour by hour, the second of them today', () => {
    expect(rows).toHaveLength(48)
    expect(rows[0]?.slice(0, 2)).toEqual([epochDayOf(today) - 1, 0])
    expect(rows[47]?.slice(0, 2)).toEqual([epochDayOf(today), 23 * 60])
  })

  it('is about as warm as the season, warmest in the afternoon', () => {
    const temps = rows.slice(24).map(([, , hundredths]) => (hundredths ?? 0) / 100)
    expect(mean(temps)).toBeCloseTo(curveC(model, epochDayOf(today)), 0)
    const warmest = temps.indexOf(Math.max(...temps))
    expect(warmest).toBeGreaterThanOrEqual(13)
    expect(warmest).toBeLessThanOrEqual(20)
    expect(Math.max(...temps) - Math.min(...temps)).toBeGreaterThan(1.2)
  })

  it('rises and clouds with a shower at five, then falls and clears', () => {
    const levels = rows.map(([, , , level]) => level ?? 0)
    const sight = rows.map(([, , , , clarity]) => clarity ?? 0)
    expect(mean(levels.slice(0, 5))).toBeCloseTo(420, -1)
    expect(levels[5]).toBeGreaterThan(580)
    expect(levels[47]).toBeLessThan(450)
    expect(sight[4]).toBe(2000)
    expect(sight[5]).toBe(571)
    expect(sight.slice(5)).toEqual(sight.slice(5).toSorted((a, b) => a - b))
  })

  it('never says less than ice', () => {
    const frozen = usualModel(Array.from({ length: 12 }, () => 0))
    const cold = gauge({ model: frozen, latest: null, swing }, today)
    expect(Math.min(...cold.map(([, , hundredths]) => hundredths ?? -1))).toBe(0)
  })
})
