import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { waterAt } from '../water/index.ts'
import { cylinder, hungNoseDownDeg, restingAttitude, ringOfAxes, weightCentre } from './index.ts'
import type { Balance, DragElement } from './index.ts'

const water = waterAt(10)
const ballAt = (xMm: number, yMm = 0): DragElement => ({
  kind: 'sphere',
  at: { xMm, yMm },
  diameterMm: 2.8,
  count: 1,
})
const tailAt = (xMm: number, yMm = 0, count = 20): DragElement => ({
  kind: 'strands',
  at: { xMm, yMm },
  count,
  diameterMm: 0.05,
  lengthMm: 6,
  axes: ringOfAxes(12),
  foldExponent: 0,
  envelope: null,
})
const fly = (elements: readonly DragElement[], xMm: number, yMm = 0): Balance => ({
  elements,
  weightAt: { xMm, yMm },
  submergedMg: 100,
  water,
})

describe('restingAttitude', () => {
  it('turns a fly nose down whose drag sits only at its tail', () => {
    const rest = restingAttitude(fly([tailAt(10)], 1))
    expect(rest.noseDownDeg).toBeCloseTo(90, 0)
    expect(rest.hold).toBe('steady')
  })

  it('turns a fly bend down whose drag sits at its head', () => {
    expect(restingAttitude(fly([ballAt(0)], 6)).noseDownDeg).toBeCloseTo(-90, 0)
  })

  it('mirrors the attitude of a mirrored fly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 12, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        (xMm, yMm) => {
          const upright = restingAttitude(fly([ballAt(1, 0.1), tailAt(9, 0.4)], xMm, -yMm))
          const mirrored = restingAttitude(fly([ballAt(1, -0.1), tailAt(9, -0.4)], xMm, yMm))
          const difference = upright.noseDownDeg + mirrored.noseDownDeg - 180
          expect(Math.abs(((difference + 540) % 360) - 180)).toBeLessThan(0.3)
        },
      ),
      { seed: 7, numRuns: 60 },
    )
  })

  it('keeps the heavier side below', () => {
    const level = [ballAt(5)]
    expect(Math.abs(restingAttitude(fly(level, 5, -1)).noseDownDeg)).toBeLessThan(2)
    expect(Math.abs(restingAttitude(fly(level, 5, 1)).noseDownDeg)).toBeGreaterThan(178)
  })

  it('lets a bare slender body lie across its fall', () => {
    const body: DragElement = { kind: 'body', at: { xMm: 5, yMm: 0 }, ...cylinder(1, 10) }
    expect(Math.abs(restingAttitude(fly([body], 5, -0.001)).noseDownDeg)).toBeLessThan(2)
  })
})

describe('hungNoseDownDeg', () => {
  const eye = { xMm: 0, yMm: 0 }
  it('hangs a fly by its head, and one with its weight below the eye level', () => {
    expect(hungNoseDownDeg([{ submergedMg: 5, xMm: 8, yMm: 0 }], eye)).toBeCloseTo(-90, 6)
    expect(hungNoseDownDeg([{ submergedMg: 5, xMm: 0, yMm: -2 }], eye)).toBeCloseTo(0, 6)
  })

  it('turns a fly over whose weight lies across the shank from its eye, as on a jig hook', () => {
    expect(Math.abs(hungNoseDownDeg([{ submergedMg: 5, xMm: 0, yMm: 1 }], { xMm: 0, yMm: -1 }))).toBeCloseTo(
      180,
      6,
    )
  })

  it('takes its moment about the eye: two loads balance as on a beam', () => {
    const loads = [
      { submergedMg: 300, xMm: -2, yMm: -1 },
      { submergedMg: 100, xMm: 6, yMm: -1 },
    ]
    expect(hungNoseDownDeg(loads, eye)).toBeCloseTo(0, 6)
    expect(weightCentre(loads)).toEqual({ xMm: 0, yMm: -1 })
  })
})
