import { z } from 'zod'
import { FORBIDS, RIG_FORBIDS, SCHOOLS, TECHNIQUES, WATER_KINDS } from '../../core/index.ts'
import { compartmentId, foodStageId, rigId, share, tapId, variantId } from '../common.ts'
import { watersideTap } from '../records/waterside.ts'
import type { SettingsBody } from '../records/settings.ts'
import { outingLine } from './outings.ts'
import type { DrawingsView } from './parts.ts'
import { depthBand, drawingKey, variantFigure } from './parts.ts'

/** A stage that fish may be on that day, half hour by half hour. */
const stageAlong = z.object({
  foodStageId,
  /** names the food to signs; the id of one's own */
  foodKey: z.string(),
  groupKey: z.string(),
  stage: z.string(),
  name: z.string(),
  band: depthBand,
  fromMm: z.number(),
  toMm: z.number(),
  lengthMmLow: z.number(),
  lengthMmHigh: z.number(),
  hexWet: z.string(),
  howFished: z.string(),
  /** share of the fish that are on it, by half hour */
  onIt: z.array(share),
})
/** A stage that fish may be on that day. */
export type StageAlong = z.infer<typeof stageAlong>

/** A fly that is packed, or that serves and lies at home. */
const flyAlong = z.object({
  variantId,
  name: z.string(),
  /** its fall as it is fished, with its line trailing, where that is known */
  figure: variantFigure.pick({ kind: true, sinkSpeedMmPerS: true, posture: true, hookSize: true }),
  drawingKey: drawingKey.nullable(),
  /** what a cut makes of a packed fly that floats, in words; null where none has it sit lower */
  cut: z.string().nullable(),
  /** whether it is bright, for water that is not clear */
  bright: z.boolean(),
  /** its wet colours; null where its recipe is incomplete */
  palette: z.array(z.object({ hexWet: z.string(), share })).nullable(),
  /** how many are packed; nought where it lies at home */
  aboard: z.number(),
  compartmentId: compartmentId.nullable(),
  /** how many of it lie there now, whatever was packed */
  lies: z.number(),
  /** box and compartment, in words */
  place: z.string(),
  /** why the water's note forbids it; null where it may be fished */
  forbidden: z.enum(FORBIDS).nullable(),
  meantFor: z.array(foodStageId),
})
/** A fly that goes along, or stays at home. */
export type FlyAlong = z.infer<typeof flyAlong>

/** All that an outing needs at the water, where no server answers. */
export const alongView = z
  .object({
    outing: outingLine,
    /** when it was made, ms since 1970: how old its forecast is */
    madeAtMs: z.number(),
    timeZone: z.string(),
    school: z.enum(SCHOOLS),
    waterKind: z.enum(WATER_KINDS),
    bedMm: z.number(),
    surfaceSpeedMmPerS: z.number(),
    /** minute of the day at which the first half hour begins */
    fromLocalMin: z.number(),
    stages: z.array(stageAlong),
    /** share of the fish that take whatever comes, by half hour */
    whatever: z.array(share),
    /** signs that the forecast of the day knows already */
    known: z.array(z.string()),
    flies: z.array(flyAlong),
    /** each fly by its place in the list in each way of the day, with how well it does for stages by theirs */
    showings: z.array(
      z.object({
        fly: z.number(),
        way: z.enum(TECHNIQUES).nullable(),
        stages: z.array(z.tuple([z.number(), z.number()])),
        whatever: z.number(),
        /** where it fishes so, mm; null where nobody knows */
        depthMm: z.number().nullable(),
      }),
    ),
    /** rigs that are made for a way of the day */
    rigs: z.array(
      z.object({
        rigId,
        name: z.string(),
        techniques: z.array(z.enum(TECHNIQUES)),
        /** as it is typed */
        said: z.string(),
        /** what of it the water's note forbids: then it is not proposed */
        against: z.array(z.enum(RIG_FORBIDS)),
      }),
    ),
    taps: z.array(watersideTap),
    /** taps of which a spell or a loss was made already */
    booked: z.array(tapId),
  })
  .meta({ id: 'Along' })
/** All that an outing needs at the water. */
export type AlongView = z.infer<typeof alongView>

/** What fish would be on through an outing's hours, were its water warmer or colder than is reckoned. */
export const alongWarmth = z
  .object({
    /** what is reckoned of the water, °C, by half hour */
    reckonedC: z.array(z.number()),
    /** from the coldest to the warmest */
    rows: z.array(
      z.object({
        /** what was read less what was reckoned, °C */
        warmerC: z.number(),
        /** share of the fish that are on each stage of the outing, in their order, by half hour */
        onIt: z.array(z.array(share)),
        whatever: z.array(share),
      }),
    ),
    /** the same as the air is read, from the coldest to the warmest: each until the next begins */
    air: z.array(
      z.object({
        /** °C; null for the coldest, below all that makes a difference */
        fromC: z.number().nullable(),
        onIt: z.array(z.array(share)),
        whatever: z.array(share),
      }),
    ),
  })
  .meta({ id: 'AlongWarmth' })
/** What fish would be on, were the water warmer or colder. */
export type AlongWarmth = z.infer<typeof alongWarmth>

/** What the page that goes along carries within itself. */
export interface Carried {
  /** of the database that it was made from: its log comes home to no other */
  readonly dataId: string
  readonly units: SettingsBody['units']
  readonly sketches: DrawingsView['sketches']
  readonly along: AlongView
  readonly warmth: AlongWarmth
  /** where the log is sent to of itself: a page that was opened from home; null for one that lies in a file */
  readonly home: string | null
}
