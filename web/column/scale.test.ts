import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { depthAtShare, heightShare } from './scale.ts'

describe('depthAtShare', () => {
  it('takes a height back to its depth, in the lens and below it', () => {
    fc.assert(
      fc.property(fc.double({ min: -15, max: 2000, noNaN: true }), (depth) => {
        expect(depthAtShare(heightShare(depth, 2000), 2000)).toBeCloseTo(depth, 6)
      }),
    )
  })
})

describe('heightShare', () => {
  it('gives the lens a fifth, the film its place in it and the bed the end', () => {
    expect(heightShare(-15, 900)).toBe(0)
    expect(heightShare(0, 900)).toBeCloseTo(0.2 * (15 / 165), 9)
    expect(heightShare(150, 900)).toBeCloseTo(0.2, 9)
    expect(heightShare(900, 900)).toBe(1)
    expect(heightShare(5000, 900)).toBe(1)
  })

  it('never goes up with depth', () => {
    const depth = fc.double({ min: -15, max: 20_000, noNaN: true })
    fc.assert(
      fc.property(depth, depth, fc.integer({ min: 100, max: 20_000 }), (a, b, bed) =>
        a <= b ? heightShare(a, bed) <= heightShare(b, bed) : true,
      ),
      { seed: 5 },
    )
  })
})
