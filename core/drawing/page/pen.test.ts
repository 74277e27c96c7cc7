import { describe, expect, it } from 'vitest'
import { emptyPage } from './page.ts'
import type { Point } from './point.ts'

// a page of one dot to the mm: a mm is ten tenths of a dot, and up is less
const page = emptyPage(1)
const line = (...points: readonly Point[]) => page.open(points)

describe('path data', () => {
  it('goes by steps from where the pen stood, in the fewest signs', () => {
    expect(line([12.3, 0.4], [12, -0.6], [12, -10.6])).toBe('M 12.3-.4l-.3 1 0 10')
    expect(line([0, 0])).toBe('M 0 0')
    expect(line()).toBe('')
  })

  it('of something closed goes back to where it began', () => {
    expect(page.closed([[0, 0], [1, 0], [1, 1]])).toBe('M 0 0l 1 0 0-1z') // prettier-ignore
    expect(page.closed([])).toBe('')
  })

  it('of a hair goes out to its tip over one bend and back over another to its root', () => {
    // lying along the shank, a mm thick, straight: half a mm to each side at the root, eight tenths of it at the knee
    const hair = { root: [1, 0], angle: 0, lengthMm: 10, widthMm: 1, curl: 0 } as const
    expect(page.hair(hair)).toBe('M 1-.5q 5.2 .1 10 .5-4.8 .4-10 .5z')
  })
})
