import { describe, expect, it } from 'vitest'
import { ruleMarks } from './ruleMarks.ts'

describe('ruleMarks', () => {
  it('marks millimetres, each fifth long', () => {
    const { marks, name, lengthMm } = ruleMarks('mm')
    expect(marks.filter(({ isLong }) => isLong).map(({ atMm }) => atMm)).toEqual([0, 5, 10])
    expect([marks.length, name, lengthMm]).toEqual([11, '10 mm', 10])
  })

  it('marks sixteenths of an inch, each quarter long', () => {
    const { marks, lengthMm } = ruleMarks('in')
    expect(lengthMm).toBeCloseTo(12.7, 9)
    expect(marks.filter(({ isLong }) => isLong).map(({ atMm }) => atMm)).toEqual([0, 6.35, 12.7])
  })

  it('goes along a shank as far as there is one', () => {
    expect(ruleMarks('mm', 8.9).marks.at(-1)?.atMm).toBe(8)
    expect(ruleMarks('in', 8.9).marks).toHaveLength(6)
    expect(ruleMarks('in', 0.5).marks).toEqual([{ atMm: 0, isLong: true }])
  })
})
