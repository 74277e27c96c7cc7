import { describe, expect, it } from 'vitest'
import { partsOf, resolveDressing } from '../dressing/index.ts'
import { shippedFamilies } from '../material/shipped/catalogue.ts'
import { cylinder, faceFlow, flowAt, flyDrag, terminalSpeed } from '../sink/index.ts'
import type { DragElement } from '../sink/index.ts'
import { recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { waterAt } from '../water/index.ts'
import { evaluateFly, LIST_CONDITIONS } from './index.ts'

const water = waterAt(10)
const DUBBINGS = shippedFamilies.filter(({ kind, massModel }) => kind === 'dubbing' && massModel === 'fibre')

function dubbed(family: string, bulk: number) {
  const made = recipe(shippedMaterial('hook-jig-60', '16', 'bronze'), [
    {
      key: 'bead',
      kind: 'bead',
      material: shippedMaterial('bead-brass-slotted', '2.8', 'copper'),
      at: [0, 0.2],
    },
    { key: 'thread', kind: 'thread', material: shippedMaterial('thread-nylon', '70'), at: [0.1, 1] },
    { key: 'body', kind: 'body', material: shippedMaterial(family), at: [0.25, 1], bulk },
  ])
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  return fly
}

const dragOf = (elements: readonly DragElement[], noseDownDeg: number, speed: number) =>
  flyDrag(
    {
      submergedMg: 1,
      inertiaMg: 1,
      facing: faceFlow(elements, flowAt(noseDownDeg)),
      dragMultiplier: 1,
      tippet: null,
      water,
    },
    speed,
  )

describe('a dubbed body', () => {
  it('drags with all its hair at most as a solid body of its whole outline, whatever it is dubbed with', () => {
    expect(DUBBINGS.length).toBeGreaterThan(10)
    for (const { key } of DUBBINGS)
      for (const bulk of [0.05, 0.3, 1]) {
        const { outerMm, fromMm, toMm, ...body } = dubbed(key, bulk).components.find(
          ({ key }) => key === 'body',
        )!
        const hair = partsOf(dubbed(key, bulk)).find(({ key }) => key === 'body')!.elements
        const stapleMm = body.material.family.physics.fibreLengthMm!.value
        // a hair at 45° reaches its length over √2 out on both sides, and none stands out by more than a mm or so
        const outlineMm = outerMm + Math.SQRT2 * Math.min(stapleMm, 1.5)
        const solid = (diameterMm: number): DragElement => ({
          kind: 'body',
          at: { xMm: 4, yMm: 0 },
          ...cylinder(diameterMm, toMm - fromMm),
        })
        for (const noseDownDeg of [90, 45, 0])
          for (const speed of [30, 200, 600]) {
            const all = dragOf([solid(outerMm), ...hair], noseDownDeg, speed)
            expect(all, `${key} ${bulk}`).toBeGreaterThanOrEqual(dragOf([solid(outerMm)], noseDownDeg, speed))
            expect(all, `${key} ${bulk}`).toBeLessThanOrEqual(
              dragOf([solid(outlineMm)], noseDownDeg, speed) * 1.001,
            )
          }
      }
  })

  it('falls about as fast of sparkle, wool or long synthetics as of hare at the same weight', () => {
    const fall = (family: string) => {
      const report = evaluateFly(dubbed(family, 0.3), { ...LIST_CONDITIONS, wet: 'soaked' })
      if (report.kind !== 'sinks') throw new Error(report.kind)
      return report.free.sinkSpeedMmPerS.value * Math.sqrt(100 / report.submergedMg.value)
    }
    const hare = fall('dubbing-hare')
    for (const family of ['coarse-sparkle', 'wool', 'long-synthetic', 'goat-like', 'uv-sparkle', 'seal-like'])
      expect(Math.abs(fall(`dubbing-${family}`) / hare - 1), family).toBeLessThan(0.2)
  })

  it('falls as fast where its bulk is split into steps, and tapers smoothly', () => {
    const stepped = (thicknesses: readonly number[]) => {
      const body = shippedMaterial('dubbing-mole-like')
      const made = recipe(shippedMaterial('hook-jig-60', '14', 'bronze'), [
        { key: 'bead', kind: 'bead', material: shippedMaterial('bead-brass-slotted', '2.8'), at: [0, 0.2] },
        ...thicknesses.map((bulk, i) => ({
          key: `step-${i}`,
          kind: 'body' as const,
          material: body,
          bulk,
          at: [0.2 + (0.8 * i) / thicknesses.length, 0.2 + (0.8 * (i + 1)) / thicknesses.length] as const,
        })),
      ])
      const fly = resolveDressing(made.dressing, made.variant, made.materials)
      if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
      const report = evaluateFly(fly, { ...LIST_CONDITIONS, wet: 'soaked' })
      if (report.kind !== 'sinks') throw new Error(report.kind)
      return terminalSpeed({ ...report.model, submergedMg: 100 })
    }
    const whole = stepped([0.4])
    expect(stepped([0.4, 0.4, 0.4, 0.4]) / whole).toBeCloseTo(1, 6)
    expect(Math.abs(stepped([0.401, 0.4, 0.401, 0.4]) / whole - 1)).toBeLessThan(0.01)
    // a taper from 0.5 to 0.3 in ever finer steps about the same mean
    const taper = (steps: number) =>
      stepped(Array.from({ length: steps }, (_, i) => 0.5 - (0.2 * (i + 0.5)) / steps))
    for (const steps of [4, 8, 16]) expect(Math.abs(taper(steps) / taper(2) - 1), `${steps}`).toBeLessThan(0.03)
  })

  it('falls the slower the more it is picked out: stiff furs behind soft ones', () => {
    const fall = (family: string) => {
      const fly = dubbed(family, 0.3)
      const report = evaluateFly(fly, { ...LIST_CONDITIONS, wet: 'soaked' })
      if (report.kind !== 'sinks') throw new Error(report.kind)
      return terminalSpeed({ ...report.model, submergedMg: 100, tippet: null })
    }
    expect(fall('dubbing-seal-like')).toBeLessThan(fall('dubbing-hare'))
    expect(fall('dubbing-hare')).toBeLessThan(fall('dubbing-mole-like'))
  })
})
