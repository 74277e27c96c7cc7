import { describe, expect, it } from 'vitest'
import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { appearanceOf } from '../match/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { buyingList, eveningsUntil, greedyPlan, problemOf } from './index.ts'
import type { PlanInputs, TieableVariant } from './index.ts'

const stages = shippedFoods
  .filter(({ key }) => key === 'dark-olive')
  .flatMap((food) => food.stages.map((stage) => ({ ...stage, id: stage.key })))

function variant(
  key: string,
  made: ReturnType<typeof jigNymph>,
  change: Partial<TieableVariant> = {},
): TieableVariant {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  return {
    key,
    behaviour: behaviourOf(report),
    look: appearanceOf(fly),
    onHand: 0,
    room: null,
    minutesEach: 8,
    dislike: 0,
    lost: 0,
    hoursFished: 0,
    bill: [{ materialKey: 'hook', perFly: 100 }],
    meantFor: [],
    ...change,
  }
}

const inputs = (change: Partial<PlanInputs> = {}): PlanInputs => ({
  today: '2026-04-20',
  serviceLevel: 0.9,
  school: 'sizeAndStage',
  evenings: { minutes: 60, weekdays: [1, 2, 3, 4, 5, 6, 7] },
  outings: [
    {
      key: 'sat',
      on: '2026-04-25',
      hours: 5,
      waterKind: 'freestone',
      bedMm: 900,
      surfaceSpeedMmPerS: 700,
      snagginess: 2,
      foods: [
        { stageKey: 'dark-olive-nymph', worth: 0.5, lengthMmLow: 7, lengthMmHigh: 10 },
        { stageKey: 'dark-olive-dun', worth: 0.4, lengthMmLow: 5, lengthMmHigh: 9 },
      ],
    },
  ],
  stages,
  variants: [variant('jig', jigNymph()), variant('dry', hackledDry(), { meantFor: ['dark-olive-dun'] })],
  drawers: [],
  choices: {},
  ...change,
})

function planned(of: PlanInputs) {
  const { problem } = problemOf(of)
  const work = greedyPlan(problem)
  let step = work.next()
  while (!step.done) step = work.next()
  return Object.fromEntries(problem.candidates.map(({ key }, c) => [key, step.value?.[c] ?? []])) as Record<
    string,
    number[]
  >
}

describe('eveningsUntil', () => {
  it('are those before the day of the outing, on the days of the week that one ties', () => {
    const evenings = eveningsUntil('2026-04-20', '2026-04-25', { minutes: 60, weekdays: [1, 3] })
    expect(evenings.map(({ on }) => on)).toEqual(['2026-04-20', '2026-04-22'])
    expect(eveningsUntil('2026-04-25', '2026-04-25', { minutes: 60, weekdays: [6] })).toEqual([])
  })
})

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
      problemOf(
        inputs({ outings: inputs().outings.map((outing) => ({ ...outing, snagginess, hours })) }),
      ).needs.map((need) => need.wanted)
    expect(Math.min(...wanted(0, 1))).toBe(3)
    expect(wanted(4, 8)[0]).toBeGreaterThan(wanted(0, 2)[0] ?? 9)
  })

  it('ties what is missing, less of what is on hand, and none of what was left out', () => {
    const plan = planned(inputs())
    expect(plan.jig?.[0]).toBeGreaterThan(0)
    expect(plan.dry?.[0]).toBeGreaterThan(0)
    const held = planned(
      inputs({ variants: [variant('jig', jigNymph(), { onHand: 6 }), variant('dry', hackledDry())] }),
    )
    expect(held.jig?.[0]).toBe(0)
    expect(planned(inputs({ choices: { jig: 0 } })).jig?.[0]).toBe(0)
    expect(planned(inputs({ choices: { dry: 5 } })).dry?.[0]).toBe(5)
  })

  it('stops at what the stores hold, unless more comes in time', () => {
    const hooks = (leadTimeDays: number | null) =>
      planned(inputs({ drawers: [{ key: 'hook', onHand: 200, leadTimeDays }] }))
    const total = (plan: Record<string, number[]>) =>
      Object.values(plan)
        .flat()
        .reduce((sum, count) => sum + count, 0)
    expect(total(hooks(null))).toBe(2)
    expect(total(hooks(10))).toBe(2)
    expect(total(hooks(2))).toBeGreaterThan(2)
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
