import { describe, expect, it } from 'vitest'
import { randomFrom } from '../uncertainty/index.ts'
import { SIGNS, weightFor } from '../waterside/index.ts'
import type { Showing } from '../waterside/index.ts'
import {
  afterTheCut, askable, BEATS, dunOrSpent, flyForSigns, hookSize, howDeep, leadACruiser, nextSubject, RISE_FORMS,
  riseForm, standingsOf, theBeat,
} from './index.ts' // prettier-ignore
import type { OwnStage, Question } from './index.ts'

const seeds = Array.from({ length: 60 }, (_, i) => i + 1)
/** Questions of many seeds; those that cannot be asked are left out. */
const asked = <S, C>(ask: (random: () => number) => Question<S, C> | null): readonly Question<S, C>[] =>
  seeds.flatMap((seed) => ask(randomFrom(seed)) ?? [])
const answer = <S, C>({ choices, right }: Question<S, C>) => choices[right]

const stage = (groupKey: string, name: string, more: Partial<OwnStage> = {}): OwnStage => ({
  ...{ key: `${groupKey} ${name}`, foodKey: `some-${groupKey}`, groupKey, stage: name },
  ...{ lengthMmLow: 6, lengthMmHigh: 8, hookRanges: [] },
  ...more,
})

describe('how deep after a count', () => {
  it('is the fall times the count: 12 cm/s for five seconds are 60 cm', () => {
    const questions = asked((random) => howDeep(random, { key: 'nymph', fallMmPerS: 120 }))
    const five = questions.find(({ shown }) => shown.countS === 5)
    expect(five && answer(five)).toBeCloseTo(600, 6)
    for (const question of questions) {
      expect(answer(question)).toBeLessThanOrEqual(5000)
      expect(question.choices).toEqual(question.choices.toSorted((a, b) => a - b))
    }
    // the right one stands in any place
    expect(new Set(questions.map(({ right }) => right)).size).toBe(4)
  })

  it('is not asked of what floats, or is at five metres before one can count', () => {
    expect(howDeep(randomFrom(1), { key: 'dry', fallMmPerS: null })).toBeNull()
    expect(howDeep(randomFrom(1), { key: 'stone', fallMmPerS: 2000 })).toBeNull()
  })
})

describe('where a fly lands before a cruiser', () => {
  it('is 1.5 m before one that takes off the top at 35 cm/s', () => {
    const usual = asked((random) => leadACruiser(random, { key: 'dry', fallMmPerS: null })).find(({ shown }) => shown.cruise === 'usual') // prettier-ignore
    expect(usual && answer(usual)).toBe(1500)
  })

  it('is the way that it swims while the fly falls and a second more: 1 m down at 10 cm/s are 11 s, 5.5 m at half a metre a second', () => {
    const one = asked((random) => leadACruiser(random, { key: 'nymph', fallMmPerS: 100 })).find(({ shown }) => shown.cruise === 'fast' && shown.depthMm === 1000) // prettier-ignore
    expect(one && answer(one)).toBeCloseTo(5500, 6)
  })
})

describe('the beat', () => {
  it.each(BEATS)('of a fish that is %s is asked with one right answer, apart from the others', (beat) => {
    const questions = asked((random) => theBeat(random, beat))
    expect(questions.length).toBe(seeds.length)
    for (const question of questions) {
      const right = answer(question)
      const windows = question.choices.flatMap((choice) => choice ?? [])
      expect(question.choices.filter((choice) => choice === null)).toHaveLength(1)
      if (beat === 'none') expect(right).toBeNull()
      else {
        // the next rise of an even fish is about as far away as its last ones
        const last = question.shown.gapsS.slice(-3).reduce((sum, s) => sum + s, 0) / 3
        expect(right?.fromS).toBeLessThan(last * 1.35)
        expect(right?.toS).toBeGreaterThan(last * 0.9)
      }
      for (const [i, one] of windows.entries())
        for (const other of windows.slice(i + 1))
          expect(one.toS <= other.fromS || other.toS <= one.fromS).toBe(true)
    }
  })
})

