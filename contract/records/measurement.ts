import { z } from 'zod'
import { TIMINGS } from '../../core/index.ts'
import { id, materialId, note, variantId } from '../common.ts'
import { figure, listed } from '../limited.ts'

/** Names a drop test. */
export const dropTestId = id('DropTest')
/** Names a weighing. */
export const weighingId = id('Weighing')
/** Id of a drop test. */
export type DropTestId = z.infer<typeof dropTestId>
/** Id of a weighing. */
export type WeighingId = z.infer<typeof weighingId>

/** A fly timed as it falls a known depth. */
export const dropTestBody = z
  .object({
    variantId,
    depthMm: figure('dropDepthMm'),
    timing: z.enum(TIMINGS),
    waterTempC: figure('waterTempC'),
    vesselMm: figure('vesselMm').nullable(),
    tippet: z
      .object({
        diameterMm: figure('tippetMm'),
        densityMgPerMm3: figure('tippetDensity'),
        lengthMm: figure('tippetLengthMm'),
        curlDeg: figure('tippetCurlDeg'),
      })
      .strict()
      .nullable(),
    wet: z.enum(['dry', 'fresh', 'soaked']),
    times: listed('drops', z.object({ timeS: figure('dropS'), setAside: z.boolean() }).strict()),
    note,
  })
  .strict()
/** A drop test as it is entered: depth, times, water, tippet, vessel, how wet. */
export type DropTestBody = z.infer<typeof dropTestBody>

/** Goods of a drawer, or finished flies of a variant, on the scale. */
export const weighingBody = z
  .object({
    subject: z.union([
      z.object({ kind: z.literal('material'), materialId }).strict(),
      z.object({ kind: z.literal('variant'), variantId }).strict(),
    ]),
    count: figure('weighedCount'),
    totalMg: figure('weighedMg'),
    readabilityMg: figure('readabilityMg'),
    source: z.enum(['scale', 'simulated', 'entered']),
    note,
  })
  .strict()
/** A weighing as it is entered: so many pieces, mg in all, and how finely the scale reads. */
export type WeighingBody = z.infer<typeof weighingBody>
