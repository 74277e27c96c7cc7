import { describe, expect, it } from 'vitest'
import type { BoxLine } from '../../../contract/index.ts'
import type { PlannedNeed } from '../../../core/index.ts'
import type { Planned } from '../../../contract/planned.ts'
import { goneOf, marked } from './gone.ts'
import { coverWith, forbiddenOn, packablesOf, proposed, takenOf, worthOnDay } from './packables.ts'

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
/** Half hours of a day: what fish are on, and never a loss. */
const need = (onIt: readonly number[], ...serves: readonly [key: string, quality: number][]) =>
  ({
    onIt,
    lost: onIt.map(() => [1]),
    serves: serves.map(([key, quality]) => ({ variant: { key }, quality, meant: true })),
    couldPass: [],
    barred: [],
  }) as unknown as PlannedNeed

const needs = [need([0.4, 0.4], ['b', 1], ['c', 0.8]), need([0, 0.5], ['b', 0.9]), need([0.1, 0.1])]

describe('what goes along', () => {
  const worth = worthOnDay(needs)
  const flies = packablesOf(boxes, null, worth, new Map())

  it('is worth the hours in which one of it would be something to show', () => {
    // 0.5 h × (0.4 + 0.4) and 0.5 h × 0.5 × 0.9; 0.5 h × 0.8 × 0.8
    expect(worth.get('b')).toBeCloseTo(0.625, 9)
    expect(worth.get('c')).toBeCloseTo(0.32, 9)
    expect(worth.has('a')).toBe(false)
  })

  it('has first what the day asks for, then all other flies that lie somewhere, by name', () => {
    expect(flies.map(({ key }) => key)).toEqual(['leaf b', 'wallet c', 'leaf a'])
    expect(packablesOf(boxes, 'leaf', worth, new Map()).map(({ key }) => key)).toEqual(['wallet c'])
  })

  it('is proposed as long as it adds hours, never more than there are or are kept', () => {
    // one b that is never lost shows all that can be shown
    expect(proposed(needs, flies, 3)).toEqual({ 'leaf b': 1 })
    const lossy = needs.map((one) => ({ ...one, lost: one.onIt.map(() => [0.5, 0.3, 0.2]) }))
    expect(proposed(lossy, flies, 3)).toEqual({ 'leaf b': 2, 'wallet c': 1 })
    expect(proposed(lossy, flies, 1)).toEqual({ 'leaf b': 1, 'wallet c': 1 })
  })

  it('covers the day with what is ticked and what lies there already', () => {
    const none = coverWith(needs, flies, {}, [])
    expect([none.shown, none.hours]).toEqual([0, 1])
    expect(coverWith(needs, flies, { 'leaf b': 1 }, []).shown).toBeCloseTo(0.625, 9)
    const lying = boxes[0]!.compartments[1]!.flies
    expect(coverWith(needs, flies, {}, lying).shown).toBeCloseTo(0.32, 9)
  })

  it('leaves at home what the note of that water forbids, and says why', () => {
    const fly = { figure: { kind: 'sinks', hookSize: 10 }, lead: true, weighted: true, meantFor: [] }
    const ruled = {
      outings: [{ outingId: 'saturday', rules: { dryOnly: null, noLead: true, noAddedWeight: null, minHookSize: null, maxHookSize: null } }],
      variants: [{ variantId: 'b', ...fly }, { variantId: 'c', ...fly, lead: false }],
    } as unknown as Planned // prettier-ignore
    const why = forbiddenOn(ruled, 'saturday')
    expect([...why]).toEqual([['b', 'noLead']])
    expect(proposed(needs, packablesOf(boxes, null, worth, why), 3)).toEqual({ 'wallet c': 1 })
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
