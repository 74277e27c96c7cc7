import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import { billOfMaterials, costOf, nightsToDry, stepFigures, stepsOf } from './index.ts'

const made = jigNymph()
const fly = resolveDressing(made.dressing, made.variant, made.materials)
if (fly.kind !== 'fly') throw new Error('incomplete')

describe('stepsOf', () => {
  it('beads the hook first, ties in the tail before the body and finishes last', () => {
    const keys = stepsOf(made.dressing, made.variant).map(({ key }) => key)
    expect(keys[0]).toBe('bead')
    expect(keys.indexOf('tail')).toBeLessThan(keys.indexOf('body'))
    expect(keys.indexOf('body')).toBeLessThan(keys.indexOf('rib'))
    expect(keys.at(-1)).toBe('finish')
  })

  it('leaves out the steps of what a variant omits', () => {
    const bare = { ...made.variant, swaps: [{ componentKey: 'bead', omit: true }] }
    expect(stepsOf(made.dressing, bare).map(({ key }) => key)).not.toContain('bead')
  })

  it('hands the thread on from step to step', () => {
    const steps = stepsOf(made.dressing, made.variant)
    steps.slice(1).forEach((step, i) => expect(step.threadFrom).toBe(steps[i]?.threadTo))
  })

  it('keeps the steps that someone has edited', () => {
    const own = [
      { key: 'a', verb: 'finish', componentKey: null, threadFrom: 0, threadTo: 0, note: 'two coats' },
    ] as const
    expect(stepsOf({ ...made.dressing, steps: own }, made.variant)).toEqual(own)
  })
})

describe('stepFigures', () => {
  it('gives the tail in mm and the rib in turns with the wire to cut', () => {
    const of = (key: string) => {
      const component = fly.components.find((candidate) => candidate.key === key)
      if (!component) throw new Error(key)
      return stepFigures(component)
    }
    expect(of('tail')).toMatchObject({ fibreCount: 6 })
    expect(of('tail').lengthMm).toBeCloseTo(4.5, 1)
    expect(of('rib').turns).toBe(5)
    expect(of('rib').cutMm ?? 0).toBeGreaterThan(20)
  })
})

describe('billOfMaterials', () => {
  it('takes one hook and one bead, and adds up a material used twice', () => {
    const bill = new Map(billOfMaterials(fly).map(({ materialId, perFly }) => [materialId, perFly]))
    expect(bill.get(fly.hookMaterial.id)).toBe(100)
    expect(bill.get('bead-tungsten-slotted|2.8|copper')).toBe(100)
    const thread = bill.get('thread-nylon|50|olive-brown') ?? 0
    expect(thread).toBeGreaterThan(200)
    expect(thread).toBeLessThan(1500)
    expect([...bill.values()].every((amount) => Number.isInteger(amount) && amount > 0)).toBe(true)
  })
})

describe('costOf', () => {
  const drawers = new Map([
    ['hook', { packAmount: 2500, priceMinor: 625 }],
    ['wire', { packAmount: 10_000, priceMinor: 300 }],
    ['gift', { packAmount: null, priceMinor: null }],
  ])
  it('shares the price of a pack out among what a fly takes of it, and names what has no price', () => {
    const bill = [
      { materialId: 'hook', perFly: 100 },
      { materialId: 'wire', perFly: 70 },
      { materialId: 'gift', perFly: 5 },
      { materialId: 'unknown', perFly: 1 },
    ]
    const { minor, unpriced } = costOf(bill, (id) => drawers.get(id) ?? null)
    // 625 for 25 hooks, 300 for 10 m of wire
    expect(minor).toBeCloseTo(25 + 2.1, 9)
    expect(unpriced).toEqual(['gift', 'unknown'])
  })
})

describe('nightsToDry', () => {
  const coated = (family: string, layers?: number) => {
    const { dressing, variant, materials } = recipe(shippedMaterial('hook-jig-60', '16', 'bronze'), [
      { key: 'body', kind: 'body', material: shippedMaterial('thread-nylon', '50', 'black'), at: [0.3, 1] },
      {
        key: 'coat',
        kind: 'coat',
        material: shippedMaterial(family),
        at: [0.2, 1],
        ...(layers ? { layers } : {}),
      },
    ])
    const resolved = resolveDressing(dressing, variant, materials)
    if (resolved.kind !== 'fly') throw new Error('incomplete')
    return nightsToDry(resolved.components)
  }
  it('is a night for each coat of varnish, and none for what the lamp cures or what has no coat', () => {
    expect(coated('varnish-clear')).toBe(1)
    expect(coated('varnish-clear', 2)).toBe(2)
    expect(coated('varnish-water', 3)).toBe(3)
    expect(coated('resin-uv-thin', 2)).toBe(0)
    expect(coated('cement-head')).toBe(0)
    expect(nightsToDry(fly.components)).toBe(0)
  })
})
