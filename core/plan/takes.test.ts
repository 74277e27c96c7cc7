import { describe, expect, it } from 'vitest'
import { poisson, randomFrom } from '../uncertainty/index.ts'
import { takesAnHour, trustIn } from './index.ts'

describe('takesAnHour', () => {
  it('holds 8 in 10 of the rates that could have made the count, by drawing them', () => {
    const random = randomFrom(4)
    // rates drawn so that every size of rate is about as common: then the posterior is the one that is meant
    let [held, all] = [0, 0]
    for (let i = 0; i < 6000; i += 1) {
      const rate = 0.5 * Math.exp(3 * random())
      const { low, high } = takesAnHour(poisson(random, rate * 4), 240)
      if (rate >= low && rate <= high) held += 1
      all += 1
    }
    expect(held / all).toBeGreaterThan(0.75)
    expect(held / all).toBeLessThan(0.86)
  })

  it('narrows with hours, and grows with takes', () => {
    const width = (takes: number, minutes: number) => {
      const { low, high } = takesAnHour(takes, minutes)
      return high - low
    }
    expect(width(20, 1200)).toBeLessThan(width(2, 120))
    expect(takesAnHour(6, 120).value).toBeGreaterThan(takesAnHour(2, 120).value)
    expect(takesAnHour(0, 0).low).toBeGreaterThanOrEqual(0)
    expect(takesAnHour(0, 600).high).toBeLessThan(0.3)
  })
})

describe('trustIn', () => {
  it('is earned: many takes in hours are, none in hours are poor, and little time says little', () => {
    expect(trustIn(takesAnHour(9, 240))).toBe('trusted')
    expect(trustIn(takesAnHour(1, 45))).toBe('promising')
    expect(trustIn(takesAnHour(0, 30))).toBe('promising')
    expect(trustIn(takesAnHour(0, 300))).toBe('poor')
    expect(trustIn(null)).toBe('notFished')
  })
})
