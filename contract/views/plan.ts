import { z } from 'zod'
import { TRIGGER_KEYS } from '../../core/index.ts'
import { compartmentId, foodStageId, materialId, outingId, patternId, variantId } from '../common.ts'
import { variantFigure } from './parts.ts'

/** What a fish can see of a fly; see core's `Appearance`. */
const look = z.object({
  bodyLengthMm: z.number(),
  slenderness: z.number(),
  bodyHexWet: z.string().nullable(),
  soft: z.boolean(),
  bright: z.boolean(),
  shows: z.array(z.enum(TRIGGER_KEYS)),
})

/** A coming outing with the foods likely in the middle of its hours. */
export const planOuting = z.object({
  outingId,
  on: z.string(),
  waterName: z.string(),
  reachName: z.string(),
  hours: z.number(),
  waterKind: z.string(),
  bedMm: z.number(),
  surfaceSpeedMmPerS: z.number(),
  snagginess: z.number(),
  foods: z.array(
    z.object({
      foodStageId,
      name: z.string(),
      worth: z.number(),
      lengthMmLow: z.number(),
      lengthMmHigh: z.number(),
    }),
  ),
})
export type PlanOuting = z.infer<typeof planOuting>

/** A variant that the plan may choose, with what it takes. */
export const planVariant = z.object({
  variantId,
  patternId,
  name: z.string(),
  figure: variantFigure,
  look: look.nullable(),
  onHand: z.number(),
  /** how many more its place holds; null for any number */
  room: z.number().nullable(),
  compartmentId: compartmentId.nullable(),
  compartmentLabel: z.string(),
  minutesEach: z.number(),
  /** flies that the minutes come from; nought for a usual figure */
  timedFlies: z.number(),
  dislike: z.number(),
  lost: z.number(),
  hoursFished: z.number(),
  bill: z.array(z.object({ materialId, perFly: z.number() })),
  meantFor: z.array(foodStageId),
  /** what a batch of it needs at hand */
  setup: z.object({ thread: z.string(), hook: z.string(), bead: z.string() }),
})
export type PlanVariant = z.infer<typeof planVariant>

export const planView = z
  .object({
    /** where flies go that have no place of their own */
    trayId: compartmentId,
    /** numbers that the user has fixed, by variant; nought leaves one out */
    choices: z.record(z.string(), z.number()),
    outings: z.array(planOuting),
    variants: z.array(planVariant),
    drawers: z.array(
      z.object({
        materialId,
        name: z.string(),
        onHand: z.number().nullable(),
        minimumAmount: z.number().nullable(),
        packAmount: z.number().nullable(),
        priceMinor: z.number().nullable(),
        leadTimeDays: z.number().nullable(),
        stockUnit: z.enum(['count', 'mm', 'mg', 'patch']),
      }),
    ),
  })
  .meta({ id: 'Plan' })
export type PlanView = z.infer<typeof planView>
