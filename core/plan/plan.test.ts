import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { generatedPlan } from '../testing/generatedPlans.ts'
import { toEnd } from '../testing/toEnd.ts'
import { poisson, randomFrom } from '../uncertainty/index.ts'
import {
  expectedLosses, faultsOf, greedyPlan, inOrder, learnedLossRate, lossQuantile, overEvenings, parFor,
  planValue, priorLossRate, withoutIdleNewcomers,
} from './index.ts' // prettier-ignore
import type { Counts, PlanProblem, Setup, Trust } from './index.ts'

const greedy = (problem: PlanProblem): Counts => toEnd(greedyPlan(problem))

/** Every way to tie, tried. */
function bestByTrying(problem: PlanProblem): number {
  const slots = problem.candidates.flatMap((_, c) => problem.periods.map((__, k) => [c, k] as const))
  const counts = problem.candidates.map(() => problem.periods.map(() => 0))
  let best = -Infinity
  const place = (at: number): void => {
    const slot = slots[at]
    if (!slot) {
      if (faultsOf(problem, counts).length === 0) best = Math.max(best, planValue(problem, counts))
      return
    }
    const [c, k] = slot
    const row = counts[c]
    if (!row) return
    for (let count = 0; count <= (problem.candidates[c]?.most ?? 0); count += 1) {
      row[k] = count
      place(at + 1)
    }
    row[k] = 0
  }
  place(0)
  return best
}

describe('losses', () => {
  it('have the quantiles of the negative binomial, reckoned by its own sum of gamma functions', () => {
    const logGamma = (x: number): number => {
      // Stirling's series, after shifting up to where it is exact to 1e-8
      let shift = 0
      let y = x
      while (y < 12) {
        shift -= Math.log(y)
        y += 1
      }
      return (
        shift + (y - 0.5) * Math.log(y) - y + 0.5 * Math.log(2 * Math.PI) + 1 / (12 * y) - 1 / (360 * y ** 3)
      )
    }
    const cdf = (r: number, p: number, upTo: number) => {
      let sum = 0
      for (let k = 0; k <= upTo; k += 1) {
        sum += Math.exp(logGamma(k + r) - logGamma(r) - logGamma(k + 1) + r * Math.log(1 - p) + k * Math.log(p))
      }
      return sum
    }
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.constantFrom(0.5, 0.8, 0.9, 0.95),
        (shape, hours, fished, level) => {
          const count = lossQuantile({ shape, hours }, fished, level)
          const p = fished / (hours + fished)
          expect(cdf(shape, p, count)).toBeGreaterThanOrEqual(level - 1e-6)
          if (count > 0) expect(cdf(shape, p, count - 1)).toBeLessThan(level + 1e-6)
        },
      ),
      { seed: 5, numRuns: 200 },
    )
  })

  it('are covered by the par in nine made-up outings of ten, once a season has been learned from', () => {
    const random = randomFrom(77)
    const prior = priorLossRate('bottom', { snagginess: 2 })
    let [held, all] = [0, 0]
    for (let pattern = 0; pattern < 3000; pattern += 1) {
      // rates as the prior spreads them: gamma of shape 2 is the sum of two exponentials
      const rate = -(Math.log(random()) + Math.log(random())) / prior.hours
      const learned = learnedLossRate(prior, poisson(random, rate * 20), 20)
      const needed = lossQuantile(learned, 5, 0.9)
      if (poisson(random, rate * 5) <= needed) held += 1
      all += 1
    }
    expect(held / all).toBeGreaterThan(0.88)
    expect(held / all).toBeLessThan(0.96)
  })

  it('grow with snags and hours, and par is never below three', () => {
    expect(expectedLosses(priorLossRate('bottom', { snagginess: 4 }), 3)).toBeGreaterThan(
      expectedLosses(priorLossRate('bottom', { snagginess: 0 }), 3),
    )
    expect(parFor(priorLossRate('midWater', { snagginess: 0 }), 0.5, 0.9)).toBe(3)
    expect(parFor(priorLossRate('bottom', { snagginess: 4 }), 8, 0.9)).toBeGreaterThan(8)
    expect(parFor(priorLossRate('bottom', { snagginess: 2 }), 5, 0.95)).toBeGreaterThanOrEqual(
      parFor(priorLossRate('bottom', { snagginess: 2 }), 5, 0.8),
    )
  })
})

