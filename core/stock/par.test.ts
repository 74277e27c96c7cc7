import { describe, expect, it } from 'vitest'
import { belowPar, parOf, urgencyOf } from './index.ts'

describe('parOf', () => {
  it('is a variant’s own, else the usual one where it has a home, else none', () => {
    expect(parOf({ parCount: 12, hasHome: false }, 3)).toBe(12)
    expect(parOf({ parCount: 0, hasHome: true }, 3)).toBe(0)
    expect(parOf({ parCount: null, hasHome: true }, 4)).toBe(4)
    expect(parOf({ parCount: null, hasHome: true })).toBe(3)
    expect(parOf({ parCount: null, hasHome: false }, 4)).toBe(0)
  })

  it('is what holes are counted against', () => {
    const holes = belowPar([{ variantId: 'lantern', onHand: 1, parCount: null }], 6)
    expect(holes).toEqual([{ variantId: 'lantern', onHand: 1, par: 6, missing: 5 }])
    expect(belowPar([{ variantId: 'lantern', onHand: 6, parCount: null }], 6)).toEqual([])
  })
})

describe('urgencyOf', () => {
  it('is all that the foods ahead are worth where nothing is left, and more the emptier it is', () => {
    expect(urgencyOf({ missing: 6, par: 6 }, 0.5)).toBeCloseTo(0.5, 12)
    expect(urgencyOf({ missing: 3, par: 6 }, 0.5)).toBeCloseTo(0.325, 12)
    expect(urgencyOf({ missing: 1, par: 6 }, 0.5)).toBeLessThan(urgencyOf({ missing: 2, par: 6 }, 0.5))
    expect(urgencyOf({ missing: 6, par: 6 }, 0)).toBe(0)
  })

  it('is the same where the sums behind it differ by their last digit alone', () => {
    expect(urgencyOf({ missing: 6, par: 6 }, 0.1 + 0.2)).toBe(urgencyOf({ missing: 6, par: 6 }, 0.3))
  })
})
