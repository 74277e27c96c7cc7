import { describe, expect, it } from 'vitest'
import { halves, inputs, NO_RULES, variant } from '../testing/planInputs.ts'
import { hackledDry, jigNymph } from '../testing/shippedMaterial.ts'
import { toEnd } from '../testing/toEnd.ts'
import { batchesOf, fliesAt, greedyPlan, hoursOfMore, outingCover, problemOf } from './index.ts'
import type { ComingOuting, Counts, FlyRules, PlanInputs, Purpose, Role } from './index.ts'

const [outing] = inputs().outings
if (!outing) throw new Error('no outing')

function planOf(of: PlanInputs) {
  const { problem, needs } = toEnd(problemOf(of))
  const counts = toEnd(greedyPlan(problem))
  const nothing: Counts = counts.map((row) => row.map(() => 0))
  const cover = (with_: Counts) => outingCover(needs, fliesAt(problem, with_, 0))
  return { problem, needs, counts, before: cover(nothing), after: cover(counts) }
}
const withOuting = (change: Partial<ComingOuting>, more: Partial<PlanInputs> = {}) =>
  inputs({ outings: [{ ...outing, ...change }], ...more })
const heldJig = (onHand: number, more: object = {}) =>
  variant('jig', jigNymph(), { onHand, meantFor: ['dark-olive-nymph'], ...more })

describe('hours with something to show', () => {
  it('are none of an empty box, and the share of fish of one that cannot be emptied', () => {
    const of = (onHand: number) => planOf(withOuting({ snagginess: 0 }, { variants: [heldJig(onHand)] })).before
    expect(of(0).shown).toBe(0)
    expect(of(0).hours).toBe(5)
    const { shown } = of(40)
    // half of the fish are on nymphs for five hours, and the jig does at least four fifths
    expect(shown).toBeGreaterThanOrEqual(0.8 * 2.5 - 1e-6)
    expect(shown).toBeLessThanOrEqual(2.5 + 1e-6)
  })

  it('are those of the boxes where nothing is tied, and more with what the plan ties', () => {
    const { before, after } = planOf(inputs())
    expect(before.shown).toBe(0)
    expect(after.shown).toBeGreaterThan(2)
  })

  it('are never more with more losses, on the water or in the record, nor fewer with more flies', () => {
    const covers = (of: PlanInputs) => planOf(of).before.shown
    const snaggy = [0, 1, 2, 3, 4].map((snagginess) =>
      covers(withOuting({ snagginess }, { variants: [heldJig(2)] })),
    )
    expect(snaggy).toEqual([...snaggy].sort((a, b) => b - a))
    const lost = [0, 5, 10, 20, 40].map((count) =>
      covers(inputs({ variants: [heldJig(2, { lost: count, hoursFished: 20 })] })),
    )
    expect(lost).toEqual([...lost].sort((a, b) => b - a))
    expect(lost[0]).toBeGreaterThan(lost[4] ?? 9)
    const held = [0, 1, 2, 4, 8].map((count) => covers(inputs({ variants: [heldJig(count)] })))
    expect(held).toEqual([...held].sort((a, b) => a - b))
  })

  it('end with a fall of spinners at nine in an outing until half past nine', () => {
    const evening = (hour: number) => [...halves(0, hour), 1]
    const dun = { stageKey: 'dark-olive-dun', lengthMmLow: 5, lengthMmHigh: 9 }
    const of = (onIt: readonly number[]) =>
      planOf(
        withOuting(
          { foods: [{ ...dun, onIt }], whatever: onIt.map(() => 0) },
          { variants: [variant('dry', hackledDry(), { onHand: 3, meantFor: ['dark-olive-dun'] })] },
        ),
      ).before.needs[0]?.shown
    expect(
      of(evening(4))
        ?.slice(0, -1)
        .every((hours) => hours === 0),
    ).toBe(true)
    expect(of(evening(4))?.at(-1)).toBeGreaterThan(0.35)
  })
})

describe('hours of more flies', () => {
  const flies = [0, 1, 2, 5, 40].map((onHand, nth) =>
    variant(`fly${nth}`, nth % 2 === 0 ? jigNymph() : hackledDry(), {
      onHand,
      meantFor: nth < 3 ? ['dark-olive-nymph'] : ['dark-olive-dun'],
    }),
  )
  const dun = { stageKey: 'dark-olive-dun', lengthMmLow: 5, lengthMmHigh: 9, onIt: halves(0.3) }
  const { problem, needs } = planOf(withOuting({ foods: [...outing.foods, dun] }, { variants: flies }))
  const held = fliesAt(problem, problem.candidates.map(() => problem.periods.map(() => 0)), 0) // prettier-ignore

  it('are what the cover of the outing gains by them', () => {
    const before = outingCover(needs, held).shown
    let gaining = 0
    for (const count of [0, 0.5, 1, 3, 30]) {
      const more = hoursOfMore(needs, held, new Map(flies.map(({ key }) => [key, count])))
      for (const { key } of flies) {
        const after = outingCover(needs, (of) => held(of) + (of === key ? count : 0)).shown
        expect(more.get(key)).toBeCloseTo(after - before, 9)
        gaining += Number(after > before + 0.01)
      }
    }
    expect(gaining).toBeGreaterThan(4)
  })

  it('are none of a fly that serves nothing there, nor told of one that nobody asked of', () => {
    const more = hoursOfMore(needs, held, new Map([['another', 3]]))
    expect(more.get('another') ?? 0).toBe(0)
    expect([...more.keys()]).toEqual([])
  })
})

