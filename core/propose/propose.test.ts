import { describe, expect, it } from 'vitest'
import { NOTHING_MEASURED } from '../calibrate/index.ts'
import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { jigNymph, shippedMaterial } from '../testing/shippedMaterial.ts'
import { proposeVariants } from './index.ts'
import type { ProposedVariant } from './index.ts'

const made = jigNymph()
const more = [
  shippedMaterial('hook-jig-60', '14', 'bronze'),
  shippedMaterial('hook-jig-60', '10', 'bronze'),
  shippedMaterial('bead-tungsten-slotted', '2.4', 'copper'),
  shippedMaterial('bead-tungsten-slotted', '4.6', 'copper'),
  shippedMaterial('bead-brass-slotted', '2.8', 'copper'),
  shippedMaterial('bead-brass-slotted', '2.8', 'silver'),
  shippedMaterial('bead-tungsten-drilled', '2.8', 'copper'),
]
const drawers = [...made.materials.values(), ...more]

function proposed(variants: readonly { key: string; hookMaterialId: string; swaps: readonly never[] }[]) {
  const work = proposeVariants({
    patterns: [{ key: 'jig', dressing: made.dressing, variants }],
    drawers,
    measured: NOTHING_MEASURED,
  })
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}
const beadOf = ({ swaps }: ProposedVariant) =>
  swaps.find(({ componentKey }) => componentKey === 'bead')?.materialId ?? 'bead-tungsten-slotted|2.8|copper'
const small = { key: 'small', hookMaterialId: made.variant.hookMaterialId, swaps: [] }

describe('proposeVariants', () => {
  const found = proposed([small])

  it('goes one size up or down and a step lighter or heavier, with beads that go on the same hook and in the same colour', () => {
    expect(found.map((one) => [one.hookMaterialId.split('|')[1], beadOf(one)])).toEqual([
      ['16', 'bead-tungsten-slotted|2.4|copper'],
      ['16', 'bead-brass-slotted|2.8|copper'],
      ['14', 'bead-tungsten-slotted|2.8|copper'],
      ['14', 'bead-tungsten-slotted|2.4|copper'],
      ['14', 'bead-brass-slotted|2.8|copper'],
    ])
  })

  it('proposes nothing that is there already, nor anything twice', () => {
    const large = { key: 'large', hookMaterialId: more[0]?.id ?? '', swaps: [] }
    const rest = proposed([small, large])
    const recipes = rest.map((one) => `${one.hookMaterialId} ${beadOf(one)}`)
    expect(recipes).not.toContain(`${large.hookMaterialId} bead-tungsten-slotted|2.8|copper`)
    expect(new Set(recipes).size).toBe(recipes.length)
  })

  it('reckons with each as with a fly that is there', () => {
    const light = found.find(
      (one) => beadOf(one).startsWith('bead-brass') && one.hookMaterialId.includes('|16|'),
    )
    if (!light) throw new Error('no brass')
    const fly = resolveDressing(made.dressing, light, new Map(drawers.map((drawer) => [drawer.id, drawer])))
    if (fly.kind !== 'fly') throw new Error('incomplete')
    expect(light.behaviour).toEqual(behaviourOf(evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })))
    expect(light.bill.find(({ materialId }) => materialId === 'bead-brass-slotted|2.8|copper')?.perFly).toBe(
      100,
    )
    expect(light.likeKey).toBe('small')
  })
})
