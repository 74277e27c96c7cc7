import { describe, expect, it } from 'vitest'
import { randomFrom } from '../uncertainty/index.ts'
import { ifWarmer, movedAlike } from './index.ts'

const rows = [
  { warmerC: -2, onIt: [0.1, 0.5], whatever: 0.4 },
  { warmerC: 0, onIt: [0.3, 0.3], whatever: 0.4 },
  { warmerC: 4, onIt: [0.7, 0.1], whatever: 0.2 },
]

describe('what fish are on were the water warmer', () => {
  it('is as worked out where that was done, and between them between', () => {
    for (const { warmerC, ...shares } of rows) expect(ifWarmer(rows, warmerC)).toEqual(shares)
    const { onIt, whatever } = ifWarmer(rows, 1)
    // a quarter of the way from 0 to 4
    expect(onIt[0]).toBeCloseTo(0.4, 12)
    expect(onIt[1]).toBeCloseTo(0.25, 12)
    expect(whatever).toBeCloseTo(0.35, 12)
    expect(ifWarmer(rows, -1).onIt[0]).toBeCloseTo(0.2, 12)
  })

  it('is held beyond the least and the most, and where one alone was worked out', () => {
    expect(ifWarmer(rows, -9).onIt).toEqual([0.1, 0.5])
    expect(ifWarmer(rows, 9).onIt).toEqual([0.7, 0.1])
    expect(ifWarmer(rows.slice(1, 2), 3).onIt).toEqual([0.3, 0.3])
  })

  it('sums to one wherever its ends do', () => {
    const random = randomFrom(3)
    for (let n = 0; n < 200; n += 1) {
      const { onIt, whatever } = ifWarmer(rows, 12 * random() - 6)
      expect(onIt.reduce((sum, share) => sum + share, whatever)).toBeCloseTo(1, 12)
    }
  })
})

describe('shares, moved as something else moves them', () => {
  it('take its factors, and are all the fish again', () => {
    const from = { onIt: [0.4, 0.2], whatever: 0.4 }
    const to = { onIt: [0.1, 0.3], whatever: 0.6 }
    expect(movedAlike(from, from, to).onIt[0]).toBeCloseTo(0.1, 12)
    // a quarter of 0.6, one and a half of 0.2 and of 0.2: 0.15, 0.3 and 0.3 of 0.75
    const moved = movedAlike({ onIt: [0.6, 0.2], whatever: 0.2 }, from, to)
    expect(moved.onIt.map((share) => Math.round(share * 1e6) / 1e6)).toEqual([0.2, 0.4])
    expect(moved.whatever).toBeCloseTo(0.4, 12)
  })

  it('stay where nothing is known of them', () => {
    const none = { onIt: [0, 0.5], whatever: 0.5 }
    expect(movedAlike({ onIt: [0.2, 0.4], whatever: 0.4 }, none, none).onIt[0]).toBeCloseTo(0.2, 12)
  })
})
