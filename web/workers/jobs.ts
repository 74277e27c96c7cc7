import { sampleFall } from '../../core/index.ts'
import type { Calibration, Progress, SampledFall, SampleInput } from '../../core/index.ts'

/** Heavy work by name: generators that yield progress and return a result. */
export const jobs = {
  sampleFall: ({
    calibration,
    ...input
  }: SampleInput & { readonly calibration: Calibration }): Generator<Progress, SampledFall> =>
    sampleFall(input, calibration),
} as const

export type JobName = keyof typeof jobs
export type JobInput<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0]
export type JobResult<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<Progress, infer Result> ? Result : never
