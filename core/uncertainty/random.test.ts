import { describe, expect, it } from 'vitest'
import { normalsFrom, poisson, randomFrom } from './index.ts'

const SAMPLES = 20_000

describe('poisson', () => {
  it.each([0.2, 1, 4, 30])('has mean and variance %d', (mean) => {
    const random = randomFrom(11)
    const counts = Array.from({ length: SAMPLES }, () => poisson(random, mean))
    const average = counts.reduce((sum, count) => sum + count, 0) / SAMPLES
    const variance = counts.reduce((sum, count) => sum + (count - average) ** 2, 0) / (SAMPLES - 1)
    // five standard errors of a mean and of a variance
    expect(Math.abs(average - mean)).toBeLessThan(5 * Math.sqrt(mean / SAMPLES))
    expect(Math.abs(variance - mean)).toBeLessThan(5 * Math.sqrt((mean + 2 * mean ** 2) / SAMPLES))
  })

  it('has as many noughts as e to the minus mean', () => {
    const random = randomFrom(3)
    const noughts = Array.from({ length: SAMPLES }, () => poisson(random, 0.7)).filter((count) => count === 0)
    expect(noughts.length / SAMPLES).toBeCloseTo(Math.exp(-0.7), 1)
  })
})

describe('normalsFrom', () => {
  it('lies within one and two standard deviations as often as it should', () => {
    const next = normalsFrom(randomFrom(5))
    const values = Array.from({ length: SAMPLES }, () => Math.abs(next()))
    const share = (within: number) => values.filter((value) => value < within).length / SAMPLES
    expect(share(1)).toBeCloseTo(0.6827, 1)
    expect(Math.abs(share(1.2816) - 0.8)).toBeLessThan(0.015)
    expect(Math.abs(share(2) - 0.9545)).toBeLessThan(0.01)
  })
})
