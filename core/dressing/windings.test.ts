import { describe, expect, it } from 'vitest'
import { billOfMaterials } from '../bench/index.ts'
import { shippedMaterial } from '../testing/shippedMaterial.ts'
import { makeBead, newLine, partsOf, resolveDressing } from './index.ts'
import type { Component, ComponentKind } from './index.ts'

const thread = shippedMaterial('thread-nylon', '70')

/** One line over the thread on a hook, resolved, with its part and what it takes. */
function tied(
  kind: ComponentKind,
  family: string,
  size = '',
  said: Partial<Component> = {},
  hook: readonly [string, string] = ['hook-straight', '14'],
) {
  const it = shippedMaterial(family, size)
  const hookMaterial = shippedMaterial(hook[0], hook[1])
  const first = newLine({ kind: 'thread' }, thread, [])
  const line = newLine({ ...said, kind }, it, [first])
  const materials = new Map([thread, it, hookMaterial].map((material) => [material.id, material]))
  const fly = resolveDressing(
    { components: [first, line], steps: null },
    { hookMaterialId: hookMaterial.id, swaps: [] },
    materials,
  )
  if (fly.kind !== 'fly') throw new Error(JSON.stringify(fly.missing))
  const component = fly.components.find(({ key }) => key === line.key)
  const part = partsOf(fly).find(({ key }) => key === line.key)
  if (!component || !part) throw new Error('no such part')
  const takes = billOfMaterials(fly).find(({ materialId }) => materialId === it.id)?.perFly ?? 0
  return { component, part, takes, overMm: component.toMm - component.fromMm, hook: fly.hook }
}

describe('barbs wound as a body', () => {
  // A barb of 0.1 mm that fills 0.35 of its cell has one of 0.150 mm: on a #14, 6.4 mm covered once over 0.65 mm of
  // shank take 6.4 ÷ 0.150 × π × 0.80 = 107 mm of it, one and a half deep 161 mm: four of 38 mm.
  it('take as many as cover the place one and a half deep', () => {
    const { component, overMm } = tied('body', 'fibre-game-tail')
    expect(overMm).toBeCloseTo(6.4, 0)
    expect(component.fibreCount).toBe(4)
    expect(component.derived).toContain('fibreCount')
    expect(
      tied('body', 'fibre-game-tail', '', {}, ['hook-straight', '10']).component.fibreCount,
    ).toBeGreaterThan(5)
    expect(tied('body', 'fibre-game-tail', '', {}, ['hook-straight', '18']).component.fibreCount).toBeLessThan(
      4,
    )
  })

  it('weigh what fills their share of what they cover', () => {
    const { component, part, overMm } = tied('body', 'fibre-game-tail')
    const { coreMm, outerMm } = component
    const coveredMm3 = (Math.PI / 4) * (outerMm ** 2 - coreMm ** 2) * overMm
    // tapered: a mean mm of it weighs 0.00759 mg, a mm at its root 0.0102
    const byVolume = coveredMm3 * 0.35 * 1.3 * (0.00759 / ((Math.PI / 4) * 0.1 ** 2 * 1.3))
    expect(part.massMg / byVolume).toBeGreaterThan(0.9)
    expect(part.massMg / byVolume).toBeLessThan(1.1)
  })

  it('are thicker and heavier the more are tied in, three deep at most', () => {
    const of = (fibreCount: number) => tied('body', 'fibre-game-tail', '', { fibreCount })
    expect(of(6).component.outerMm).toBeGreaterThan(of(4).component.outerMm)
    expect(of(6).part.massMg).toBeGreaterThan(1.2 * of(4).part.massMg)
    expect(of(30).component.outerMm).toBe(of(60).component.outerMm)
    expect(of(60).component.outerMm - of(60).component.coreMm).toBeCloseTo(6 * 0.15, 1)
  })

  it('take so many hundredths of a tail', () => {
    expect(tied('body', 'fibre-game-tail').takes).toBe(Math.ceil((100 * 4) / 300))
    // a slip of 90 mm has 2.8 barbs on a mm
    expect(tied('wingCase', 'feather-slip-mottled', '', { fibreCount: 10 }).takes).toBe(
      Math.ceil(1000 / (90 * 2.8)),
    )
  })
})

describe('a strip wound as a body', () => {
  it('weighs its turns edge to edge', () => {
    const { component, part, overMm } = tied('body', 'strip-rabbit-crosscut', '3')
    const turns = overMm / 3
    const strandMm = turns * Math.hypot(Math.PI * (component.coreMm + 0.6), 3)
    expect(part.massMg).toBeCloseTo(strandMm * 2.49 * (3 / 3.2), 1)
    expect(part.drinks).toBe(true)
    expect(component.outerMm).toBeGreaterThan(component.coreMm + 1.2)
  })
})

