import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stepsOf } from '../testing/steps.ts'
import { randomFrom } from '../uncertainty/index.ts'
import { hoursMore } from './hours.ts'
import { hoursAdded, hoursShown, lossChances, needHours } from './index.ts'
import type { FliesShown, LossRate } from './index.ts'

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
const never: LossRate = { shape: 1e6, hours: 1e12 }

const share = fc.double({ min: 0, max: 1, noNaN: true })
const shares = fc.array(share, { minLength: 1, maxLength: 12 })
const rate = fc.record({
  shape: fc.double({ min: 0.5, max: 10, noNaN: true }),
  hours: fc.double({ min: 0.5, max: 40, noNaN: true }),
})
const flies = fc.array(fc.record({ quality: share, count: fc.double({ min: 0, max: 4, noNaN: true }) }), {
  maxLength: 5,
})

/** A need whose flies are fished all the time that fish are on it. */
function needOf(onIt: readonly number[], of: LossRate) {
  const before = onIt.map((_, half) => sum(onIt.slice(0, half)) / 2)
  return needHours(onIt, before, of)
}

describe('lossChances', () => {
  it('are those of a gamma rate and a Poisson count: they sum to one and have its mean', () => {
    const chances = lossChances({ shape: 2, hours: 4 }, 3)
    expect(sum(chances)).toBeCloseTo(1, 6)
    // 2 losses in 4 hours, so 1.5 in 3
    expect(sum(chances.map((chance, k) => k * chance))).toBeCloseTo(1.5, 4)
    // (4/7)² by hand
    expect(chances[0]).toBeCloseTo(0.3265, 4)
  })
})

