import { z } from 'zod'
import { foodStageId, patternId, share, variantId } from '../common.ts'
import { depthBand, drawingKey, moment } from './parts.ts'

/** A food stage at a moment, with the depths where it is met. */
export const foodAtMoment = z
  .object({
    foodStageId,
    name: z.string(),
    stage: z.string(),
    groupKey: z.string(),
    band: depthBand,
    fromMm: z.number(),
    toMm: z.number(),
    /** chance that it is there in numbers now */
    about: share,
    /** share of the feeding trout that are taking it, and the same were it about */
    onIt: share,
    onItIfAbout: share,
    /** the share of the fish in words, for the Column, which loads before core does */
    onItWords: z.string(),
    /** how closely a fly must match while they are on it */
    choosy: z.enum(['easy', 'fair', 'choosy']),
    lengthMmLow: z.number(),
    lengthMmHigh: z.number(),
    /** hook sizes that it is dressed on, the largest first */
    hooks: z.array(z.string()),
    hexWet: z.string(),
    reasons: z.array(z.string()),
    /** the first of the reasons that moved it */
    why: z.string(),
    /** flies on hand of patterns that serve it */
    onHand: z.number(),
    par: z.number(),
  })
  .meta({ id: 'FoodAtMoment' })
/** A food at a moment: how many fish are on it, how deep, how many flies there are for it. */
export type FoodAtMoment = z.infer<typeof foodAtMoment>

/** A variant on hand, at the depth where it fishes here. */
export const flyAtMoment = z
  .object({
    variantId,
    patternId,
    patternName: z.string(),
    label: z.string(),
    depthMm: z.number(),
    onHand: z.number(),
    par: z.number(),
    /** of those on hand, packed for the outing of that day */
    packed: z.number(),
    /** how many more the stores allow; null where nothing of it was counted */
    storesAllow: z.number().nullable(),
    /** null where there is nothing to draw */
    drawingKey: drawingKey.nullable(),
  })
  .meta({ id: 'FlyAtMoment' })
/** A fly at a moment: how deep it fishes there, how many there are. */
export type FlyAtMoment = z.infer<typeof flyAtMoment>

/** Foods likely at a moment and flies on hand, each at its depth in mm below the film. */
export const momentView = z
  .object({
    moment,
    bedMm: z.number(),
    /** those that take a share of the fish, the most first; with whatever comes their shares sum to one */
    foods: z.array(foodAtMoment),
    whatever: share,
    /** whether the water falls, stands or rises, and who says so; null where nobody knows */
    level: z.object({ is: z.enum(['falling', 'steady', 'rising']), by: z.enum(['said', 'gauge']) }).nullable(),
    flies: z.array(flyAtMoment),
  })
  .meta({ id: 'MomentView' })
/** Foods and flies at a moment. */
export type MomentView = z.infer<typeof momentView>