describe('naturals', () => {
  const hookRanges = [
    { size: '14', fromMm: 8, toMm: 10 },
    { size: '16', fromMm: 6, toMm: 8 },
    { size: '18', fromMm: 5, toMm: 7 },
  ]

  it('are tied on a hook of their length: 7.5 mm on a 16, and no other that is asked would do', () => {
    const long = stage('mayfly', 'dun', { hookRanges, lengthMmLow: 7.5, lengthMmHigh: 7.5 })
    for (const question of asked((random) => hookSize(random, long))) {
      expect(answer(question)).toBe('16')
      expect(question.choices).toHaveLength(4)
    }
    // 6.5 mm goes on a 16 and on an 18: neither is offered as wrong
    const between = stage('mayfly', 'dun', { hookRanges, lengthMmLow: 6.5, lengthMmHigh: 6.5 })
    for (const { choices } of asked((random) => hookSize(random, between)))
      expect(choices.filter((size) => size === '16' || size === '18')).toHaveLength(1)
    expect(hookSize(randomFrom(1), stage('worm', 'adult'))).toBeNull()
  })

  it('of a mayfly are told apart: dun, spent, or coming out; of others it is not asked', () => {
    for (const name of ['emerger', 'dun', 'spinner']) {
      const question = dunOrSpent(randomFrom(3), stage('mayfly', name))
      expect(question && answer(question)).toBe(name)
    }
    expect(dunOrSpent(randomFrom(3), stage('mayfly', 'nymph'))).toBeNull()
    expect(dunOrSpent(randomFrom(3), stage('caddis', 'adult'))).toBeNull()
  })

  it.each(RISE_FORMS)('of the rise %s are what the sign speaks for, and the wrong ones are not', (form) => {
    const larder = [
      stage('mayfly', 'risingNymph'), stage('mayfly', 'emerger'), stage('mayfly', 'dun'), stage('mayfly', 'spinner'),
      stage('mayfly', 'nymph'), stage('midgeLake', 'pupaRising'), stage('midgeLake', 'emerger'), stage('scud', 'adult'),
      stage('caddis', 'eggLayer'), stage('caddis', 'adult'), stage('caddis', 'pupa'), stage('midgeRiver', 'emerger'),
    ] // prettier-ignore
    const sign = SIGNS.find(({ key }) => key === form)
    const questions = asked((random) => riseForm(random, form, larder))
    expect(questions.length).toBeGreaterThan(50)
    for (const { choices, right } of questions) {
      const says = choices.map((key) => {
        const one = larder.find((each) => each.key === key)
        return one && sign ? (weightFor(sign, one) ?? 0) : NaN
      })
      expect(says[right]).toBeGreaterThanOrEqual(0.9)
      expect(says.filter((weight) => weight > 0.35)).toHaveLength(1)
    }
  })
})

describe('flies', () => {
  it('sit after a cut as the bench reckons', () => {
    expect(answer(afterTheCut({ key: 'dry', from: 'proud', to: 'inFilm' }))).toBe('inFilm')
  })

  it('for two signs: that which is something to show to most fish then, worked out by hand', () => {
    const of = { foodKey: 'dark-olive', groupKey: 'mayfly' }
    const shares = { stages: [{ ...of, id: 'dun', stage: 'dun', share: 0.2 }, { ...of, id: 'nymph', stage: 'nymph', share: 0.5 }], whatever: 0.3 } // prettier-ignore
    const fly = (key: string, does: Record<string, number>, whatever = 0): Showing => ({ key, way: 'dry', stages: new Map(Object.entries(does)), whatever }) // prettier-ignore
    const showings = [
      fly('dun', { dun: 0.9 }), fly('nymph', { nymph: 0.8 }), fly('lure', {}, 0.1), fly('ant', {}, 0.05),
      fly('hopper', {}, 0.02),
    ] // prettier-ignore
    expect(askable({ shares, showings })).toContain('dun')
    const questions = asked((random) => flyForSigns(random, 'dun', { shares, showings }))
    expect(questions.length).toBeGreaterThan(0)
    for (const question of questions) {
      expect(answer(question)).toBe('dun')
      expect(question.shown.signs).toHaveLength(2)
      expect(
        new Set(question.shown.signs.map((key) => SIGNS.find((sign) => sign.key === key)?.group)).size,
      ).toBe(2)
      for (const key of question.shown.signs) {
        const sign = SIGNS.find((one) => one.key === key)
        expect(sign && weightFor(sign, shares.stages[0]!)).toBeGreaterThanOrEqual(0.5)
      }
    }
    expect(flyForSigns(randomFrom(1), 'dun', { shares, showings: showings.slice(0, 2) })).toBeNull()
  })
})