describe('greedyPlan', () => {
  const small = { needs: 3, candidates: 3, periods: 1, materials: 1, minutes: 30 }

  it('never breaks a limit, nor does worse than tying nothing', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const problem = generatedPlan(seed, { needs: 12, candidates: 20, periods: 3, materials: 4, minutes: 90 })
      const counts = greedy(problem)
      expect(faultsOf(problem, counts), `seed ${seed}`).toEqual([])
      const nothing = problem.candidates.map(() => problem.periods.map(() => 0))
      expect(planValue(problem, counts)).toBeGreaterThanOrEqual(planValue(problem, nothing) - 1e-9)
    }
  })

  it('comes near to the best of all on cases small enough to try everything', () => {
    const shares = Array.from({ length: 30 }, (_, i) => {
      const problem = generatedPlan(i + 1, small)
      const best = bestByTrying(problem)
      return best > 0 ? planValue(problem, greedy(problem)) / best : 1
    })
    expect(Math.min(...shares)).toBeGreaterThan(0.85)
    expect(shares.filter((share) => share > 0.999).length).toBeGreaterThan(22)
  })

  it('ties what the user fixed before all else, and nothing that was forbidden', () => {
    const problem = generatedPlan(3, { needs: 6, candidates: 8, periods: 2, materials: 0, minutes: 120 })
    const fixed = {
      ...problem,
      candidates: problem.candidates.map((candidate, c) =>
        c === 0
          ? { ...candidate, fixed: 4, most: 0, minutesEach: 5, nightsToDry: 1 }
          : c === 1
            ? { ...candidate, fixed: 0 }
            : candidate,
      ),
    }
    const counts = greedy(fixed)
    expect(counts[0]?.reduce((sum, count) => sum + count, 0)).toBe(4)
    expect(counts[1]).toEqual([0, 0])
  })
})

describe('what was taken so far', () => {
  const problem = (trusts: readonly Trust[], qualities: readonly number[] = trusts.map(() => 0.8)): PlanProblem => ({
    periods: [{ key: 'sat', minutesByNights: [30] }],
    needs: [{ key: 'dun', period: 0, adds: [1, 0.5, 0.3] }],
    limits: [],
    candidates: trusts.map((trust, c) => ({
      key: `${trust} ${c}`, minutesEach: 10, nightsToDry: 0, survives: [1], dislike: 0, trust, onHand: 0, most: 6, uses: [], serves: [{ need: 0, quality: qualities[c] ?? 0 }], fixed: null,
    })),
  }) // prettier-ignore
  const chosen = (of: PlanProblem) =>
    of.candidates.filter((_, c) => (greedy(of)[c]?.[0] ?? 0) > 0).map(({ trust }) => trust)

  it('decides between flies that do alike: what is trusted before what nobody fished, and what took little last', () => {
    expect(chosen(problem(['poor', 'notFished', 'trusted']))).toEqual(['trusted'])
    expect(chosen(problem(['poor', 'notFished']))).toEqual(['notFished'])
  })

  it('does not decide against a fly that does notably more', () => {
    expect(chosen(problem(['trusted', 'poor'], [0.6, 0.9]))).toEqual(['poor'])
  })
})

