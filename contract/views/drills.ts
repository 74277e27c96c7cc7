import { z } from 'zod'
import { POSTURES } from '../../core/index.ts'
import { foodStageId, variantId } from '../common.ts'
import { drillKey } from '../records/drill.ts'
import { drawingKey } from './parts.ts'

/** A fly of one's own that may be asked about. */
const flyDrilled = z.object({
  variantId,
  name: z.string(),
  drawingKey: drawingKey.nullable(),
  /** as it falls with its line trailing; null where it floats, or nobody knows */
  fallMmPerS: z.number().nullable(),
  floats: z.boolean(),
  /** the least cut that has it sit lower, in words, and how it rides before and after; null where none has */
  cut: z
    .object({ done: z.string(), becomes: z.string(), from: z.enum(POSTURES), to: z.enum(POSTURES) })
    .nullable(),
})
/** A fly of one's own that may be asked about. */
export type FlyDrilled = z.infer<typeof flyDrilled>

/** A stage that is about at one's own waters, as it is when it is about most. */
const stageDrilled = z.object({
  foodStageId,
  name: z.string(),
  foodKey: z.string(),
  groupKey: z.string(),
  stage: z.string(),
  silhouette: z.string(),
  hexWet: z.string(),
  lengthMmLow: z.number(),
  lengthMmHigh: z.number(),
  hookRanges: z.array(z.object({ size: z.string(), fromMm: z.number(), toMm: z.number() })),
})
/** A stage that is about at one's own waters. */
export type StageDrilled = z.infer<typeof stageDrilled>

/** What drills are made of, and how each of their subjects stands. */
export const drillsView = z
  .object({
    flies: z.array(flyDrilled),
    stages: z.array(stageDrilled),
    standings: z.partialRecord(
      drillKey,
      z.array(z.object({ subject: z.string(), dueMs: z.number(), isMissed: z.boolean() })),
    ),
  })
  .meta({ id: 'Drills' })
/** What drills are made of, and how each of their subjects stands. */
export type DrillsView = z.infer<typeof drillsView>