describe('what is asked next', () => {
  const DAY = 86_400_000
  const at = (days: number, subject: string, isRight: boolean) => ({ subject, atMs: days * DAY, isRight })
  const next = (answers: ReturnType<typeof at>[], days: number, ...asked: string[]) =>
    nextSubject(randomFrom(5), ['a', 'b', 'c'], standingsOf(answers), { atMs: days * DAY, asked })

  it('waits a day after one right answer, three after two, eight after three; a miss begins anew', () => {
    const due = (...answers: ReturnType<typeof at>[]) => standingsOf(answers)[0]
    expect(due(at(0, 'a', true))?.dueMs).toBe(1 * DAY)
    expect(due(at(0, 'a', true), at(1, 'a', true))?.dueMs).toBe(4 * DAY)
    expect(due(at(0, 'a', true), at(1, 'a', true), at(4, 'a', true))?.dueMs).toBe(12 * DAY)
    expect(due(at(0, 'a', true), at(1, 'a', true), at(4, 'a', false))).toEqual({ subject: 'a', dueMs: 4 * DAY, isMissed: true }) // prettier-ignore
  })

  it('is what was missed, then what is due, then what was never asked, then what is due soonest', () => {
    expect(next([at(0, 'a', true), at(0, 'b', false)], 3)).toBe('b')
    expect(next([at(0, 'a', true), at(0, 'b', false)], 3, 'b')).toBe('a')
    expect(next([at(0, 'a', true), at(0, 'b', true)], 0.5)).toBe('c')
    expect(next([at(0, 'a', true), at(0, 'b', true), at(0.2, 'c', true)], 0.5, 'a')).toBe('b')
    expect(nextSubject(randomFrom(5), ['a'], standingsOf([]), { atMs: 0, asked: ['a'] })).toBe('a')
    expect(nextSubject(randomFrom(5), [], [], { atMs: 0, asked: [] })).toBeUndefined()
  })

  it('is something new after one that came again', () => {
    const all = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h']
    const missed = standingsOf([at(0, 'a', false), at(0, 'b', false)])
    const after = (...asked: string[]) => nextSubject(randomFrom(1), all, missed, { atMs: DAY, asked }) ?? ''
    expect(['a', 'b']).toContain(after())
    expect(['a', 'b']).not.toContain(after('a', 'c', 'd', 'e', 'a'))
    expect(['a', 'b']).toContain(after('a', 'c', 'd', 'e', 'a', 'f'))
  })

  it('is never one of the last three, also where those were missed', () => {
    const all = ['a', 'b', 'c', 'd', 'e']
    const asked: string[] = []
    for (let n = 0; n < 20; n += 1) {
      const answers = asked.map((subject, i) => at(i / 1000, subject, false))
      const one = nextSubject(randomFrom(n), all, standingsOf(answers), { atMs: DAY, asked }) ?? ''
      expect(asked.slice(-3)).not.toContain(one)
      asked.push(one)
    }
    expect(new Set(asked).size).toBeGreaterThan(3)
  })
})
