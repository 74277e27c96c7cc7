import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clamp, degrees, mean, median, middleOf, quantile, radians, sum, Z_80 } from './index.ts'

describe('what every module counts with', () => {
  it('has four fifths of a normal within ± Z_80', () => {
    // Φ by Simpson's rule over the density, 2,000 steps: an answer from elsewhere than the constant
    const steps = 2000
    const density = (x: number) => Math.exp(-(x ** 2) / 2) / Math.sqrt(2 * Math.PI)
    const h = (2 * Z_80) / steps
    let area = 0
    for (let i = 0; i <= steps; i += 1)
      area += density(-Z_80 + i * h) * (i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2)
    expect((area * h) / 3).toBeCloseTo(0.8, 10)
  })

  it('takes quantiles straight between neighbours, as Hyndman and Fan’s seventh has it', () => {
    expect(quantile([1, 2, 4, 8], 0)).toBe(1)
    expect(quantile([1, 2, 4, 8], 1)).toBe(8)
    expect(quantile([1, 2, 4, 8], 0.5)).toBe(3)
    expect(quantile([1, 2, 4, 8], 0.1)).toBeCloseTo(1.3, 12)
    expect(quantile([5], 0.9)).toBe(5)
    expect(quantile([], 0.5)).toBe(0)
  })

  it('finds the middle without changing the row', () => {
    const row = [9, 1, 5, 3]
    expect(median(row)).toBe(4)
    expect(middleOf(row)).toBe(5)
    expect(middleOf([2, 1, 3])).toBe(2)
    expect([median([]), middleOf([])]).toEqual([0, 0])
    expect(row).toEqual([9, 1, 5, 3])
  })

  it('keeps a median between least and most, with as many below as above', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1 }), (row) => {
        const middle = median(row)
        const below = row.filter((value) => value < middle).length
        const above = row.filter((value) => value > middle).length
        expect(below).toBeLessThanOrEqual(row.length / 2)
        expect(above).toBeLessThanOrEqual(row.length / 2)
        expect(row).toContain(middleOf(row))
      }),
      { seed: 20260604 },
    )
  })

  it('turns degrees to radians and back, sums, takes means and holds within bounds', () => {
    expect(radians(180)).toBe(Math.PI)
    expect(degrees(Math.PI / 6)).toBeCloseTo(30, 12)
    expect([sum([1, 2, 3.5]), sum([]), mean([1, 2, 6])]).toEqual([6.5, 0, 3])
    expect([clamp(-1, 0, 1), clamp(0.4, 0, 1), clamp(7, 0, 1)]).toEqual([0, 0.4, 1])
  })
})
