import type { Fly } from '../dressing/index.ts'
import { terminalSpeed } from '../sink/index.ts'
import type { FallModel, Tippet } from '../sink/index.ts'
import type { Random } from '../uncertainty/index.ts'
import { normal, randomFrom } from '../uncertainty/index.ts'
import type { Estimate } from '../uncertainty/index.ts'
import { UNCALIBRATED } from './calibration.ts'
import type { Calibration } from './calibration.ts'
import type { Conditions } from './conditions.ts'
import { evaluateFly } from './evaluateFly.ts'
import { preparedParts } from './preparedParts.ts'
import { quantile, Z_80 } from '../number/index.ts'

/** How far a long piece of work has got, 0 to 1. */
export interface Progress {
  readonly done: number
}

/** The band of a fall by sampling, beside the analytic one. */
export type SampledFall =
  | {
      readonly kind: 'sampled'
      readonly speed: Estimate
      readonly analytic: Estimate
      readonly samples: number
    }
  | { readonly kind: 'doesNotSink' }

/** What is sampled. */
export interface SampleInput {
  readonly fly: Fly
  readonly conditions: Conditions
  readonly samples: number
  readonly seed: number
}

const BATCH = 50
/** The drag of a curled line over that of a straight one grows with about this power of its curl. */
const CURL_EXPONENT = 2.2

/** A line drawn at random: straight for one in ten, as said in the middle. */
const drawnLine = (tippet: Tippet, random: Random): Tippet => ({
  ...tippet,
  curlDeg: tippet.curlDeg * Math.max(0, 1 + normal(random) / Z_80) ** (1 / CURL_EXPONENT),
})

/**
 * The band of a free or trailing fall by drawing every mass and the drag from their spreads, a generator that
 * yields its progress. The same seed gives the same band.
 */
export function* sampleFall(
  input: SampleInput,
  calibration: Calibration = UNCALIBRATED,
): Generator<Progress, SampledFall> {
  const report = evaluateFly(input.fly, input.conditions, calibration)
  if (report.kind !== 'sinks') return { kind: 'doesNotSink' }
  const parts = preparedParts(input.fly, input.conditions, calibration)
  const density = report.model.water.densityMgPerMm3
  const random = randomFrom(input.seed)
  const unsure = calibration.timedCount > 0 ? [] : parts
  const speeds: number[] = []
  while (speeds.length < input.samples) {
    for (let i = 0; i < BATCH && speeds.length < input.samples; i += 1) {
      const weightShift = unsure.reduce(
        (total, part) =>
          total + (part.massMg - density * part.volumeMm3) * (Math.exp(part.massSdLog * normal(random)) - 1),
        0,
      )
      const model: FallModel = {
        ...report.model,
        tippet: report.model.tippet && drawnLine(report.model.tippet, random),
        submergedMg: report.model.submergedMg + weightShift,
        dragMultiplier: report.model.dragMultiplier * Math.exp(calibration.dragSdLog * normal(random)),
      }
      speeds.push(terminalSpeed(model))
    }
    yield { done: speeds.length / input.samples }
  }
  speeds.sort((a, b) => a - b)
  const analytic = (report.trailing ?? report.free).sinkSpeedMmPerS
  return {
    kind: 'sampled',
    samples: speeds.length,
    analytic,
    speed: {
      value: quantile(speeds, 0.5),
      low: quantile(speeds, 0.1),
      high: quantile(speeds, 0.9),
      basis: analytic.basis,
    },
  }
}
