import { z } from 'zod'
import { compartmentId, foodStageId, materialId, outingId, patternId, variantId } from '../common.ts'
import { waterRules } from '../records/water.ts'
import { drawingKey, moment } from './parts.ts'

/** One sentence of Tonight, with the handle that it offers. */
export const tonightLine = z
  .object({
    kind: z.enum(['likely', 'lacking', 'tie', 'buy', 'measure', 'covered']),
    text: z.string(),
    foodStageId: foodStageId.nullable(),
    patternId: patternId.nullable(),
    variantId: variantId.nullable(),
    materialId: materialId.nullable(),
    /** what would be tied, where it would go, and what the stores allow */
    batch: z
      .object({
        count: z.number(),
        compartmentId,
        compartmentLabel: z.string(),
        /** of one fly, and to lay things out before the first */
        minutesEach: z.number(),
        minutesToStart: z.number(),
        allowed: z.number().nullable(),
      })
      .nullable(),
    onHand: z.number().nullable(),
    par: z.number().nullable(),
    drawingKey: drawingKey.nullable(),
  })
  .meta({ id: 'TonightLine' })
/** One sentence of Tonight, with where it can be acted on. */
export type TonightLine = z.infer<typeof tonightLine>

/** What Tonight says, in fixed order: likely, lacking, tie, buy. */
export const tonightView = z
  .object({
    outing: z
      .object({
        outingId,
        on: z.string(),
        waterName: z.string(),
        reachName: z.string(),
        fromLocalMin: z.number(),
        toLocalMin: z.number(),
        techniques: z.array(z.string()),
        /** null where its water is not known any more */
        rules: waterRules.nullable(),
      })
      .nullable(),
    moment: moment.nullable(),
    lines: z.array(tonightLine),
    /** nothing is recorded yet: what to say first */
    empty: z.boolean(),
  })
  .meta({ id: 'Tonight' })
/** What Tonight says. */
export type TonightView = z.infer<typeof tonightView>
