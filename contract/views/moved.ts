import { z } from 'zod'
import { MOVE_CAUSES, POSTURES } from '../../core/index.ts'
import { patternId, variantId } from '../common.ts'

const figure = z.object({
  kind: z.enum(['sinks', 'hovers', 'floats', 'doesNotFit', 'incomplete']),
  sinkSpeedMmPerS: z.number().nullable(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  posture: z.enum(POSTURES).nullable(),
})

/** A fly whose fall or posture the last version reckons otherwise, by more than the band allowed. */
const movedFly = z.object({
  variantId,
  patternId,
  flyName: z.string(),
  before: figure,
  now: figure,
  causes: z.array(z.enum(MOVE_CAUSES)),
})

/** What moved since the last version. */
export const movedView = z.object({ flies: z.array(movedFly) }).meta({ id: 'Moved' })
/** What moved since the last version: flies by name, what lists said before and say now, and why. */
export type MovedView = z.infer<typeof movedView>
