import { z } from 'zod'
import { NEEDS } from '../../core/index.ts'
import { foodAmount } from '../records/food.ts'
import { brood, trigger } from '../records/season.ts'
import { depthBand } from './parts.ts'
import { foodId, foodStageId, patternId, share, version } from '../common.ts'

/** A stage of a food with who serves it and how many flies there are. */
export const stageLine = z
  .object({
    id: foodStageId,
    version,
    isShipped: z.boolean(),
    isEdited: z.boolean(),
    foodId,
    foodName: z.string(),
    groupKey: z.string(),
    stage: z.string(),
    stageName: z.string(),
    months: z.array(
      z.object({ lengthMmLow: z.number(), lengthMmHigh: z.number(), likelihood: z.number() }).nullable(),
    ),
    /** hook sizes by the length of the natural that they are for */
    hookRanges: z.array(z.object({ size: z.string(), fromMm: z.number(), toMm: z.number() })),
    colours: z.array(z.object({ name: z.string(), hexDry: z.string(), hexWet: z.string(), share: z.number() })),
    silhouette: z.string(),
    movements: z.array(z.string()),
    triggers: z.array(z.string()),
    depthBandRiver: depthBand.nullable(),
    depthBandStillwater: depthBand.nullable(),
    waterKinds: z.record(z.string(), z.number()),
    hours: z.array(
      z.object({
        anchor: z.enum(['sunrise', 'solarNoon', 'sunset']),
        fromMin: z.number(),
        toMin: z.number(),
        weight: z.number(),
        seasons: z.array(z.enum(['winter', 'spring', 'summer', 'autumn'])),
        weather: z.string(),
      }),
    ),
    importance: z.number(),
    amount: foodAmount,
    ease: share,
    choosy: share,
    needs: z.enum(NEEDS).nullable(),
    bodyOverHook: z.number(),
    shiftsWith: foodStageId.nullable(),
    trigger,
    broods: z.array(brood),
    noteForTier: z.string(),
    howFished: z.string(),
    servedBy: z.array(z.object({ patternId, name: z.string() })),
  })
  .meta({ id: 'FoodStage' })
/** A stage of a food. */
export type StageLine = z.infer<typeof stageLine>
/** All stages that are not put away. */
export const larderView = z.object({ stages: z.array(stageLine) }).meta({ id: 'Larder' })
/** All stages. */
export type LarderView = z.infer<typeof larderView>
/** How many flies are on hand for stages, of the patterns that serve each; what is not named has none. */
export const larderStockView = z
  .object({ onHand: z.record(foodStageId, z.number().int().nonnegative()) })
  .meta({ id: 'LarderStock' })
/** Flies on hand by stage: it changes with each count, where the stages do not. */
export type LarderStockView = z.infer<typeof larderStockView>
