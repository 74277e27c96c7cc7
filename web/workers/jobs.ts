import {
  bringAllTo,
  countedDown,
  coverageOf,
  coverLooks,
  dragFree,
  findWeightings,
  greedyPlan,
  keptLongest,
  lineRate,
  onTightLine,
  plannedNeeds,
  otherFlies,
  problemOf,
  proposeVariants,
  rigFishes,
  sampleFall,
  underFloat,
  yearOfUse,
} from '../../core/index.ts'
import type {
  Between,
  BringTo,
  Calibration,
  CountedDown,
  Counts,
  CoverageInput,
  CoverLook,
  CoverRow,
  DragFree,
  FindInput,
  FoodStage,
  LookCover,
  ServingVariant,
  StageLooks,
  FindProgress,
  FishesCounted,
  FishesNot,
  FishesRig,
  FishesTight,
  FishesUnder,
  Found,
  KeptThere,
  LineCount,
  LineRate,
  MadeProblem,
  OnTightLine,
  OtherFlies,
  OtherFly,
  PlanInputs,
  PlannedNeed,
  PlanProblem,
  Progress,
  ProposedVariant,
  ProposeInput,
  RigInWater,
  SlackCast,
  SampledFall,
  SampleInput,
  UnderFloat,
  UseInput,
  YearOfUse,
} from '../../core/index.ts'

import { readText } from './readText.ts'
import { solvePlan } from './solvePlan.ts'
import type { SolvedPlan, SolveInput } from './solvePlan.ts'
import { loadSolver, solver } from './solver.ts'

/** What some looks at the boxes are worked out from. */
interface LooksInput {
  readonly looks: readonly CoverLook[]
  readonly variants: readonly ServingVariant[]
  readonly stages: readonly (FoodStage & StageLooks)[]
}

/** Heavy work by name: generators that yield progress and return a result. */
export const jobs = {
  sampleFall: ({
    calibration,
    ...input
  }: SampleInput & { readonly calibration: Calibration }): Generator<Progress, SampledFall> =>
    sampleFall(input, calibration),
  findWeightings: (input: FindInput): Generator<FindProgress, readonly Found[]> => findWeightings(input),
  coverLooks: ({ looks, variants, stages }: LooksInput): Generator<Progress, readonly LookCover[]> =>
    coverLooks(looks, variants, new Map(stages.map((stage) => [stage.id, stage]))),
  coverageOf: (input: CoverageInput): Generator<Progress, readonly CoverRow[]> => coverageOf(input),
  greedyPlan: (problem: PlanProblem): Generator<Progress, Counts> => greedyPlan(problem),
  solvePlan: (input: SolveInput): Generator<SolvedPlan, SolvedPlan> => solvePlan(solver(), input),
  plannedNeeds: (inputs: PlanInputs): Generator<Progress, readonly PlannedNeed[]> => plannedNeeds(inputs),
  problemOf: (inputs: PlanInputs): Generator<Progress, MadeProblem> => problemOf(inputs),
  proposeVariants: (input: ProposeInput): Generator<Progress, readonly ProposedVariant[]> =>
    proposeVariants(input),
  yearOfUse: (input: UseInput): Generator<Progress, readonly YearOfUse[]> => yearOfUse(input),
  bringAllTo: ({
    inputs,
    between,
  }: {
    readonly inputs: readonly RigInWater[]
    readonly between: Between
  }): Generator<Progress & { readonly soFar: readonly BringTo[] }, readonly BringTo[]> =>
    bringAllTo(inputs, between),
  lineRate: (input: {
    readonly input: RigInWater
    readonly counts: readonly LineCount[]
  }): Generator<Progress, LineRate | null> => lineRate(input),
  rigFishes: (
    input: RigInWater,
  ): Generator<Progress & { readonly soFar: FishesRig | null }, FishesRig | FishesNot> => rigFishes(input),
  underFloat: (input: UnderFloat): Generator<Progress, FishesUnder> => underFloat(input),
  dragFree: (input: SlackCast): Generator<Progress, DragFree | null> => dragFree(input),
  otherFlies: (input: {
    readonly rig: RigInWater
    readonly others: readonly OtherFly[]
  }): Generator<Progress, OtherFlies> => otherFlies(input.rig, input.others),
  onTightLine: (input: OnTightLine): Generator<Progress, FishesTight | null> => onTightLine(input),
  countedDown: (input: CountedDown): Generator<Progress & { readonly soFar: FishesCounted }, FishesCounted> =>
    countedDown(input),
  keptLongest: (
    input: CountedDown & { readonly between: Between },
  ): Generator<Progress & { readonly best: KeptThere | null }, KeptThere | null> => keptLongest(input),
  readText,
} as const

/** What a job has to have fetched before it can begin. */
export const preparations: Partial<Record<JobName, () => Promise<void>>> = { solvePlan: loadSolver }

export type JobName = keyof typeof jobs
export type JobInput<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0]
export type JobProgress<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<infer Step, unknown> ? Step : never
export type JobResult<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<Progress, infer Result> ? Result : never
