import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Descent } from '../sink/index.ts'
import { intercept, leadTo, speedAtHeight } from './index.ts'

const steady = (mmPerS: number, toMm = 3000): Descent => ({
  points: [
    { timeS: 0, depthMm: 0, speedMmPerS: mmPerS },
    { timeS: toMm / mmPerS, depthMm: toMm, speedMmPerS: mmPerS },
  ],
  stretchedAtMm: null,
})
const stream = { depthMm: 900, surfaceMmPerS: 750, roughnessMm: 60 }

describe('speedAtHeight', () => {
  it('is nought at the bed, the surface speed at the top, and six tenths up about the mean', () => {
    expect(speedAtHeight(stream, 0)).toBe(0)
    expect(speedAtHeight(stream, 900)).toBeCloseTo(750, 9)
    expect(speedAtHeight(stream, 0.368 * 900) / 750).toBeGreaterThan(0.75)
  })
})

describe('leadTo', () => {
  it('follows the closed form of a steady fall through a logarithmic profile', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 900, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (fall, roughnessMm) => {
          const water = { ...stream, roughnessMm }
          const zero = roughnessMm / 30
          const whole = (900 + zero) * Math.log1p(900 / zero) - 900
          const closed = ((750 / Math.log1p(900 / zero)) * whole) / fall
          expect((leadTo(steady(fall), water, 900)?.leadMm ?? 0) / closed).toBeCloseTo(1, 1.9)
        },
      ),
      { seed: 8, numRuns: 60 },
    )
  })

  it('asks for less lead the faster the fly falls, and says which may never settle', () => {
    expect(leadTo(steady(500), stream, 900)?.leadMm).toBeLessThan(leadTo(steady(250), stream, 900)?.leadMm ?? 0)
    expect(leadTo(steady(500), stream, 900)?.settles).toBe(true)
    expect(leadTo(steady(60), stream, 900)?.settles).toBe(false)
  })

  it('is null for a fly that does not get there', () => {
    expect(leadTo(steady(200, 400), stream, 900)).toBeNull()
  })
})

describe('intercept', () => {
  it('leaves time to spare or passes above', () => {
    const fish = { awayMm: 6000, depthMm: 1500, speedMmPerS: 300 }
    expect(intercept(steady(300), fish)).toEqual({ aheadMm: 1500, spareS: 15 })
    expect(intercept(steady(50), fish)?.spareS).toBeLessThan(0)
    expect(intercept(steady(300, 1000), fish)).toBeNull()
  })
})
