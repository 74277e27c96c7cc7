import { describe, expect, it } from 'vitest'
import { filmBelowEyeMm, turned, turnedBox, turnOf } from './posed.ts'

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

  it('below the film has the film where its tuft goes through it, tail down', () => {
    const pose = { kind: 'hangsBelow', noseDownDeg: -60, filmAt: { xMm: 2, yMm: 1 } } as const
    // the place goes with the turn: sixty degrees clockwise about the eye
    expect(filmBelowEyeMm(pose)).toBeCloseTo(2 * Math.sin(Math.PI / 3) - Math.cos(Math.PI / 3), 9)
    expect(turned({ x: 9, y: 0 }, turnOf(pose)).y).toBeGreaterThan(filmBelowEyeMm(pose) ?? Infinity)
    expect(filmBelowEyeMm({ kind: 'falls', noseDownDeg: 30 })).toBeNull()
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