describe('hoursShown', () => {
  it('is what the fly shows that comes next after those that were lost, fly by fly', () => {
    // up to four times as many as may be lost
    const whole = fc.array(fc.record({ quality: share, count: fc.integer({ min: 0, max: 20 }) }), {
      maxLength: 5,
    })
    fc.assert(
      fc.property(shares, rate, whole, (onIt, of, there) => {
        const need = needOf(onIt, of)
        const inTurn = there
          .flatMap(({ quality, count }) => Array<number>(count).fill(quality))
          .sort((a, b) => b - a)
        hoursShown(need, there).forEach((hours, half) => {
          const next = inTurn.map((quality, lost) => quality * (need.lost[half]?.[lost] ?? 0))
          expect(hours).toBeCloseTo((onIt[half]! * sum(next)) / 2, 9)
        })
      }),
    )
  })

  it('is the time and the share of fish, where a right fly is never lost', () => {
    expect(sum(hoursShown(needOf([0.5, 1], never), [{ quality: 1, count: 1 }]))).toBeCloseTo(0.75, 6)
    expect(sum(hoursShown(needOf([0.5, 1], never), [{ quality: 0.8, count: 3 }]))).toBeCloseTo(0.6, 6)
    expect(sum(hoursShown(needOf([0.5, 1], never), []))).toBe(0)
  })

  it('is what made-up days come to: a rate drawn, flies lost one by one, the best that is left shown', () => {
    const random = randomFrom(9)
    const rate = { shape: 2, hours: 3 }
    const onIt = [0.5, 0.8, 1, 1, 0.6, 0.3]
    const flies = [1, 0.9, 0.8]
    const days = 20_000
    let shown = 0
    for (let day = 0; day < days; day += 1) {
      // a gamma rate of shape 2 is the sum of two exponentials
      const perHour = -(Math.log(random()) + Math.log(random())) / rate.hours
      let [clock, lost] = [-Math.log(random()) / perHour, 0]
      let fished = 0
      for (const share of onIt) {
        const middle = fished + share / 4
        while (clock < middle) {
          lost += 1
          clock -= Math.log(random()) / perHour
        }
        shown += 0.5 * share * (flies[lost] ?? 0)
        fished += share / 2
      }
    }
    const middles = onIt.map((share, half) => sum(onIt.slice(0, half)) / 2 + share / 4)
    const reckoned = sum(hoursShown(needHours(onIt, middles, rate), flies.map((quality) => ({ quality, count: 1 })))) // prettier-ignore
    expect(Math.abs(shown / days / reckoned - 1)).toBeLessThan(0.01)
  })

  it('is less in the evening where the only fly may have gone by noon', () => {
    const [first, last] = hoursShown(needOf([1, 1, 1, 1, 1, 1], { shape: 2, hours: 2 }), [
      { quality: 1, count: 1 },
    ]).filter((_, half) => half === 0 || half === 5)
    expect(first).toBeCloseTo(0.5, 9)
    expect(last).toBeLessThan(0.15)
  })

  it('shows the best fly while there is one, and the next when it is gone', () => {
    const need = { onIt: [1], lost: [[0.5, 0.3, 0.2]] }
    const shown = sum(hoursShown(need, [{ quality: 0.8, count: 1 }, { quality: 1, count: 1 }])) // prettier-ignore
    expect(shown).toBeCloseTo(0.5 * (0.5 * 1 + 0.3 * 0.8), 9)
  })

  it('is never less with more flies or better ones, nor more with more losses, nor more than there is', () => {
    const more = (some: readonly FliesShown[], extra: FliesShown) => [...some, extra]
    fc.assert(
      fc.property(shares, rate, flies, share, fc.double({ min: 1, max: 5, noNaN: true }), (onIt, of, some, quality, times) => {
        const need = needOf(onIt, of)
        const shown = sum(hoursShown(need, some))
        expect(sum(hoursShown(need, more(some, { quality, count: 1 })))).toBeGreaterThanOrEqual(shown - 1e-9)
        const better = some.map((one) => ({ ...one, quality: Math.min(one.quality + 0.1, 1) }))
        expect(sum(hoursShown(need, better))).toBeGreaterThanOrEqual(shown - 1e-9)
        const worse = needOf(onIt, { ...of, hours: of.hours / times })
        expect(sum(hoursShown(worse, some))).toBeLessThanOrEqual(shown + 1e-9)
        expect(shown).toBeLessThanOrEqual(sum(onIt) / 2 + 1e-9)
      }),
      { seed: 16, numRuns: 300 },
    ) // prettier-ignore
  })
})

describe('hoursMore', () => {
  it('is what some more flies add to those that there are, whatever was asked before', () => {
    // as good as one that is there, too
    const asked = fc.array(
      fc.record({
        quality: fc.oneof(share, fc.constant(0.5)),
        count: fc.double({ min: 0, max: 30, noNaN: true }),
      }),
      { minLength: 1, maxLength: 6 },
    )
    fc.assert(
      fc.property(
        shares,
        rate,
        flies,
        fc.integer({ min: 0, max: 40 }),
        asked,
        (onIt, of, some, alike, more) => {
          const need = needOf(onIt, of)
          const there = [...some, { quality: 0.5, count: alike }]
          const added = hoursMore(need, there)
          for (const one of [...more, ...more.map(({ count }) => ({ quality: 0.5, count }))])
            expect(added(one)).toBeCloseTo(
              sum(hoursShown(need, [...there, one])) - sum(hoursShown(need, there)),
              9,
            )
        },
      ),
      { seed: 18, numRuns: 300 },
    )
  })
})

describe('hoursAdded', () => {
  it('falls from fly to fly and comes to what as many right flies show', () => {
    fc.assert(
      fc.property(shares, rate, (onIt, of) => {
        const adds = hoursAdded(needOf(onIt, of))
        expect(Math.max(...stepsOf(adds))).toBeLessThanOrEqual(1e-12)
        const all = sum(hoursShown(needOf(onIt, of), [{ quality: 1, count: adds.length }]))
        expect(sum(adds)).toBeCloseTo(all, 9)
      }),
      { seed: 17, numRuns: 200 },
    )
  })
})
