import type { Highs, Model } from 'highs'
import { columnsOf, countsOf, faultsOf, planValue, programOf, suppliesOf } from '../../core/index.ts'
import type { Counts, PlanProblem, Program } from '../../core/index.ts'

/** A plan with what is proven of it: no plan is worth more than the bound. */
export interface SolvedPlan {
  readonly counts: Counts
  readonly value: number
  /** null where the solver proved nothing yet */
  readonly bound: number | null
  /** 0 to 1 of the time that it may take */
  readonly done: number
}

export interface SolveInput {
  readonly problem: PlanProblem
  /** a plan to begin from, and never to fall behind */
  readonly start: Counts
  readonly seconds: number
}

/** Time of each run of the solver, which begins anew each time: a short one, so that a stop is heard, then long ones. */
const SLICES_S = [0.5, 4.5, 10]
/** Nobody ties the difference of a plan that is this near to the best. */
const NEAR_ENOUGH = 0.002

function modelOf(highs: Highs, program: Program): Model {
  const { variableType, objectiveSense } = highs.constants
  const starts: number[] = [0]
  for (const { columns } of program.rows) starts.push((starts.at(-1) ?? 0) + columns.length)
  return highs.createModel({
    numCols: program.cost.length,
    numRows: program.rows.length,
    sense: objectiveSense.maximize,
    colCost: [...program.cost],
    colLower: [...program.lower],
    colUpper: [...program.upper],
    rowLower: program.rows.map(() => -highs.infinity),
    rowUpper: program.rows.map(({ most }) => most),
    integrality: program.isInteger.map((whole) => (whole ? variableType.integer : variableType.continuous)),
    matrix: {
      format: 'csr',
      numRows: program.rows.length,
      numCols: program.cost.length,
      starts,
      indices: program.rows.flatMap(({ columns }) => columns),
      values: program.rows.flatMap(({ values }) => values),
    },
  })
}

/** Improves a plan in slices of time, by a mixed-integer solver; yields the best so far and what is proven of it. */
export function* solvePlan(
  highs: Highs,
  { problem, start, seconds }: SolveInput,
): Generator<SolvedPlan, SolvedPlan> {
  let best: SolvedPlan = { counts: start, value: planValue(problem, start), bound: null, done: 0 }
  const model = modelOf(highs, programOf(problem))
  try {
    model.options.set('output_flag', false)
    model.options.set('mip_rel_gap', NEAR_ENOUGH)
    let spent = 0
    for (const slice of SLICES_S) {
      if (spent >= seconds) break
      yield best
      model.clearSolver()
      model.options.set('time_limit', Math.min(slice, seconds - spent))
      model.setSolution({ colValue: columnsOf(problem, best.counts, suppliesOf(problem, best.counts)) })
      model.zeroAllClocks()
      const { modelStatus } = model.run()
      spent += slice
      const counts = countsOf(problem, model.getSolution().colValue)
      const value = planValue(problem, counts)
      const bound = Number(model.info.get('mip_dual_bound'))
      best = {
        // what the solver answers is checked by our own reckoning before it is believed
        ...(value > best.value && faultsOf(problem, counts).length === 0
          ? { counts, value }
          : { counts: best.counts, value: best.value }),
        bound: Number.isFinite(bound) ? Math.min(bound, best.bound ?? Infinity) : best.bound,
        done: Math.min(spent / seconds, 1),
      }
      if (modelStatus === highs.constants.modelStatus.optimal) break
    }
    return { ...best, done: 1 }
  } finally {
    model.dispose()
  }
}
