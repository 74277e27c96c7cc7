import { z } from 'zod'
import { TIMINGS } from '../../core/index.ts'
import { id, materialId, note, variantId } from '../common.ts'

/** Names a drop test. */
export const dropTestId = id('DropTest')
/** Names a weighing. */
export const weighingId = id('Weighing')

const tempC = z.number().min(0, 'Water is between 0 and 30 °C.').max(30, 'Water is between 0 and 30 °C.')

/** A fly timed as it falls a known depth. */
export const dropTestBody = z
  .object({
    variantId,
    depthMm: z.number().min(50, 'At least 5 cm.').max(10_000, 'At most 10 m.'),
    timing: z.enum(TIMINGS),
    waterTempC: tempC,
    vesselMm: z.number().min(10, 'At least 1 cm wide.').max(5000, 'At most 5 m wide.').nullable(),
    tippet: z
      .object({
        diameterMm: z.number().min(0.05, 'At least 0.05 mm.').max(0.6, 'At most 0.6 mm.'),
        densityMgPerMm3: z.number().min(0.8).max(2),
        lengthMm: z.number().min(0, 'Nought or more.').max(10_000, 'At most 10 m.'),
      })
      .strict()
      .nullable(),
    wet: z.enum(['dry', 'fresh', 'soaked']),
    times: z
      .array(
        z
          .object({
            timeS: z.number().min(0.05, 'A fall takes longer than 0.05 s.').max(600, 'At most ten minutes.'),
            setAside: z.boolean(),
          })
          .strict(),
      )
      .min(1, 'Time it at least once.')
      .max(40, 'At most 40 times.'),
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
    count: z.number().min(1, 'At least one.').max(100_000, 'At most 100,000.'),
    totalMg: z.number().min(0.1, 'A scale shows at least 0.1 mg.').max(1_000_000, 'At most a kilogram.'),
    readabilityMg: z.number().min(0.01).max(1000),
    source: z.enum(['scale', 'simulated', 'entered']),
    note,
  })
  .strict()
/** A weighing as it is entered: so many pieces, mg in all, and how finely the scale reads. */
export type WeighingBody = z.infer<typeof weighingBody>
