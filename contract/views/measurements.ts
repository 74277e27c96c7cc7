import { z } from 'zod'
import { TIMINGS } from '../../core/index.ts'
import { materialId, patternId, variantId, version } from '../common.ts'
import { dropTestId, weighingId } from '../records/measurement.ts'

const band = z.object({ value: z.number(), low: z.number(), high: z.number() })

/** A reading as core shares it out among relatives. */
export const dropReading = z.object({
  testId: z.string(),
  variantId: z.string(),
  seenMmPerS: z.number(),
  estimateMmPerS: z.number(),
  ratio: z.number(),
  exponent: z.number(),
  logDrag: z.number(),
  sdLog: z.number(),
  dryness: z.number(),
  weightVariance: z.number(),
  shares: z.object({
    metal: z.number(),
    hull: z.number(),
    spiky: z.number(),
    stiff: z.number(),
    soft: z.number(),
  }),
  outliers: z.array(z.number()),
  advice: z.enum(['none', 'dropFarther', 'filmIt', 'repeat']),
})

/** A drop test with what it was foretold and what it says. */
export const dropTestLine = z
  .object({
    id: dropTestId,
    version,
    variantId,
    patternId,
    flyName: z.string(),
    atMs: z.number(),
    depthMm: z.number(),
    timing: z.enum(TIMINGS),
    waterTempC: z.number(),
    vesselMm: z.number().nullable(),
    tippetDiameterMm: z.number().nullable(),
    tippetLengthMm: z.number().nullable(),
    tippetCurlDeg: z.number(),
    wet: z.enum(['dry', 'fresh', 'soaked']),
    times: z.array(z.object({ timeS: z.number(), setAside: z.boolean() })),
    note: z.string(),
    olderRecipe: z.boolean(),
    reading: dropReading.nullable(),
    foretold: band.nullable(),
    held: z.boolean().nullable(),
    /** why there is no reading */
    fault: z.enum(['floats', 'hovers', 'doesNotFit', 'noTimes', 'tooFast', 'incomplete']).nullable(),
  })
  .meta({ id: 'DropTest' })
/** A drop test with what it says. */
export type DropTestLine = z.infer<typeof dropTestLine>

/** A weighing with what it says against the catalogue. */
export const weighingLine = z
  .object({
    id: weighingId,
    version,
    materialId: materialId.nullable(),
    variantId: variantId.nullable(),
    name: z.string(),
    atMs: z.number(),
    count: z.number(),
    totalMg: z.number(),
    source: z.enum(['scale', 'simulated', 'entered']),
    /** weighed ÷ reckoned */
    ratio: z.number().nullable(),
    /** the metal that it plainly is instead */
    metal: z.string().nullable(),
    contradicts: z.array(weighingId),
  })
  .meta({ id: 'Weighing' })
/** A weighing with what it says. */
export type WeighingLine = z.infer<typeof weighingLine>

const goodsWeighing = z.object({
  id: z.string(),
  materialId: z.string(),
  familyId: z.string(),
  totalMg: z.number(),
  count: z.number(),
  reckonedMg: z.number(),
  priorSdLog: z.number(),
  familyShare: z.number(),
  scaleSdMg: z.number(),
})
const flyWeighing = z.object({
  id: z.string(),
  variantId: z.string(),
  count: z.number(),
  totalMg: z.number(),
  scaleSdMg: z.number(),
})

/** All that was measured, as lists show it and as core reckons with it. */
export const measurementsView = z
  .object({
    tests: z.array(dropTestLine),
    weighings: z.array(weighingLine),
    measured: z.object({
      readings: z.array(dropReading),
      goods: z.array(goodsWeighing),
      flies: z.array(flyWeighing),
    }),
    /** tests that were read, and how many of their 80 % bands held */
    coverage: z.object({ tests: z.number(), held: z.number() }),
  })
  .meta({ id: 'Measurements' })
/** All that was measured, and how good the estimates were. */
export type MeasurementsView = z.infer<typeof measurementsView>
