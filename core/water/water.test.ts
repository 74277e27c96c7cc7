import { describe, expect, it } from 'vitest'
import { waterAt } from './index.ts'

describe('waterAt', () => {
  it.each([
    [4, 0.99997, 1.567],
    [10, 0.9997, 1.306],
    [20, 0.9982, 1.002],
  ])('has the published density and viscosity at %s °C', (tempC, density, viscosity) => {
    const water = waterAt(tempC)
    expect(water.densityMgPerMm3).toBeCloseTo(density, 4)
    expect(water.viscosityMgPerMmS).toBeCloseTo(viscosity, 3)
  })

  it('has a surface tension of 74.2 mN/m at 10 °C', () => {
    expect(waterAt(10).surfaceTensionMgPerS2 / 1000).toBeCloseTo(74.2, 1)
  })

  it('is densest near 4 °C', () => {
    const at = (t: number) => waterAt(t).densityMgPerMm3
    expect(at(4)).toBeGreaterThan(at(3))
    expect(at(4)).toBeGreaterThan(at(5))
  })

  it.each([-0.1, 30.1, NaN])('refuses %s °C', (tempC) => {
    expect(() => waterAt(tempC)).toThrow(RangeError)
  })
})
