import { z } from 'zod'
import { drill } from '../../core/index.ts'
import { drillAnswerId } from '../common.ts'
import { figure, written } from '../limited.ts'

/** One of the drills; see core's `DRILLS`. */
export const drillKey = z.enum(drill.DRILLS)

/** An answer that was given, under the id that the page minted for it. */
export const drillAnswered = z
  .object({
    id: drillAnswerId,
    subject: written('drillSubject'),
    atMs: figure('tapAtMs'),
    isRight: z.boolean(),
  })
  .strict()
