import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { drawFly } from './index.ts'

function drawn(made: ReturnType<typeof jigNymph>) {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  return { fly, drawing: drawFly(fly) }
}

describe('drawFly', () => {
  it('shows every component, as many rib turns as there are, and the same each time', () => {
    const { drawing } = drawn(jigNymph())
    const keys = new Set(drawing.shapes.map(({ key }) => key))
    for (const key of ['hook', 'bead', 'thread', 'tail', 'body', 'rib', 'collar']) expect(keys).toContain(key)
    expect(drawing.shapes.filter(({ key }) => key === 'rib')).toHaveLength(5)
    expect(drawn(jigNymph()).drawing).toEqual(drawing)
  })

  it('is to scale: the box holds shank and tail, and a larger hook is drawn larger', () => {
    const small = drawn(jigNymph('bead-tungsten-slotted', '2.4', '18'))
    const large = drawn(jigNymph('bead-tungsten-slotted', '3.3', '14'))
    expect(small.drawing.widthMm).toBeGreaterThan(small.fly.hook.shankMm * (1 + 2 / 3))
    expect(large.drawing.widthMm).toBeGreaterThan(small.drawing.widthMm)
  })

  it('has no path without figures', () => {
    for (const made of [jigNymph(), hackledDry()]) {
      for (const { path } of drawn(made).drawing.shapes) expect(path).toMatch(/^M[-\d]/)
      for (const { path } of drawn(made).drawing.shapes) expect(path).not.toContain('NaN')
    }
  })
})
