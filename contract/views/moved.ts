import { z } from 'zod'
import { MOVE_CAUSES, POSTURES } from '../../core/index.ts'
import { civilDate, foodStageId, localMinute, outingId, patternId, variantId } from '../common.ts'

const figure = z.object({
  kind: z.enum(['sinks', 'hovers', 'floats', 'doesNotFit', 'incomplete']),
  sinkSpeedMmPerS: z.number().nullable(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  posture: z.enum(POSTURES).nullable(),
})

/** A fly whose fall or posture the last version reckons otherwise, by more than the band allowed. */
const movedFly = z.object({
  variantId,
  patternId,
  flyName: z.string(),
  before: figure,
  now: figure,
  causes: z.array(z.enum(MOVE_CAUSES)),
})

/** A food that another share of the fish are on now, at the moment at which that moved most. */
const movedFood = z.object({
  foodStageId,
  name: z.string(),
  reachName: z.string(),
  on: civilDate,
  localMin: localMinute,
  before: z.number(),
  now: z.number(),
})

/** A fly that serves other foods now. */
const movedServing = z.object({
  variantId,
  patternId,
  flyName: z.string(),
  gained: z.array(z.string()),
  lost: z.array(z.string()),
})

/** An outing of which the boxes cover more or fewer hours now. */
const movedOuting = z.object({
  outingId,
  on: civilDate,
  before: z.number(),
  now: z.number(),
  ofHours: z.number(),
})

/** What the version before told last, and what this one says to the same. */
const movedTold = z.object({
  /** the day it was told on */
  on: civilDate,
  /** what the user did since: that may have moved something, too */
  actionsBetween: z.number(),
  fish: z.array(movedFood),
  serving: z.array(movedServing),
  outings: z.array(movedOuting),
})

/** What moved since the last version. */
export const movedView = z
  .object({ flies: z.array(movedFly), told: movedTold.nullable() })
  .meta({ id: 'Moved' })
/** What moved since the last version: flies by name, what lists said before and say now, and why; foods, serving, outings. */
export type MovedView = z.infer<typeof movedView>
