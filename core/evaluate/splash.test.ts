import { describe, expect, it } from 'vitest'
import { ringOfAxes } from '../sink/index.ts'
import type { DragElement } from '../sink/index.ts'
import { GRAVITY_MM_PER_S2 } from '../water/index.ts'
import { airDragMgPerMm, splashEnergyMicroJ, splashOf } from './splash.ts'

const ball = (diameterMm: number): DragElement => ({
  kind: 'sphere',
  at: { xMm: 0, yMm: 0 },
  diameterMm,
  count: 1,
})
const hackle = (count: number, lengthMm: number): DragElement => ({
  kind: 'strands',
  at: { xMm: 0, yMm: 0 },
  count,
  diameterMm: 0.045,
  lengthMm,
  axes: ringOfAxes(90),
  foldExponent: 0,
  envelope: null,
})

/** Energy after 0.3 m against c v², stepped in small times; µJ. */
function stepped(massMg: number, airDrag: number): number {
  let [fallen, speed] = [0, 0]
  for (const dt = 1e-5; fallen < 300; fallen += speed * dt)
    speed += (GRAVITY_MM_PER_S2 - (airDrag * speed ** 2) / massMg) * dt
  return (0.5 * massMg * speed ** 2) / 1e6
}

describe('splash', () => {
  it('of a ball of tungsten is what it weighs times the drop: air hardly holds it', () => {
    // 4 mm, 33.5 mm³ at 18 mg/mm³: 603 mg, 603 × 9806.65 × 300 mm
    const energy = splashEnergyMicroJ(603, airDragMgPerMm([ball(4)]))
    expect(energy).toBeGreaterThan(0.99 * 1774)
    expect(energy).toBeLessThan(1774)
    expect(splashOf(603, airDragMgPerMm([ball(4)])).word).toBe('thuds')
  })

  it('knows the area that meets the air: 60 barbs of 6 mm take more than a fifth from a fly of 17 mg', () => {
    // a barb of 0.045 mm at 1.7 m/s has Re 5 and a coefficient of about 3.6; in a ring half of 16 mm² counts:
    // c = 0.017 mg/mm, x = 0.6, a share of 0.75, a little less with the friction along those that lie in the flow
    const share =
      splashEnergyMicroJ(17, airDragMgPerMm([hackle(60, 6)])) / ((17 * GRAVITY_MM_PER_S2 * 300) / 1e6)
    expect(share).toBeGreaterThan(0.65)
    expect(share).toBeLessThan(0.8)
  })

  it('is the fall from rest against the air, by small steps too', () => {
    for (const [mass, drag] of [
      [17, 0.02],
      [40, 0.05],
      [200, 0.004],
    ] as const) {
      expect(splashEnergyMicroJ(mass, drag) / stepped(mass, drag)).toBeCloseTo(1, 2)
    }
  })

  it('is softer the more hackle there is, at one weight', () => {
    const energies = [0, 20, 60, 120].map((count) =>
      splashEnergyMicroJ(40, airDragMgPerMm([ball(2), hackle(count, 6)])),
    )
    expect([...energies].sort((a, b) => b - a)).toEqual(energies)
    expect(new Set(energies).size).toBe(4)
  })
})
