import { describe, expect, it } from 'vitest'
import { turned, turnedBox, turnOf } from './posed.ts'

const EYE = { x: -10, y: 0 }

describe('a fly that is turned', () => {
  it('has its eye below at 90 degrees nose down, above at as many up, and at the right upside down', () => {
    const eyeAt = (noseDownDeg: number) => turned(EYE, turnOf({ kind: 'falls', noseDownDeg }))
    expect(eyeAt(0)).toEqual(EYE)
    expect(eyeAt(90).y).toBeCloseTo(10, 9)
    expect(eyeAt(-90).y).toBeCloseTo(-10, 9)
    expect(eyeAt(180).x).toBeCloseTo(10, 9)
    // the point, below the shank, is above it then
    expect(turned({ x: 5, y: 4 }, turnOf({ kind: 'hangs', noseDownDeg: 180 })).y).toBeCloseTo(-4, 9)
  })

  it('rides level', () => expect(turnOf({ kind: 'rides', shankMm: 3 })).toBe(0))

  it('lies within the turned box, which is as large on its side', () => {
    const box = { left: -12, top: -6, width: 30, height: 10 }
    expect(turnedBox(box, 0)).toEqual(box)
    const onEnd = turnedBox(box, 90)
    expect([onEnd.width, onEnd.height]).toEqual([expect.closeTo(10, 9), expect.closeTo(30, 9)])
    const leaning = turnedBox(box, 30)
    for (const corner of [EYE, { x: 18, y: 4 }]) {
      const at = turned(corner, 30)
      expect(at.x).toBeGreaterThanOrEqual(leaning.left - 1e-9)
      expect(at.y).toBeLessThanOrEqual(leaning.top + leaning.height + 1e-9)
    }
  })
})
