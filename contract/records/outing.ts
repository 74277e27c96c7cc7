import { z } from 'zod'
import { TECHNIQUES } from '../techniques.ts'
import { civilDate, localMinute, note, reachId, waterId } from '../common.ts'

/** Nobody changes over more often in a day. */
const MOST_WAYS = 3

/** A day at the water, planned or done. */
export const outingBody = z
  .object({
    waterId,
    reachId: reachId.nullable(),
    on: civilDate,
    fromLocalMin: localMinute,
    toLocalMin: localMinute,
    status: z.enum(['planned', 'done', 'cancelled']),
    technique: z.enum(TECHNIQUES),
    /** ways that follow on the same day: tight line, then dry */
    alsoTechniques: z.array(z.enum(TECHNIQUES)).max(MOST_WAYS).default([]),
    note,
  })
  .strict()
  .refine(({ fromLocalMin, toLocalMin }) => fromLocalMin < toLocalMin, {
    message: 'It ends before it begins.',
    path: ['toLocalMin'],
  })
/** An outing as it is entered: where, when, how. */
export type OutingBody = z.infer<typeof outingBody>