describe('what waits at the bench', () => {
  it('counts as flies, takes its minutes and its goods', () => {
    const queued = inputs({ variants: [heldJig(0, { queued: 4 })], drawers: [{ key: 'hook', onHand: 600, leadTimeDays: null }] }) // prettier-ignore
    const { problem, before } = planOf(queued)
    expect(before.shown).toBeGreaterThan(0.5)
    expect(problem.candidates[0]?.onHand).toBe(4)
    // five evenings of an hour, less four flies of eight minutes; six hooks, less four
    expect(problem.periods[0]?.minutesByNights[0]).toBe(5 * 60 - 32)
    expect(problem.limits[0]?.available[0]).toBe(200)
  })
})

describe('techniques of an outing', () => {
  const both = [variant('jig', jigNymph(), { onHand: 3 }), variant('dry', hackledDry(), { onHand: 3 })]
  const shownBy = (techniques: ComingOuting['techniques']) => {
    const { needs } = planOf(withOuting({ techniques }, { variants: both }))
    return [...new Set(needs.flatMap(({ kind, serves }) => (kind === 'food' ? serves.map(({ variant: { key } }) => key) : [])))] // prettier-ignore
  }

  it('say what can be shown: no dry on a tight line, no nymph on a dry day, both on a day of both', () => {
    expect(shownBy(['tightLineNymph'])).toEqual(['jig'])
    expect(shownBy(['dry'])).toEqual(['dry'])
    expect(shownBy(['tightLineNymph', 'dry'])).toEqual(['jig', 'dry'])
  })

  it('want an anchor on a tight line, which only what falls fast is, and none where one fly is allowed', () => {
    const needs = (change: Partial<ComingOuting>) =>
      planOf(withOuting({ techniques: ['tightLineNymph'], ...change })).needs
    const anchor = needs({}).find(({ kind }) => kind === 'anchor')
    expect(anchor?.serves.map(({ variant: { key } }) => key)).toEqual(['jig'])
    const { counts, problem } = planOf(withOuting({ techniques: ['tightLineNymph'] }))
    expect(counts[problem.candidates.findIndex(({ key }) => key === 'jig')]?.[0]).toBeGreaterThan(0)
    expect(needs({ rules: { ...NO_RULES, maxFlies: 1 } }).some(({ kind }) => kind === 'anchor')).toBe(false)
    // what the anchor does was taken from the nymphs: no fish is counted twice
    const all = needs({}).flatMap(({ onIt }) => onIt.slice(0, 1))
    expect(all.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
  })
})

describe('what a pattern is kept for', () => {
  const kept = (purpose: Purpose, roles: readonly Role[]) =>
    planOf(
      inputs({
        variants: [
          variant('jig', jigNymph(), { onHand: 9, purpose, roles }),
          variant('dry', hackledDry(), { onHand: 9, purpose, roles }),
        ],
      }),
    )

  it('prospecting makes an imitation serve fish that take whatever comes', () => {
    const shown = (roles: readonly Role[]) => {
      const { needs, before } = kept('imitation', roles)
      const n = needs.findIndex(({ kind }) => kind === 'whatever')
      return (before.needs[n]?.shown ?? []).reduce((sum, one) => sum + one, 0)
    }
    expect(shown([])).toBe(0)
    expect(shown(['prospecting'])).toBeGreaterThan(0.3)
  })

  it('muted or for choosy fish, an attractor is no longer too loud for a choosy rise', () => {
    const serves = (roles: readonly Role[]) =>
      kept('attractor', roles).needs.find(({ stageKey }) => stageKey === 'dark-olive-dun')?.serves.length
    expect(serves([])).toBe(0)
    expect(serves(['muted'])).toBe(1)
    expect(serves(['whenChoosy'])).toBe(1)
  })

  it('an anchor goes before other heavy flies of a team', () => {
    const team = planOf(
      withOuting(
        { techniques: ['tightLineNymph'] },
        {
          variants: [
            variant('first', jigNymph(), { onHand: 9 }),
            variant('second', jigNymph(), { onHand: 9, roles: ['anchor'] }),
          ],
        },
      ),
    ).needs.find(({ kind }) => kind === 'anchor')
    expect(team?.serves.map(({ variant: { key }, meant }) => [key, meant])).toEqual([
      ['second', true],
      ['first', false],
    ])
  })
})

describe('fish that take whatever comes', () => {
  const by = (purpose: Purpose, ownMonths: readonly number[] = []) => {
    const { needs, before } = planOf(inputs({ variants: [variant('jig', jigNymph(), { onHand: 9, purpose, ownMonths })] })) // prettier-ignore
    const n = needs.findIndex(({ kind }) => kind === 'whatever')
    const hours = (of: readonly number[] | undefined) => (of ?? []).reduce((sum, one) => sum + one, 0)
    return { shown: hours(before.needs[n]?.shown), passing: hours(before.needs[n]?.passing) }
  }

  it('are served by searching patterns best, by attractors well, and by an imitation only in passing', () => {
    expect(by('searching').shown).toBeGreaterThan(by('attractor').shown)
    expect(by('attractor').shown).toBeGreaterThan(0.3)
    expect(by('imitation').shown).toBe(0)
    expect(by('imitation').passing).toBeGreaterThan(0.2)
  })

  it('are so in the pattern’s own months', () => {
    expect(by('attractor', [4]).shown).toBe(by('attractor').shown)
    expect(by('attractor', [7]).shown).toBe(0)
  })

  it('never are choosy: an attractor that looks like the dun does not serve a rise to it', () => {
    const dun = (purpose: Purpose) =>
      planOf(inputs({ variants: [variant('dry', hackledDry(), { purpose })] })).needs.find(
        ({ stageKey }) => stageKey === 'dark-olive-dun',
      )
    expect(dun('imitation')?.serves).toHaveLength(1)
    expect(dun('attractor')?.serves).toHaveLength(0)
    expect(dun('attractor')?.couldPass).toHaveLength(1)
  })
})

describe('five notes of a water', () => {
  const flies = [
    variant('jig', jigNymph(), { onHand: 3, lead: false, weighted: true }),
    variant('leaded', jigNymph('bead-brass-slotted'), { onHand: 3, lead: true, weighted: true }),
    variant('dry', hackledDry(), { onHand: 3 }),
    variant('large dry', hackledDry('14'), { onHand: 3, hookSize: 14, meantFor: ['dark-olive-dun'] }),
  ]
  const under = (rules: Partial<FlyRules>, techniques: ComingOuting['techniques'] = []) => {
    const { problem, needs, before } = planOf(withOuting({ rules: { ...NO_RULES, ...rules }, techniques }, { variants: flies })) // prettier-ignore
    const served = problem.candidates.filter(({ serves }) => serves.length > 0).map(({ key }) => key)
    return { served, needs, before }
  }

  it.each([
    [{ dryOnly: true }, ['dry', 'large dry']],
    [{ noLead: true }, ['jig', 'dry', 'large dry']],
    [{ noAddedWeight: true }, ['dry', 'large dry']],
    [{ maxHookSize: 16 }, ['jig', 'leaded', 'dry']],
    [{ minHookSize: 14 }, ['large dry']],
  ] as const)('plans and counts nothing against %j, and names what is in the way', (rules, served) => {
    const found = under(rules)
    expect(found.served).toEqual(served)
    const barred = new Set(found.needs.flatMap(({ barred: ones }) => ones.map(({ variant: { key } }) => key)))
    expect([...barred].every((key) => !(served as readonly string[]).includes(key))).toBe(true)
    expect(barred.size).toBeGreaterThan(0)
    expect(found.before.shown).toBeLessThan(under({}).before.shown + 1e-9)
  })

  it('shows nothing under an indicator that the note forbids', () => {
    expect(under({ noIndicator: true }, ['indicatorNymph']).before.shown).toBe(0)
    expect(under({}, ['indicatorNymph']).before.shown).toBeGreaterThan(0)
  })
})

describe('batchesOf', () => {
  it('says from when to when there would be nothing to show without it, in hours of the exact cover', () => {
    const late = [...halves(0, 3), ...halves(0.6, 2)]
    const of = inputs({
      outings: [
        {
          ...outing,
          foods: [{ stageKey: 'dark-olive-dun', onIt: late, lengthMmLow: 5, lengthMmHigh: 9 }],
          whatever: late.map((share) => 1 - share),
        },
      ],
    })
    const { problem, needs, counts, before, after } = planOf(of)
    const batches = batchesOf(problem, needs, counts)
    const dry = batches.find(({ candidate }) => candidate === 'dry')
    // three hours after ten o'clock, until three
    expect(dry?.covers[0]).toMatchObject({ fromLocalMin: 780, toLocalMin: 900, elseNothing: true })
    expect(dry?.costOfLeaving).toBeCloseTo(after.shown - before.shown, 6)
  })
})