describe('strands', () => {
  it('of rubber lie side by side', () => {
    const { component, part, overMm } = tied('body', 'vinyl-rib', '0.8')
    expect(component.turns).toBe(Math.floor(overMm / 0.8))
    expect(component.outerMm - component.coreMm).toBeCloseTo(0.8, 6)
    expect(part.massMg).toBeGreaterThan(5)
  })

  it('of two wires wound as one rib weigh and take twice as much', () => {
    const one = tied('rib', 'wire-copper-rib', '0.12', { turns: 5 })
    const two = tied('rib', 'wire-copper-rib', '0.12', { turns: 5, strands: 2 })
    expect(two.part.massMg / one.part.massMg).toBeCloseTo(2, 6)
    expect(two.takes / one.takes).toBeCloseTo(2, 1)
  })
})

describe('fibres drawn over a body', () => {
  it('weigh a tenth more than their place is long, and never a whole feather', () => {
    const { part, overMm, component } = tied('back', 'fibre-game-tail')
    expect(component.fibreCount).toBe(12)
    expect(part.massMg).toBeCloseTo(12 * 1.1 * overMm * 0.00759, 3)
    expect(tied('wingCase', 'feather-barred-flank').component.fibreCount).toBe(12)
    expect(tied('back', 'sheet-latex').component.fibreCount).toBeUndefined()
  })
})

describe('other goods in other places', () => {
  it('makes a wing of film a third as wide as long', () => {
    const { part, component } = tied('wing', 'sheet-wing-film', '', { strands: 1 })
    const lengthMm = component.lengthMm ?? 0
    expect(part.massMg).toBeCloseTo(0.35 * lengthMm ** 2 * 0.0279, 2)
  })

  it('puts a bead for an egg where it lies, as heavy as a bead', () => {
    const { part, component } = tied('egg', 'bead-egg', '5.0')
    expect(part.massMg).toBeCloseTo(makeBead(shippedMaterial('bead-egg', '5.0')).massMg, 3)
    expect(part.at.xMm).toBeGreaterThan(component.fromMm)
  })

  it('counts herls one by one, never all of a feather', () => {
    const tail = tied('tail', 'herl-ostrich')
    expect(tail.component.fibreCount).toBeLessThan(20)
    expect(tail.part.massMg).toBeLessThan(1)
    expect(tied('body', 'herl-peacock-long', '', { strands: 3 }).takes).toBe(Math.ceil(300 / 120))
  })

  // 6.4 mm of shank, a quill every third of a mm, one and a third deep: two herls of 40 mm, 0.017 mg a mm
  it('weighs of herl what was tied in, not what its flue takes up', () => {
    const { component, part } = tied('body', 'herl-peacock-long')
    expect(component.strands).toBe(2)
    expect(part.massMg / (2 * 40 * 0.0171)).toBeGreaterThan(0.85)
    expect(part.massMg / (2 * 40 * 0.0171)).toBeLessThan(1.25)
    // half of a flue of 2.2 mm stands out on each side, a fifth of it pressed
    expect(component.outerMm - component.coreMm).toBeCloseTo(1.2 * 2.2, 6)
    expect(tied('body', 'herl-peacock-long', '', { strands: 3 }).part.massMg).toBeGreaterThan(1.3 * part.massMg)
  })

  it('takes of down that is wound no more than its barbs weigh', () => {
    const { part, takes } = tied('body', 'cdc-feather')
    // 110 barbs of 11 mm, 0.03 mm thick, with 1.7 times their own mass of barbules: 1.9 mg a feather
    expect(takes / 100).toBeCloseTo(part.massMg / (110 * 11 * (Math.PI / 4) * 0.03 ** 2 * 1.3 * 1.7), 1)
  })

  it('floats spun hair and lets spun fur drink', () => {
    expect(tied('head', 'hair-deer-body').part.holdsUp).toBe(true)
    expect(tied('body', 'marabou-plume').part.drinks).toBe(true)
  })
})

describe('foam', () => {
  // a #12 beetle: 10.2 mm of shank, 0.85 of it covered by a back of 2 mm sheet, of which what lies free keeps 0.85
  it('has a width: a strip twice as wide holds twice as much air', () => {
    const of = (widthMm?: number) =>
      tied('back', 'foam-closed-medium', '2', widthMm ? { widthMm } : {}, ['hook-straight', '12'])
    const [narrow, wide] = [of(3), of(6)]
    expect(wide.part.volumeMm3 / narrow.part.volumeMm3).toBeCloseTo(2, 6)
    expect(wide.part.volumeMm3).toBeCloseTo(6 * 2 * wide.overMm * 0.85, 1)
    expect(of().component).toMatchObject({ widthMm: 2.4 })
    expect(of().component.derived).toContain('widthMm')
  })

  it('of a cylinder is as wide as that, whatever is said', () => {
    const round = tied('body', 'foam-cylinder-soft', '4')
    expect(round.component.widthMm).toBeUndefined()
    expect(tied('body', 'foam-cylinder-soft', '4', { widthMm: 9 }).part.volumeMm3).toBe(round.part.volumeMm3)
  })

  it('is as thick when bound as its width says', () => {
    const of = (widthMm: number) => tied('body', 'foam-eva-sheet', '2', { widthMm }).component.outerMm
    expect(of(6)).toBeGreaterThan(of(3) + 1)
  })
})
