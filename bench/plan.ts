import highsLoader from 'highs'
import {
  faultsOf,
  greedyPlan,
  learnedLossRate,
  lossQuantile,
  planValue,
  poisson,
  priorLossRate,
  randomFrom,
} from '../core/index.ts'
import type { Counts, PlanProblem } from '../core/index.ts'
import { generatedPlan } from '../core/testing/generatedPlans.ts'
import { solvePlan } from '../web/workers/solvePlan.ts'
import type { SolvedPlan } from '../web/workers/solvePlan.ts'
import { median, ms } from './timing.ts'
import type { Line } from './timing.ts'

const CASES = 200
const LARGEST = { needs: 120, candidates: 300, periods: 6, materials: 40, minutes: 180 }
const LARGEST_CASES = 5

function last<Step, Result>(work: Generator<Step, Result>): Result {
  let step = work.next()
  while (!step.done) step = work.next()
  return step.value
}

const gapOf = ({ value, bound }: SolvedPlan) => (bound === null ? Infinity : Math.max(bound - value, 0) / value)

/** How often what was carried was enough, where 9 in 10 were wanted: made-up patterns, a season each, then an outing. */
function lossesCovered(): number {
  const random = randomFrom(2026)
  const prior = priorLossRate('bottom', { snagginess: 2 })
  const held = Array.from({ length: 5000 }, () => {
    const rate = -(Math.log(random()) + Math.log(random())) / prior.hours
    const hours = 2 + 30 * random()
    const learned = learnedLossRate(prior, poisson(random, rate * hours), hours)
    return poisson(random, rate * 5) <= lossQuantile(learned, 5, 0.9)
  })
  return held.filter(Boolean).length / held.length
}

/** Plans against greedy ones, the largest case, and how well losses are foretold. */
export async function benchPlan(): Promise<readonly Line[]> {
  const highs = await highsLoader()
  const solve = (problem: PlanProblem, start: Counts, seconds: number) =>
    last(solvePlan(highs, { problem, start, seconds }))
  const gains: number[] = []
  let worse = 0
  for (let seed = 1; seed <= CASES; seed += 1) {
    const problem = generatedPlan(seed, { needs: 25, candidates: 40, periods: 3, materials: 6, minutes: 120 })
    const start = last(greedyPlan(problem))
    const { counts, value } = solve(problem, start, 0.5)
    const greedy = planValue(problem, start)
    if (value < greedy - 1e-9 || faultsOf(problem, counts).length > 0) worse += 1
    gains.push(greedy > 0 ? value / greedy - 1 : 0)
  }
  const largest = Array.from({ length: LARGEST_CASES }, (_, i) => {
    const problem = generatedPlan(i + 1, LARGEST)
    const from = performance.now()
    const start = last(greedyPlan(problem))
    const greedyMs = performance.now() - from
    const plan = solve(problem, start, 4)
    return { greedyMs, allMs: performance.now() - from, gap: gapOf(plan) }
  })
  return [
    {
      what: `plans that are worse than the greedy one, of ${CASES}; better by, median and most`,
      figure: `${worse}; ${(100 * median(gains)).toFixed(2)} %, ${(100 * Math.max(...gains)).toFixed(1)} %`,
      wanted: 'none',
    },
    {
      what: '120 needs, 300 flies, 6 outings: greedy plan; solved, time and gap at most of five',
      figure: `${ms(median(largest.map(({ greedyMs }) => greedyMs)))}; ${ms(Math.max(...largest.map(({ allMs }) => allMs)))}, ${(100 * Math.max(...largest.map(({ gap }) => gap))).toFixed(2)} %`,
      wanted: 'within 1 % of the bound in 5 s',
    },
    {
      what: 'outings in which what was carried was enough, 9 in 10 wanted, 5,000 made-up patterns',
      figure: `${(100 * lossesCovered()).toFixed(1)} %`,
      wanted: 'at least 90 %',
    },
  ]
}
