import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arrange, LAYOUTS } from './index.ts'
import type { ArrangedFly } from './index.ts'

const fly = (key: string, change: Partial<ArrangedFly> = {}): ArrangedFly => ({
  key,
  purpose: 'imitation',
  food: { group: 'mayfly', stage: 'nymph' },
  months: [5, 6],
  sinkSpeedMmPerS: 100,
  floats: false,
  hookSize: 14,
  bright: false,
  takes: null,
  ...change,
})
const codes = (...args: Parameters<typeof arrange>) =>
  Object.fromEntries(arrange(...args).map(({ code, flyKeys }) => [code, flyKeys.join(' ')]))

describe('arrange', () => {
  it('by food and stage puts what stands for one stage together, and what imitates nothing apart', () => {
    const flies = [
      fly('a'),
      fly('b', { food: { group: 'mayfly', stage: 'dun' } }),
      fly('c'),
      fly('d', { food: null, purpose: 'attractor' }),
    ]
    expect(codes('foodAndStage', flies)).toEqual({ 'mayfly|nymph': 'a c', 'mayfly|dun': 'b', searching: 'd' })
  })

  it('by depth and weight runs from the film down', () => {
    const flies = [
      fly('anchor', { sinkSpeedMmPerS: 420 }),
      fly('film', { floats: true, sinkSpeedMmPerS: null }),
      fly('bought', { sinkSpeedMmPerS: null }),
      fly('soft', { sinkSpeedMmPerS: 30 }),
    ]
    expect(arrange('depthAndWeight', flies).map(({ code, flyKeys }) => [code, ...flyKeys])).toEqual([
      ['floats', 'film'],
      ['slow', 'soft'],
      ['anchor', 'anchor'],
      ['weightUnknown', 'bought'],
    ])
  })

  it('by season gives a fly to the season of most of its months', () => {
    const flies = [
      fly('early', { months: [3, 4] }),
      fly('both', { months: [2, 3, 6, 9, 10, 11, 12] }),
      fly('always', { months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] }),
      fly('winter', { months: [12, 1, 2, 3] }),
    ]
    expect(codes('season', flies)).toEqual({
      spring: 'early',
      winter: 'winter',
      severalSeasons: 'both',
      allYear: 'always',
    })
  })

  it('by confidence asks for the lower end of what a fly took, not for its mean', () => {
    const flies = [
      fly('sure', { takes: { value: 2, low: 1.2, high: 3, basis: [] } }),
      fly('lucky', { takes: { value: 4, low: 0.5, high: 9, basis: [] } }),
      fly('dull', { takes: { value: 0.2, low: 0.1, high: 0.5, basis: [] } }),
      fly('new'),
    ]
    expect(codes('confidence', flies)).toEqual({
      trusted: 'sure',
      promising: 'lucky',
      poor: 'dull',
      notFished: 'new',
    })
  })

  it('by situation: small for clear water, bright or large for dirty, what anchors for the deep', () => {
    const flies = [
      fly('tiny', { hookSize: 20 }),
      fly('glow', { bright: true }),
      fly('plain'),
      fly('stone', { sinkSpeedMmPerS: 400, hookSize: 20 }),
      fly('fancy', { purpose: 'attractor' }),
    ]
    expect(codes('situation', flies)).toEqual({
      usualWater: 'plain',
      lowClear: 'tiny',
      dirtyWater: 'glow',
      fastAndDeep: 'stone',
      searching: 'fancy',
    })
  })

  it('leaves no fly out and puts none into two places, whatever the flies', () => {
    const anyFly = fc.record({
      purpose: fc.constantFrom('imitation', 'attractor', 'searching') as fc.Arbitrary<ArrangedFly['purpose']>,
      food: fc.option(fc.record({ group: fc.constantFrom('x', 'y'), stage: fc.constantFrom('n', 'd') })),
      months: fc.uniqueArray(fc.integer({ min: 1, max: 12 })),
      sinkSpeedMmPerS: fc.option(fc.integer({ min: 1, max: 600 })),
      floats: fc.boolean(),
      hookSize: fc.option(fc.integer({ min: 2, max: 24 })),
      bright: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(anyFly, { maxLength: 30 }), fc.constantFrom(...LAYOUTS), (made, layout) => {
        const flies = made.map((change, i) => fly(String(i), change))
        const placed = arrange(layout, flies).flatMap(({ flyKeys }) => flyKeys)
        expect([...placed].sort()).toEqual(flies.map(({ key }) => key).sort())
      }),
    )
  })
})
