import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { labelsFor, leastShift } from './labelling.ts'

const room = { fromPx: 0, toPx: 600, rowPx: 20, furthestPx: 50 }

describe('leastShift', () => {
  it('leaves what has room where it wants to be', () => {
    expect(leastShift([10, 100, 300], room)).toEqual([10, 100, 300])
  })

  it('moves as little in all as can be: of three at one height the middle one stays', () => {
    expect(leastShift([100, 100, 100], room)).toEqual([80, 100, 120])
    expect(leastShift([100, 110], room)).toEqual([90, 110])
  })

  it('keeps them inside, apart and in their order', () => {
    const wanted = fc.array(fc.integer({ min: -40, max: 640 }), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(wanted, (values) => {
        const tops = leastShift(
          [...values].sort((a, b) => a - b),
          room,
        )
        return tops.every(
          (top, i) => top >= 0 && top <= 580 && (i === 0 || top - (tops[i - 1] ?? 0) >= 20 - 1e-9),
        )
      }),
      { seed: 3 },
    )
  })
})

describe('labelsFor', () => {
  const marks = fc.array(
    fc.record({ atPx: fc.integer({ min: 0, max: 600 }), rank: fc.integer({ min: 0, max: 99 }) }),
    {
      minLength: 1,
      maxLength: 60,
    },
  )

  it('names each mark once, by itself or in a group, none far from its mark and none over another', () => {
    fc.assert(
      fc.property(marks, (all) => {
        const labels = labelsFor(all, room)
        expect(labels.flatMap(({ of }) => of)).toHaveLength(all.length)
        expect(new Set(labels.flatMap(({ of }) => of))).toEqual(new Set(all))
        for (const [i, { topPx, atPx }] of labels.entries()) {
          expect(Math.abs(topPx + 10 - atPx)).toBeLessThanOrEqual(50)
          if (i > 0) expect(topPx - (labels[i - 1]?.topPx ?? 0)).toBeGreaterThanOrEqual(20 - 1e-9)
        }
      }),
      { seed: 3 },
    )
  })

  it('groups the least of a crowd and names the foremost', () => {
    const crowd = Array.from({ length: 14 }, (_, rank) => ({ atPx: 300, rank }))
    const labels = labelsFor(crowd, room)
    const groups = labels.filter(({ of }) => of.length > 1)
    expect(groups).toHaveLength(1)
    const grouped = groups[0]?.of.map(({ rank }) => rank) ?? []
    expect(Math.max(...grouped)).toBeLessThan(14 - (labels.length - 1) + 1)
    expect(labels.flatMap(({ of }) => (of.length === 1 ? of.map(({ rank }) => rank) : []))).toContain(13)
  })

  it('names the foremost of thousands at a few heights, and each once', () => {
    const heights = [5, 5, 5, 280, 290, 595]
    const thousands = Array.from({ length: 3000 }, (_, rank) => ({ atPx: heights[rank % 6] ?? 0, rank }))
    const labels = labelsFor(thousands, room)
    expect(new Set(labels.flatMap(({ of }) => of))).toEqual(new Set(thousands))
    expect(labels.length).toBeLessThanOrEqual(30)
    for (const [i, { topPx, atPx }] of labels.entries()) {
      expect(Math.abs(topPx + 10 - atPx)).toBeLessThanOrEqual(50)
      if (i > 0) expect(topPx - (labels[i - 1]?.topPx ?? 0)).toBeGreaterThanOrEqual(20 - 1e-9)
    }
    const named = labels.flatMap(({ of: [mark, ...others] }) => (mark && others.length === 0 ? [mark] : []))
    for (const height of [5, 595]) {
      const there = named.filter(({ atPx }) => atPx === height).map(({ rank }) => rank)
      const all = thousands.filter(({ atPx }) => atPx === height).map(({ rank }) => rank)
      expect(there.length).toBeGreaterThan(1)
      expect(there.sort((a, b) => b - a)).toEqual(all.slice(-there.length).reverse())
    }
  })

  it('groups nothing that has room', () => {
    const apart = [40, 120, 300, 590].map((atPx, rank) => ({ atPx, rank }))
    expect(labelsFor(apart, room).every(({ of }) => of.length === 1)).toBe(true)
  })
})
