import { describe, expect, it } from 'vitest'
import { rowsOfSlits, slitsInARow, slitsOf } from './slitLayout.ts'

describe('slits of a box', () => {
  it('takes a slit for a small fly and several for a long one', () => {
    expect([6, 15, 17, 19, 40].map(slitsOf)).toEqual([1, 1, 1, 2, 3])
  })

  it('has as many in a row as the leaf has room for, and no more than there are', () => {
    expect(slitsInARow(340, 56, 12)).toBe(6)
    expect(slitsInARow(700, 56, 12)).toBe(12)
    expect(slitsInARow(700, 56, 4)).toBe(4)
    expect(slitsInARow(30, 56, 12)).toBe(1)
    expect(slitsInARow(340, 56, null)).toBe(6)
  })

  it('keeps the rows that the compartment has, full or empty, and adds where more lies in it', () => {
    expect(rowsOfSlits([], 6, 12)).toBe(2)
    expect(rowsOfSlits([{ each: 1, count: 3 }], 6, 12)).toBe(2)
    expect(rowsOfSlits([{ each: 1, count: 4 }, { each: 1, count: 3 }], 6, null)).toBe(2) // prettier-ignore
    expect(rowsOfSlits([{ each: 1, count: 14 }], 6, 12)).toBe(3)
    expect(rowsOfSlits([{ each: 3, count: 3 }], 6, null)).toBe(2)
    expect(rowsOfSlits([{ each: 9, count: 2 }], 6, null)).toBe(2)
  })
})
