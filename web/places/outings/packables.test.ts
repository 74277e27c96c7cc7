import { describe, expect, it } from 'vitest'
import type { BoxLine } from '../../../contract/index.ts'
import type { Planned } from '../../wire/planned.ts'
import { goneOf, marked } from './gone.ts'
import { forbiddenOn, packablesOf, proposed, takenOf, worthOnDay } from './packables.ts'

const fly = (variantId: string, patternName: string, count: number) => ({
  variantId,
  patternName,
  label: '#14',
  count,
})
const boxes = [
  {
    compartments: [
      { id: 'leaf', label: 'Leaf', flies: [fly('b', 'Button', 2), fly('a', 'Apron', 5), fly('z', 'Zinc', 0)] },
      { id: 'wallet', label: 'Wallet', flies: [fly('c', 'Collar', 9)] },
    ],
  },
] as unknown as BoxLine[]
const plan = {
  outings: [
    { outingId: 'saturday', foods: [{ foodStageId: 'dun', worth: 0.4 }, { foodStageId: 'nymph', worth: 0.7 }] },
    { outingId: 'sunday', foods: [{ foodStageId: 'midge', worth: 0.9 }] },
  ],
  variants: [
    { variantId: 'b', meantFor: ['dun', 'nymph'] },
    { variantId: 'c', meantFor: ['dun'] },
    { variantId: 'a', meantFor: ['midge'] },
  ],
} as unknown as Planned // prettier-ignore

describe('what goes along', () => {
  const worth = worthOnDay(plan, 'saturday')
  const forbidden = forbiddenOn(plan, 'saturday')
  const flies = packablesOf(boxes, null, worth, forbidden)

  it('is worth the most of what it is meant for that day', () => {
    expect([...worth]).toEqual([
      ['b', 0.7],
      ['c', 0.4],
      ['a', 0],
    ])
  })

  it('has first what the day asks for, then all other flies that lie somewhere, by name', () => {
    expect(flies.map(({ key }) => key)).toEqual(['leaf b', 'wallet c', 'leaf a'])
    expect(packablesOf(boxes, 'leaf', worth, forbidden).map(({ key }) => key)).toEqual(['wallet c'])
  })

  it('is proposed as often as each is kept, never more than there are', () => {
    expect(proposed(flies, 3)).toEqual({ 'leaf b': 2, 'wallet c': 3 })
  })

  it('leaves at home what the note of that water forbids, and says why', () => {
    const fly = { figure: { kind: 'sinks', hookSize: 10 }, lead: true, weighted: true }
    const ruled = {
      outings: [{ outingId: 'saturday', foods: plan.outings[0]!.foods, rules: { dryOnly: null, noLead: true, noAddedWeight: null, minHookSize: null, maxHookSize: null } }],
      variants: [{ ...plan.variants[0], ...fly }, { ...plan.variants[1], ...fly, lead: false }],
    } as unknown as Planned // prettier-ignore
    const why = forbiddenOn(ruled, 'saturday')
    expect([...why]).toEqual([['b', 'noLead']])
    expect(proposed(packablesOf(boxes, null, worthOnDay(ruled, 'saturday'), why), 3)).toEqual({ 'wallet c': 3 })
  })

  it('is taken from where it lies, never more than there are', () => {
    expect(takenOf(flies, { 'leaf b': 7, 'leaf a': 1, 'wallet c': 0 })).toEqual([
      { fromCompartmentId: 'leaf', variantId: 'b', count: 2 },
      { fromCompartmentId: 'leaf', variantId: 'a', count: 1 },
    ])
  })
})

describe('what is gone', () => {
  it('is counted by place and fly, and none is no mark', () => {
    const one = marked([], 'leaf', 'b', 1)
    const three = marked(marked(one, 'leaf', 'b', 1), 'wallet', 'b', 1)
    expect(goneOf(three, 'leaf', 'b')).toBe(2)
    expect(goneOf(three, 'wallet', 'b')).toBe(1)
    expect(goneOf(three, 'leaf', 'a')).toBe(0)
    expect(marked(one, 'leaf', 'b', -1)).toEqual([])
    expect(marked([], 'leaf', 'b', -1)).toEqual([])
  })
})
