import { describe, expect, it } from 'vitest'
import { leaf, lineThrough } from './pen.ts'

describe('path data', () => {
  it('goes by steps from where the pen stood, in the fewest signs', () => {
    expect(lineThrough([[123, -4], [120, 6], [120, 106]])).toBe('M 12.3-.4l-.3 1 0 10') // prettier-ignore
    expect(lineThrough([[0, 0]])).toBe('M 0 0')
    expect(lineThrough([])).toBe('')
  })

  it('of a hair comes back to its root', () => {
    expect(leaf([10, 0], [20, 10], [30, 0], [20, 8], [10, -2])).toBe('M 1 0q 1 1 2 0-1 .8-2-.2z')
  })
})
