import { describe, expect, it } from 'vitest'
import { halves, inputs, NO_RULES, variant } from '../testing/planInputs.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { buyingList, eveningsUntil, greedyPlan, problemOf as problemSteps } from './index.ts'
import type { FlyRules, PlanInputs, TieableVariant } from './index.ts'

const problemOf = (of: PlanInputs) => toEnd(problemSteps(of))

function planned(of: PlanInputs) {
  const { problem } = problemOf(of)
  const counts = toEnd(greedyPlan(problem))
  return Object.fromEntries(problem.candidates.map(({ key }, c) => [key, [...(counts[c] ?? [])]]))
}

describe('eveningsUntil', () => {
  it('are those before the day of the outing, on the days of the week that one ties', () => {
    const evenings = eveningsUntil('2026-04-20', '2026-04-25', { minutes: 60, weekdays: [1, 3], differing: [] })
    expect(evenings.map(({ on }) => on)).toEqual(['2026-04-20', '2026-04-22'])
    expect(eveningsUntil('2026-04-25', '2026-04-25', { minutes: 60, weekdays: [6], differing: [] })).toEqual([])
  })
})

describe('eveningsUntil with some that differ', () => {
  it('takes the time of those, leaves out free ones and adds others', () => {
    const differing = [
      { on: '2026-04-20', minutes: 0 },
      { on: '2026-04-22', minutes: 90 },
      { on: '2026-04-23', minutes: 30 },
      { on: '2026-04-25', minutes: 45 },
    ]
    expect(eveningsUntil('2026-04-20', '2026-04-25', { minutes: 60, weekdays: [1, 3], differing })).toEqual([
      { on: '2026-04-22', minutes: 90 },
      { on: '2026-04-23', minutes: 30 },
    ])
  })
})

/** The outing, so many hours long. */
const lasting = (hours: number) =>
  inputs().outings.map((outing) => ({
    ...outing,
    foods: outing.foods.map((food) => ({ ...food, onIt: halves(food.onIt[0] ?? 0, hours) })),
    whatever: halves(outing.whatever[0] ?? 0, hours),
  }))

const total = (plan: Record<string, number[]>) =>
  Object.values(plan)
    .flat()
    .reduce((sum, count) => sum + count, 0)

describe('problemOf', () => {
  it('has a nymph serve the nymph and a dry the dun, and neither the other', () => {
    const { problem, needs } = problemOf(inputs())
    const served = (key: string) =>
      problem.candidates
        .find((candidate) => candidate.key === key)
        ?.serves.map(({ need }) => needs[need]?.stageKey)
    expect(served('jig')).toContain('dark-olive-nymph')
    expect(served('jig')).not.toContain('dark-olive-dun')
    expect(served('dry')).toContain('dark-olive-dun')
    expect(served('dry')).not.toContain('dark-olive-nymph')
  })

  it('wants more of what snags take, and never fewer than three', () => {
    const wanted = (snagginess: number, hours: number) =>
      problemOf(inputs({ outings: lasting(hours).map((outing) => ({ ...outing, snagginess })) })).needs.map(
        (need) => need.wanted,
      )
    expect(Math.min(...wanted(0, 1))).toBe(3)
    expect(wanted(4, 8)[0]).toBeGreaterThan(wanted(0, 2)[0] ?? 9)
  })

  it('ties what is missing, less of what is on hand, and none of what was left out', () => {
    const plan = planned(inputs())
    expect(plan.jig?.[0]).toBeGreaterThan(0)
    expect(plan.dry?.[0]).toBeGreaterThan(0)
    const held = planned(
      inputs({ variants: [variant('jig', jigNymph(), { onHand: 12 }), variant('dry', hackledDry())] }),
    )
    expect(held.jig?.[0]).toBe(0)
    expect(planned(inputs({ choices: { jig: 0 } })).jig?.[0]).toBe(0)
    expect(planned(inputs({ choices: { dry: 5 } })).dry?.[0]).toBe(5)
  })

  it('stops at what the stores hold, unless more comes in time', () => {
    const hooks = (leadTimeDays: number | null) =>
      planned(inputs({ drawers: [{ key: 'hook', onHand: 200, leadTimeDays }] }))
    expect(total(hooks(null))).toBe(2)
    expect(total(hooks(10))).toBe(2)
    expect(total(hooks(2))).toBeGreaterThan(2)
  })
})

