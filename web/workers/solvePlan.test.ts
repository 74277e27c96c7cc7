import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { faultsOf, greedyPlan, planValue } from '../../core/index.ts'
import type { PlanProblem } from '../../core/index.ts'
import { generatedPlan } from '../../core/testing/generatedPlans.ts'
import { solvePlan } from './solvePlan.ts'

const highs = await highsLoader()

function last<Step, Result>(work: Generator<Step, Result>): Result {
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}
const solved = (problem: PlanProblem, seconds = 2) => {
  const start = last(greedyPlan(problem))
  return { start, plan: last(solvePlan(highs, { problem, start, seconds })) }
}

/** The best of all, by trying every count of three flies in one period. */
function bestOfAll(problem: PlanProblem): number {
  let best = -Infinity
  const [a = 0, b = 0, c = 0] = problem.candidates.map(({ most }) => most)
  for (let i = 0; i <= a; i += 1)
    for (let j = 0; j <= b; j += 1)
      for (let k = 0; k <= c; k += 1) {
        const counts = [[i], [j], [k]]
        if (faultsOf(problem, counts).length === 0) best = Math.max(best, planValue(problem, counts))
      }
  return best
}

describe('solvePlan', () => {
  it('finds the best of all where everything can be tried', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const problem = generatedPlan(seed, { needs: 3, candidates: 3, periods: 1, materials: 1, minutes: 40 })
      const best = bestOfAll(problem)
      expect(solved(problem).plan.value, `seed ${seed}`).toBeGreaterThan(best - 0.003 * Math.max(best, 0.1))
    }
  })

  it('is never worse than the greedy plan, never above its bound, and breaks no limit', () => {
    for (let seed = 101; seed <= 106; seed += 1) {
      const problem = generatedPlan(seed, { needs: 20, candidates: 30, periods: 3, materials: 5, minutes: 100 })
      const { start, plan } = solved(problem)
      expect(plan.value).toBeGreaterThanOrEqual(planValue(problem, start) - 1e-9)
      expect(faultsOf(problem, plan.counts)).toEqual([])
      expect(plan.value).toBeLessThanOrEqual((plan.bound ?? Infinity) + 1e-6)
      expect(planValue(problem, plan.counts)).toBeCloseTo(plan.value, 9)
    }
  })

  it('is never worth less with more minutes, goods or flies', () => {
    const size = { needs: 12, candidates: 16, periods: 2, materials: 3, minutes: 40 }
    for (let seed = 201; seed <= 206; seed += 1) {
      const problem = generatedPlan(seed, size)
      const times = (factor: number) => ({
        ...problem,
        periods: problem.periods.map(({ key, minutesByNights }) => ({
          key,
          minutesByNights: minutesByNights.map((minutes) => factor * minutes),
        })),
        limits: problem.limits.map(({ key, available }) => ({
          key,
          available: available.map((amount) => factor * amount),
        })),
      })
      const held = {
        ...problem,
        candidates: problem.candidates.map((one) => ({ ...one, onHand: one.onHand + 1 })),
      }
      const values = [problem, times(2), times(4)].map((one) => solved(one).plan.value)
      // the solver stops within a few thousandths of the best
      expect(values[1], `seed ${seed}`).toBeGreaterThanOrEqual(0.995 * (values[0] ?? 0))
      expect(values[2], `seed ${seed}`).toBeGreaterThanOrEqual(0.995 * (values[1] ?? 0))
      expect(solved(held).plan.value, `seed ${seed}`).toBeGreaterThanOrEqual(0.995 * (values[0] ?? 0))
    }
  })

  it('gives the best so far when it is stopped between slices', () => {
    const problem = generatedPlan(9, { needs: 20, candidates: 30, periods: 3, materials: 5, minutes: 100 })
    const start = last(greedyPlan(problem))
    const work = solvePlan(highs, { problem, start, seconds: 5 })
    const first = work.next()
    expect(first.value.counts).toBe(start)
    work.return(first.value)
    expect(work.next().done).toBe(true)
  })
})
