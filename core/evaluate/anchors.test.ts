import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { stepsOf } from '../testing/steps.ts'
import { evaluateFly } from './index.ts'

/**
 * The jig nymph of size 16 that was dropped and weighed, tied from what ships: slim dubbed body, copper rib of 35 mm,
 * 8 tail fibres of 6 mm, 0.8 m of thread.
 */
function dropped(bead: 'tungsten' | 'brass' | null, bulk = 0.3) {
  const thread = shippedMaterial('thread-nylon', '70', 'olive')
  return recipe(shippedMaterial('hook-jig-60', '16', 'bronze'), [
    ...(bead
      ? [{ key: 'bead', kind: 'bead' as const, material: shippedMaterial(`bead-${bead}-slotted`, '2.8', 'copper'), at: [0, 0.2] as const }]
      : []),
    { key: 'thread', kind: 'thread', material: thread, at: [0.1, 1] },
    { key: 'tail', kind: 'tail', material: shippedMaterial('fibre-speckled-cock', '', 'speckled'), at: [1, 1], fibreCount: 8, length: { mm: 6 } as never },
    { key: 'body', kind: 'body', material: shippedMaterial('dubbing-hare', '', 'natural'), at: [0.25, 1], bulk },
    { key: 'rib', kind: 'rib', material: shippedMaterial('wire-copper-rib', '0.12', 'copper'), at: [0.25, 1], turns: 6 },
  ])
} // prettier-ignore

function reckoned(made: ReturnType<typeof dropped>, tippetMm: number) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  const tippet =
    tippetMm > 0 ? { diameterMm: 0.13, densityMgPerMm3: 1.13, lengthMm: tippetMm, curlDeg: 0 } : null
  const report = evaluateFly(fly, { waterTempC: 10, tippet, wet: 'soaked', filmTreatment: 'none' })
  if (report.kind !== 'sinks') throw new Error(report.kind)
  return report
}
const speed = (made: ReturnType<typeof dropped>, tippetMm: number) => {
  const report = reckoned(made, tippetMm)
  return (report.trailing ?? report.free).sinkSpeedMmPerS.value
}

describe('the jig nymph that was dropped, as a dressing', () => {
  it('weighs 162 mg, 144 in water, within 10 %', () => {
    const { massMg, submergedMg } = reckoned(dropped('tungsten'), 0)
    expect(Math.abs(massMg.value / 162 - 1)).toBeLessThan(0.1)
    expect(Math.abs(submergedMg.value / 144 - 1)).toBeLessThan(0.1)
  })

  // Tied from what ships it is reckoned slower than it was dropped, most so free and without a bead: its dubbing has
  // more guard hairs than the 60 that were counted.
  it.each([
    ['free', dropped('tungsten'), 0, 570, 0.17],
    ['with half a metre', dropped('tungsten'), 500, 420, 0.15],
    ['with a metre', dropped('tungsten'), 1000, 340, 0.15],
    ['in brass', dropped('brass'), 500, 270, 0.15],
    ['without bead', dropped(null), 500, 110, 0.2],
  ] as const)('%s falls about as fast as it did', (_name, made, tippetMm, mmPerS, within) => {
    expect(Math.abs(speed(made, tippetMm) / mmPerS - 1)).toBeLessThan(within)
  })

  it('keeps the order of what was dropped: free, tippet, bulky, brass, bare', () => {
    const speeds = [
      speed(dropped('tungsten'), 0),
      speed(dropped('tungsten'), 500),
      speed(dropped('tungsten', 0.9), 500),
      speed(dropped('brass'), 500),
      speed(dropped(null), 500),
    ]
    expect(Math.max(...stepsOf(speeds))).toBeLessThan(0)
  })
})
