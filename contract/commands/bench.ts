import { z } from 'zod'
import { batchId, compartmentId, eventId, note, variantId } from '../common.ts'
import { figure, written } from '../limited.ts'
import { componentKey } from '../records/dressing.ts'
import { anyway, flies } from './shared.ts'

const batchPlan = z
  .object({
    batchId,
    variantId,
    plannedCount: flies,
    compartmentId,
    /** on the vise at once; else it waits in the queue */
    onVise: z.boolean(),
  })
  .strict()

const batchCount = z
  .object({
    eventId,
    batchId,
    /** `station`: one fly of the batch is through this step */
    kind: z.enum(['done', 'spoiled', 'step', 'station', 'pause', 'resume']),
    stepKey: componentKey.nullable(),
    count: figure('countAtVise'),
    spoiledCause: written('cause').nullable(),
  })
  .strict()

/** What is done at the bench. */
export const benchCommands = {
  batchPlan,
  batchWay: z.object({ batchId, way: z.enum(['flyByFly', 'stations']) }).strict(),
  batchSpoiledCause: z.object({ batchId, eventId, cause: written('cause', { trimmed: true }) }).strict(),
  batchNote: z.object({ batchId, note }).strict(),
  batchOnVise: z.object({ batchId }).strict(),
  batchCount,
  /** into its compartment, or into another that has room */
  batchFinish: z
    .object({ batchId, abandon: z.boolean(), compartmentId: compartmentId.optional(), anyway })
    .strict(),
} as const
