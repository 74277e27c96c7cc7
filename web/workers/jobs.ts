import { sampleFall } from '../../core/index.ts'
import type { Progress, SampledFall, SampleInput } from '../../core/index.ts'

/** Heavy work by name: generators that yield progress and return a result. */
export const jobs = {
  sampleFall: (input: SampleInput): Generator<Progress, SampledFall> => sampleFall(input),
} as const

export type JobName = keyof typeof jobs
export type JobInput<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0]
export type JobResult<Name extends JobName> =
  ReturnType<(typeof jobs)[Name]> extends Generator<Progress, infer Result> ? Result : never
