import { describe, expect, it } from 'vitest'
import { trustIn, wantsNewKnots } from './index.ts'

describe('what knots are trusted with', () => {
  const fresh = { fishedMin: 0, days: 0, stuff: 'nylon' } as const
  const anOuting = 300
  it('is all of it when they are fresh, less by each hour and month, and never less than most of it', () => {
    expect(trustIn(fresh)).toBe(1)
    let before = 1
    for (let fishedMin = 60; fishedMin < 1200; fishedMin += 60) {
      const now = trustIn({ ...fresh, fishedMin })
      expect(now).toBeLessThan(before)
      before = now
    }
    expect(trustIn({ ...fresh, days: 90 })).toBeLessThan(1)
    expect(trustIn({ ...fresh, fishedMin: 100_000, days: 4000 })).toBe(0.6)
  })
  it('asks for new ones after two outings, not after one, nor after a winter at home', () => {
    expect(wantsNewKnots({ ...fresh, fishedMin: anOuting, days: 1 })).toBe(false)
    expect(wantsNewKnots({ ...fresh, fishedMin: 2 * anOuting, days: 8 })).toBe(true)
    expect(wantsNewKnots({ ...fresh, days: 180 })).toBe(false)
  })
  it('lasts longer in fluorocarbon, which light does not take', () => {
    const used = { fishedMin: 600, days: 0 }
    expect(trustIn({ ...used, stuff: 'fluorocarbon' })).toBeGreaterThan(
      trustIn({ ...used, stuff: 'copolymer' }),
    )
  })
})
