import { emergenceWindows, findWeightings, sampleFall, yearOfStages, yearOfUse } from '../../core/index.ts'
import type {
  Calibration,
  FindInput,
  FindProgress,
  Found,
  Progress,
  ReachWindows,
  SampledFall,
  SampleInput,
  SeasonInput,
  SeasonProgress,
  UseInput,
  YearOfUse,
} from '../../core/index.ts'

import { readText } from './readText.ts'

/** Heavy work by name: generators that yield progress and return a result. */
export const jobs = {
  sampleFall: ({
    calibration,
    ...input
  }: SampleInput & { readonly calibration: Calibration }): Generator<Progress, SampledFall> =>
    sampleFall(input, calibration),
  findWeightings: (input: FindInput): Generator<FindProgress, readonly Found[]> => findWeightings(input),
  emergenceWindows: (input: SeasonInput): Generator<SeasonProgress, readonly ReachWindows[]> =>
    emergenceWindows(input),
  yearOfStages,
  yearOfUse: (input: UseInput): Generator<Progress, readonly YearOfUse[]> => yearOfUse(input),
  readText,
} as const

export type JobName = keyof typeof jobs
export type JobInput<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0]
export type JobProgress<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<infer Step, unknown> ? Step : never
export type JobResult<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<Progress, infer Result> ? Result : never
