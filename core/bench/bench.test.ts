import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { jigNymph, recipe, shippedMaterial } from '../testing/shippedMaterial.ts'
import {
  billOfMaterials, costOf, nightsToDry, stepFigures, stepMoved, stepsAfterEdit, stepsOf, withOwnStep, withoutStep, withStepNote,
} from './index.ts' // prettier-ignore

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

describe('steps of one’s own', () => {
  const usual = stepsOf(made.dressing, made.variant)
  const keys = (steps: readonly { readonly key: string }[] | null) => steps?.map(({ key }) => key)

  it('ties the wire in before the body that it ribs, and the wing case before the thorax that it is pulled over', () => {
    const order = keys(usual)!
    expect(order.indexOf('rib-tieIn')).toBeGreaterThan(order.indexOf('tail'))
    expect(order.indexOf('rib-tieIn')).toBeLessThan(order.indexOf('body'))
    expect(order.indexOf('rib')).toBeGreaterThan(order.indexOf('body'))
    const thread = shippedMaterial('thread-nylon', '70', 'black')
    const nymph = recipe(shippedMaterial('hook-straight', '14'), [
      { key: 'case', kind: 'wingCase', material: shippedMaterial('fibre-game-tail'), at: [0.1, 0.35] },
      { key: 'thorax', kind: 'thorax', material: thread, at: [0.1, 0.35] },
    ])
    expect(keys(stepsOf(nymph.dressing, nymph.variant))).toEqual(['case', 'thorax', 'case-pullOver', 'finish'])
  })

  it('stand where they were put, with the thread where the step before left it, and can be taken out', () => {
    const own = withStepNote(withOwnStep(usual, 'tail'), 'own-1', 'sweep it back')
    expect(keys(own)!.slice(0, 4)).toEqual(['bead', 'thread', 'tail', 'own-1'])
    expect(own[3]).toMatchObject({ verb: 'own', threadFrom: 1, threadTo: 1, note: 'sweep it back' })
    expect(keys(withOwnStep(own, 'tail'))).toContain('own-2')
    expect(withoutStep(own, 'own-1')).toEqual(usual)
  })

  it('move one place at a time, never beyond the first', () => {
    const moved = stepMoved(usual, 'tail', -1)
    expect(keys(moved)!.slice(0, 3)).toEqual(['bead', 'tail', 'thread'])
    expect(stepMoved(usual, 'bead', -1)).toEqual(usual)
    moved.slice(1).forEach((step, i) => expect(step.threadFrom).toBe(moved[i]?.threadTo))
  })

  it('outlast an edit of the dressing: new parts come where they usually would, parts that are gone go', () => {
    const own = withStepNote(withOwnStep(stepMoved(usual, 'tail', -1), 'body'), 'own-1', 'pinch')
    const { components } = made.dressing
    const without = components.filter(({ key }) => key !== 'rib')
    expect(keys(stepsAfterEdit(own, components, without))).toEqual(
      keys(own)!.filter((key) => !key.startsWith('rib')),
    )
    const again = stepsAfterEdit(stepsAfterEdit(own, components, without), without, components)!
    expect([...keys(again)!].sort()).toEqual([...keys(own)!].sort())
    expect(keys(again)!.indexOf('rib-tieIn')).toBeLessThan(keys(again)!.indexOf('body'))
    expect(again.find(({ key }) => key === 'own-1')?.note).toBe('pinch')
    expect(stepsAfterEdit(null, components, without)).toBeNull()
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
