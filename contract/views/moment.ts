import { z } from 'zod'
import { foodStageId, patternId, variantId } from '../common.ts'
import { depthBand, moment } from './parts.ts'

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
    likelihood: z.number(),
    likelihoodLow: z.number(),
    likelihoodHigh: z.number(),
    importance: z.number(),
    /** likelihood × importance; half as much again for what is about for a few weeks only, since it does not wait */
    worth: z.number(),
    lengthMmLow: z.number(),
    lengthMmHigh: z.number(),
    /** hook sizes that it is dressed on, the largest first */
    hooks: z.array(z.string()),
    hexWet: z.string(),
    reasons: z.array(z.string()),
    /** what the warmth of the reach and earlier notes say of it; empty where its months speak */
    why: z.string(),
    /** flies on hand of patterns that serve it */
    onHand: z.number(),
    par: z.number(),
  })
  .meta({ id: 'FoodAtMoment' })
/** A food at a moment: how likely, how deep, how many flies there are for it. */
export type FoodAtMoment = z.infer<typeof foodAtMoment>

/** A variant on hand, at the depth where it fishes here. */
export const flyAtMoment = z
  .object({
    variantId,
    patternId,
    name: z.string(),
    depthMm: z.number(),
    onHand: z.number(),
    par: z.number(),
  })
  .meta({ id: 'FlyAtMoment' })
/** A fly at a moment: how deep it fishes there, how many there are. */
export type FlyAtMoment = z.infer<typeof flyAtMoment>

/** Foods likely at a moment and flies on hand, each at its depth in mm below the film. */
export const momentView = z
  .object({
    moment,
    bedMm: z.number(),
    foods: z.array(foodAtMoment),
    flies: z.array(flyAtMoment),
  })
  .meta({ id: 'MomentView' })
/** Foods and flies at a moment. */
export type MomentView = z.infer<typeof momentView>