describe('problemOf and what was lost', () => {
  const wanted = (change: Partial<PlanInputs>) =>
    problemOf(inputs(change)).needs.find(({ stageKey }) => stageKey === 'dark-olive-nymph')?.wanted ?? 0
  const sister = (lost: number, hoursFished: number) => [
    variant('jig', jigNymph(), { meantFor: ['dark-olive-nymph'] }),
    variant('sister', jigNymph(), { lost, hoursFished }),
  ]

  it('has a new pattern borrow from what its like has suffered', () => {
    const usual = wanted({ variants: sister(0, 0) })
    expect(wanted({ variants: sister(30, 20) })).toBeGreaterThan(usual)
    expect(wanted({ variants: sister(0, 60) })).toBeLessThanOrEqual(usual)
  })

  it('does not take an outing that nobody noted for one on which every fly was fished', () => {
    const crowd = Array.from({ length: 60 }, (_, i) => variant(`other ${i}`, jigNymph(), { hoursFished: 3.5 }))
    const rateBy = (unnoted: PlanInputs['unnoted']) =>
      problemOf(inputs({ variants: [...sister(0, 0), ...crowd], unnoted })).problem.candidates[0]
        ?.survives[0] ?? 0
    // 14 hours were fished in all, not 60 times 3.5 without a loss
    const shared = rateBy({ hours: 14, each: 3.5 })
    expect(shared).toBeLessThan(rateBy({ hours: 0, each: 0 }))
    const few = problemOf(inputs({ variants: sister(0, 14) })).problem.candidates[0]?.survives[0] ?? 0
    expect(Math.abs(shared - few)).toBeLessThan(0.05)
  })

  it('counts what a fly lost itself for more than what its like did', () => {
    const own = [variant('jig', jigNymph(), { meantFor: ['dark-olive-nymph'], lost: 0, hoursFished: 60 })]
    const survives = (variants: readonly TieableVariant[]) =>
      problemOf(inputs({ variants })).problem.candidates[0]?.survives[0] ?? 0
    const [other] = sister(30, 20).slice(1)
    if (!other) throw new Error('no sister')
    expect(survives([...own, other])).toBeGreaterThan(survives(sister(30, 20)))
  })

  it('wants more for a streamer than for a fly that is hung from an indicator', () => {
    const by = (technique: 'streamer' | 'staticIndicator') =>
      wanted({
        variants: sister(0, 0),
        outings: lasting(8).map((outing) => ({ ...outing, techniques: [technique], snagginess: 4 })),
      })
    expect(by('streamer')).toBeGreaterThan(by('staticIndicator'))
  })
})

describe('problemOf over several outings', () => {
  const [first] = inputs().outings
  if (!first) throw new Error('no outing')
  const twice = (snagginess: number) =>
    inputs({
      outings: [
        { ...first, snagginess },
        { ...first, key: 'next', on: '2026-05-02', snagginess },
      ],
      variants: [variant('jig', jigNymph(), { onHand: 3 })],
    })

  it('misses at the next outing what the one before takes, the more the snaggier it is', () => {
    const survives = (snagginess: number) =>
      problemOf(twice(snagginess)).problem.candidates[0]?.survives[0] ?? 0
    expect(survives(0)).toBeLessThan(1)
    expect(survives(4)).toBeLessThan(survives(0))
    expect(survives(4)).toBeGreaterThanOrEqual(0)
    // three on hand are enough for the first; after it some are gone, and are tied anew before the second
    const plan = planned(twice(4))
    expect(total(plan)).toBeGreaterThan(total(planned({ ...twice(4), outings: [first] })))
  })

  it('ties nothing on the last evening that has to dry for longer', () => {
    const varnished = (nightsToDry: number, on: string) =>
      planned(
        inputs({
          evenings: { minutes: 0, weekdays: [], differing: [{ on, minutes: 60 }] },
          variants: [variant('jig', jigNymph(), { nightsToDry })],
        }),
      ).jig?.[0] ?? 0
    expect(varnished(1, '2026-04-24')).toBeGreaterThan(0)
    expect(varnished(2, '2026-04-24')).toBe(0)
    expect(varnished(2, '2026-04-23')).toBeGreaterThan(0)
    expect(varnished(3, '2026-04-23')).toBe(0)
  })

  it('shares the room of a compartment among all that lie in it', () => {
    const crowded = (room: number) =>
      planned(
        inputs({
          variants: [
            variant('jig', jigNymph(), { placeKey: 'a1' }),
            variant('dry', hackledDry(), { placeKey: 'a1', meantFor: ['dark-olive-dun'] }),
          ],
          places: [{ key: 'a1', room }],
        }),
      )
    expect(total(crowded(20))).toBeGreaterThan(3)
    expect(total(crowded(3))).toBe(3)
    expect(total(crowded(0))).toBe(0)
  })
})

describe('buyingList', () => {
  const drawer = { key: 'hook', onHand: 300, minimum: 500, pack: 2500, priceMinor: 480, leadTimeDays: 4 }

  it('buys whole packs for the plan and the minimum, by the day that still is in time', () => {
    expect(buyingList([drawer], [{ key: 'hook', amount: 900, neededOn: '2026-06-12' }])).toEqual([
      { key: 'hook', amount: 2500, packs: 1, priceMinor: 480, orderBy: '2026-06-08' },
    ])
    expect(buyingList([drawer], [])).toMatchObject([{ packs: 1, orderBy: null }])
    expect(buyingList([{ ...drawer, onHand: 3000 }], [])).toEqual([])
  })

  it('buys nothing for a drawer that nobody counted, and says no packs where none are noted', () => {
    expect(buyingList([{ ...drawer, onHand: null }], [{ key: 'hook', amount: 900, neededOn: null }])).toEqual(
      [],
    )
    expect(buyingList([{ ...drawer, pack: null }], [])).toMatchObject([
      { amount: 200, packs: null, priceMinor: null },
    ])
  })
})

describe('the note of a water', () => {
  const under = (rules: Partial<FlyRules>) => {
    const [outing] = inputs().outings
    const { problem } = problemOf(inputs({ outings: [{ ...outing!, rules: { ...NO_RULES, ...rules } }] }))
    return problem.candidates.filter(({ serves }) => serves.length > 0).map(({ key }) => key)
  }

  it('plans nothing that it forbids: no nymph where it is dry only, no size 16 where 18 and smaller is asked for', () => {
    expect(under({})).toEqual(['jig', 'dry'])
    expect(under({ dryOnly: true })).toEqual(['dry'])
    expect(under({ noAddedWeight: true })).toEqual(['dry'])
    expect(under({ maxHookSize: 18 })).toEqual([])
  })
})
