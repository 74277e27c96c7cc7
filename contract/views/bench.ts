import { z } from 'zod'
import { batchMention, variantFigure, viseMention } from './parts.ts'
import { eventId, materialId, patternId, photoId, variantRevisionId } from '../common.ts'
import { step } from '../records/dressing.ts'

/** A step at the vise with the numbers for the hook at hand. */
export const benchStep = step.extend({
  title: z.string(),
  materialName: z.string().nullable(),
  colourHex: z.string().nullable(),
  fromMm: z.number().nullable(),
  toMm: z.number().nullable(),
  lengthMm: z.number().nullable(),
  turns: z.number().nullable(),
  fibreCount: z.number().nullable(),
  strands: z.number().nullable(),
  cutMm: z.number().nullable(),
  /** what usually goes wrong here; null where nothing does */
  tip: z.string().nullable(),
  cautions: z.array(z.object({ key: z.string(), text: z.string(), mark: z.string() })),
})
/** A step at the vise with its numbers. */
export type BenchStep = z.infer<typeof benchStep>

/** What to cut of a drawer for one fly, mm, and how many pieces. */
export const cutLine = z.object({
  materialId,
  name: z.string(),
  stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
  perFly: z.number(),
  forBatch: z.number(),
  onHand: z.number().nullable(),
})

/** The batch on the vise with its steps, the queue, and what the evening takes. */
export const benchView = z
  .object({
    onVise: z
      .object({
        batch: viseMention,
        variantRevisionId,
        patternId,
        /** of the pattern */
        note: z.string(),
        /** what was done differently this time */
        batchNote: z.string(),
        /** what was noted of earlier batches of the pattern, the latest first */
        earlierNotes: z.array(z.object({ atMs: z.number(), label: z.string(), note: z.string() })),
        photoId: photoId.nullable(),
        /** the last picture of a batch of the pattern */
        earlierPhotoId: photoId.nullable(),
        way: z.enum(['flyByFly', 'stations']),
        /** flies of the batch that are through each step, tied by stations */
        throughStep: z.record(z.string(), z.number()),
        /** spoiled flies of which nobody has said why, the latest first */
        spoiledUnsaid: z.array(eventId),
        /** minutes of the pattern's flies so far, the first first */
        minutesSoFar: z.array(z.number()),
        /** of one fly, from so many that were timed; nought for a usual figure */
        minutesEach: z.number(),
        timedFlies: z.number(),
        shankMm: z.number(),
        hookName: z.string(),
        figure: variantFigure,
        steps: z.array(benchStep),
        stepKey: z.string().nullable(),
        paused: z.boolean(),
        cutList: z.array(cutLine),
      })
      .nullable(),
    queue: z.array(batchMention),
    /** what all that is on the vise and waits takes */
    eveningCutList: z.array(cutLine.omit({ perFly: true })),
    done: z.array(batchMention.extend({ endedAtMs: z.number() })),
  })
  .meta({ id: 'Bench' })
/** The bench. */
export type BenchView = z.infer<typeof benchView>
