import { z } from 'zod'
import {
  TRUSTS,
  BARBS,
  ROLES,
  TAIL_LOOKS,
  TECHNIQUES,
  TRIGGER_KEYS,
  WATER_KINDS,
  WING_LOOKS,
} from '../../core/index.ts'
import { civilDate, compartmentId, foodStageId, materialId, outingId, patternId, variantId } from '../common.ts'
import { waterRules } from '../records/water.ts'
import { variantFigure } from './parts.ts'

/** What a fish can see of a fly; see core's `Appearance`. */
const look = z.object({
  bodyLengthMm: z.number(),
  wholeLengthMm: z.number(),
  outline: z.object({
    slenderness: z.number(),
    wholeSlenderness: z.number(),
    bulkAt: z.number(),
    wing: z.enum(WING_LOOKS),
    tail: z.enum(TAIL_LOOKS),
    curved: z.boolean(),
  }),
  palette: z.array(z.object({ hexWet: z.string(), share: z.number() })),
  soft: z.number(),
  bright: z.number(),
  shows: z.partialRecord(z.enum(TRIGGER_KEYS), z.number()),
})

/** A coming outing with what fish are on, half hour by half hour. */
export const planOuting = z.object({
  outingId,
  on: z.string(),
  waterName: z.string(),
  reachName: z.string(),
  fromLocalMin: z.number(),
  hours: z.number(),
  waterKind: z.string(),
  bedMm: z.number(),
  surfaceSpeedMmPerS: z.number(),
  snagginess: z.number(),
  /** one way after the other */
  techniques: z.array(z.enum(TECHNIQUES)),
  /** the user's note of what may be fished there */
  rules: waterRules,
  foods: z.array(
    z.object({
      foodStageId,
      name: z.string(),
      /** share of the fish that are on it, by half hour */
      onIt: z.array(z.number()),
      lengthMmLow: z.number(),
      lengthMmHigh: z.number(),
    }),
  ),
  /** share of the fish that take whatever comes, by half hour */
  whatever: z.array(z.number()),
})
/** An outing as the plan sees it. */
export type PlanOuting = z.infer<typeof planOuting>

/** A pattern, a compartment or a drawer by its place in the list of the plan's answer. */
const at = z.number().int().min(0)

/** What all variants of a pattern share. */
export const planPattern = z.object({
  patternId,
  name: z.string(),
  dislike: z.number(),
  minutesEach: z.number(),
  /** flies that the minutes come from; nought for a usual figure */
  timedFlies: z.number(),
  meantFor: z.array(foodStageId),
  purpose: z.enum(['imitation', 'attractor', 'searching']),
  roles: z.array(z.enum(ROLES)).readonly(),
  /** months, 1 to 12, of an attractor or a searching pattern; empty for all */
  ownMonths: z.array(z.number()).readonly(),
  /** ways in which it is fished */
  ways: z.array(z.enum(TECHNIQUES)),
  /** kinds of water on which it is fished */
  waters: z.array(z.enum(WATER_KINDS)).readonly(),
})

/** A variant that the plan may choose, with what it takes. */
export const planVariant = z.object({
  variantId,
  pattern: at,
  label: z.string(),
  figure: variantFigure.pick({
    kind: true,
    sinkSpeedMmPerS: true,
    submergedMg: true,
    trailingSpeedMmPerS: true,
    posture: true,
    hookSize: true,
    drawingKey: true,
  }),
  look: look.nullable(),
  onHand: z.number(),
  /** in batches that wait at the bench or lie on the vise */
  queued: z.number(),
  /** where it lies */
  place: at.nullable(),
  /** whether lead, and whether any weight is tied in */
  lead: z.boolean(),
  weighted: z.boolean(),
  /** of its hook */
  barb: z.enum(BARBS).nullable(),
  nightsToDry: z.number(),
  lost: z.number(),
  hoursFished: z.number(),
  /** by what it took so far */
  trust: z.enum(TRUSTS),
  /** how much of which drawer one fly takes; drawers that were put away are left out */
  bill: z.array(z.tuple([at, z.number()])),
  /** what a batch of it needs at hand */
  setup: z.object({ thread: at.nullable(), hook: at.nullable(), bead: at.nullable() }),
})

/** All that a plan is made from. It names patterns, places and drawers once: it may hold thousands of flies. */
export const planView = z
  .object({
    /** where flies go that have no place of their own */
    trayId: compartmentId,
    /** numbers that the user has fixed, by variant; nought leaves one out */
    choices: z.record(z.string(), z.number()),
    /** evenings that are not as usual on their day of the week */
    evenings: z.array(z.object({ on: civilDate, minutes: z.number() })),
    outings: z.array(planOuting),
    /** of the waters that were fished, by hours */
    snagginessFished: z.number(),
    /** hours of outings of which nobody noted fly by fly: all, and what each variant is credited with of them */
    unnoted: z.object({ hours: z.number(), each: z.number() }),
    patterns: z.array(planPattern),
    variants: z.array(planVariant),
    places: z.array(
      z.object({
        compartmentId,
        label: z.string(),
        /** how many more it holds; null for any number */
        room: z.number().nullable(),
      }),
    ),
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
/** All that a plan is made from. */
export type PlanView = z.infer<typeof planView>