describe('withoutIdleNewcomers', () => {
  it('keeps of the flies that nobody made yet those that serve a need notably better, and what the user asked for', () => {
    const fly = (key: string, quality: number, fixed: number | null = null) => ({
      key, minutesEach: 10, nightsToDry: 0, survives: [], dislike: 0, trust: 'notFished' as const, onHand: 0, most: 6, uses: [], serves: [{ need: 0, quality }], fixed,
    }) // prettier-ignore
    const problem: PlanProblem = {
      periods: [{ key: 'sat', minutesByNights: [100] }],
      needs: [{ key: 'dun', period: 0, adds: [1, 0.5, 0.3] }],
      limits: [],
      candidates: [
        fly('old', 0.6),
        fly('new idle', 0.65),
        fly('new asked for', 0.2, 2),
        fly('new left out', 0.2, 0),
        ...[0.95, 0.9, 0.85, 0.8].map((quality) => fly(`new ${quality}`, quality)),
      ],
    }
    const kept = withoutIdleNewcomers(problem, (key) => key.startsWith('new')).candidates.map(({ key }) => key)
    expect(kept).toEqual(['old', 'new asked for', 'new 0.95', 'new 0.9', 'new 0.85'])
    // where what exists cannot be tied for want of a hook, a lesser one that can is better than nothing
    const short = {
      ...problem,
      limits: [{ key: 'hook', available: [0] }],
      candidates: problem.candidates.map((one) =>
        one.key === 'old' ? { ...one, uses: [{ limit: 0, perFly: 1 }] } : one,
      ),
    }
    const instead = withoutIdleNewcomers(
      { ...short, candidates: short.candidates.filter(({ key }) => key === 'old' || key === 'new idle') },
      (key) => key.startsWith('new'),
    )
    expect(instead.candidates.map(({ key }) => key)).toEqual(['old', 'new idle'])
  })
})

describe('inOrder', () => {
  it('keeps together what needs the same thread, hook and bead', () => {
    const setup = (thread: string, hook: string, bead: string): { setup: Setup } => ({ setup: { thread, hook, bead } })
    const mixed = [setup('olive', '14', 'gold'), setup('black', '12', 'none'), setup('olive', '14', 'copper'), setup('black', '12', 'none')]
    const ordered = inOrder(mixed).map(({ setup: { thread } }) => thread)
    expect(ordered.filter((thread, i) => i > 0 && thread !== ordered[i - 1])).toHaveLength(1)
  }) // prettier-ignore
})

describe('overEvenings', () => {
  it('fills one evening after the other and splits a batch where it does not fit', () => {
    const batches = [
      { key: 'a', count: 4, minutes: 40 },
      { key: 'b', count: 2, minutes: 30 },
    ]
    const evenings = [
      { on: '2026-06-01', minutes: 35 },
      { on: '2026-06-02', minutes: 45 },
    ]
    expect(overEvenings(batches, evenings).map(({ on, batch, count }) => [on, batch.key, count])).toEqual([
      ['2026-06-01', 'a', 3],
      ['2026-06-02', 'a', 1],
      ['2026-06-02', 'b', 2],
    ])
  })

  it('begins with what has to dry longest', () => {
    const batches = [
      { key: 'soon', count: 2, minutes: 20, nightsToDry: 0 },
      { key: 'varnished', count: 2, minutes: 40, nightsToDry: 2 },
    ]
    const evenings = ['2026-06-01', '2026-06-02'].map((on) => ({ on, minutes: 40 }))
    expect(overEvenings(batches, evenings).map(({ on, batch }) => [on, batch.key])).toEqual([
      ['2026-06-01', 'varnished'],
      ['2026-06-02', 'soon'],
    ])
  })

  it('does not begin what waits for a delivery before that has come', () => {
    const batches = [
      { key: 'waits', count: 1, minutes: 10, notBefore: '2026-06-02' },
      { key: 'ready', count: 2, minutes: 20, notBefore: null },
    ]
    const evenings = ['2026-06-01', '2026-06-02'].map((on) => ({ on, minutes: 60 }))
    expect(overEvenings(batches, evenings).map(({ on, batch }) => [on, batch.key])).toEqual([
      ['2026-06-01', 'ready'],
      ['2026-06-02', 'waits'],
    ])
  })
})
