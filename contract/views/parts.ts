import { reachWarmth } from './season.ts'
import { z } from 'zod'
import {
  batchId,
  civilDate,
  compartmentId,
  eventId,
  localMinute,
  patternId,
  reachId,
  variantId,
  waterId,
} from '../common.ts'
import {
  BARBS,
  DEPTH_BANDS,
  DRAWN_AS,
  FINISHES,
  FOOD_WORDS,
  FORMED,
  MATERIAL_KINDS,
  POSTURES,
  SIDES,
  WATER_KINDS,
} from '../../core/index.ts'
import { DRAWING_KEY } from '../drawingKey.ts'
import { waterRules } from '../records/water.ts'

const count = z.number().optional()

/** A fly as it is drawn: its hook, and what lies where on it. Lengths in mm. */
const sketch = z
  .object({
    hook: z.object({
      ...{ shankMm: z.number(), gapeMm: z.number(), wireMm: z.number(), bendRadiusMm: z.number() },
      ...{ eyeOuterMm: z.number(), neckMm: z.number(), hex: z.string(), barb: z.enum(BARBS).nullable() },
      style: z.object({ curveDeg: z.number(), bendDeg: z.number(), neckDeg: z.number() }),
    }),
    parts: z.array(
      z.object({
        key: z.string(),
        shape: z.enum(DRAWN_AS),
        goods: z.enum(MATERIAL_KINDS),
        order: z.number(),
        side: z.enum(SIDES),
        ...{ fromMm: z.number(), toMm: z.number(), lengthMm: z.number().nullable() },
        ...{ coreMm: z.number(), outerMm: z.number(), solidMm: z.number() },
        ...{ turns: count, barbs: count, fibreCount: count, strands: count, clipped: count },
        formed: z.enum(FORMED).optional(),
        ...{ dryHex: z.string(), wetHex: z.string() },
        ...{ strandMm: z.number(), fibreMm: z.number(), hairMm: z.number(), hairsPerMm2: z.number() },
        ...{
          soft: z.number(),
          clear: z.number(),
          sizeMm: z.number(),
          widthMm: z.number(),
          centreMm: z.number(),
        },
        ...{ pinned: z.boolean(), slotted: z.boolean(), barred: z.boolean(), resin: z.boolean() },
        finish: z.enum(FINISHES),
      }),
    ),
    frame: z.object({ leftMm: z.number(), topMm: z.number(), widthMm: z.number(), heightMm: z.number() }),
  })
  .meta({ id: 'FlySketch' })

/** What a drawing is asked for by: it names the drawing's content and its room. */
export const drawingKey = z.string().regex(DRAWING_KEY)
/** Sketches by the keys of their drawings; a key that nobody knows is left out. */
export const drawingsView = z.object({ sketches: z.record(z.string(), sketch) }).meta({ id: 'Drawings' })
/** Sketches by the keys of their drawings. */
export type DrawingsView = z.infer<typeof drawingsView>

/** What lists show of a variant: free fall at 10 °C, dipped and cast. */
export const variantFigure = z
  .object({
    kind: z.enum(['sinks', 'hovers', 'floats', 'doesNotFit', 'incomplete']),
    massMg: z.number().nullable(),
    submergedMg: z.number().nullable(),
    sinkSpeedMmPerS: z.number().nullable(),
    low: z.number().nullable(),
    high: z.number().nullable(),
    trailingSpeedMmPerS: z.number().nullable(),
    posture: z.enum(POSTURES).nullable(),
    bodyLengthMm: z.number().nullable(),
    hookSize: z.number().nullable(),
    /** asked for at `/api/drawings`; null where there is nothing to draw */
    drawingKey: drawingKey.nullable(),
  })
  .meta({ id: 'VariantFigure' })
/** What lists show of a variant: free fall at 10 °C, fresh-wet. */
export type VariantFigure = z.infer<typeof variantFigure>

/** A reach with its water, for choosing the moment. */
export const reachChoice = z
  .object({
    reachId,
    waterId,
    waterName: z.string(),
    waterKind: z.enum(WATER_KINDS),
    reachName: z.string(),
    typicalDepthMm: z.number(),
    surfaceSpeedMmPerS: z.number(),
    bedRoughnessMm: z.number(),
    thermoclineMm: z.number().nullable(),
    timeZone: z.string(),
    latitudeDeg: z.number(),
    longitudeDeg: z.number(),
    /** the user's note of what may be fished there */
    rules: waterRules,
    /** what the user says of foods there, by food */
    foodWords: z.record(z.string(), z.enum(FOOD_WORDS)),
    warmth: reachWarmth,
  })
  .meta({ id: 'ReachChoice' })
/** A reach to choose, with its water and how warm it is. */
export type ReachChoice = z.infer<typeof reachChoice>

/** The moment that every figure depends on. */
export const moment = z
  .object({ reachId, on: civilDate, localMin: localMinute, waterTempC: z.number() })
  .meta({ id: 'Moment' })
/** The moment that every figure depends on. */
export type Moment = z.infer<typeof moment>

/** Near the bottom, mid-water, top half metre, in the film or on it. */
export const depthBand = z.enum(DEPTH_BANDS)

/** A short mention of a variant: what it is called and where it lies. */
export const variantMention = z.object({ variantId, patternId, patternName: z.string(), label: z.string() })

/** A batch in few words. */
export const batchMention = z
  .object({
    batchId,
    variantId,
    patternName: z.string(),
    label: z.string(),
    planned: z.number(),
    done: z.number(),
    spoiled: z.number(),
    status: z.enum(['planned', 'open', 'finished', 'abandoned']),
    onVise: z.boolean(),
    compartmentId: compartmentId.nullable(),
    compartmentLabel: z.string(),
  })
  .meta({ id: 'BatchMention' })
/** A batch in few words. */
export type BatchMention = z.infer<typeof batchMention>

/** The batch on the vise in few words. */
export const viseMention = batchMention
  .extend({
    /** events of its last counts, taken back or not: who counted and sees his own here need not add it */
    counted: z.array(eventId),
  })
  .meta({ id: 'ViseMention' })
/** The batch on the vise in few words. */
export type ViseMention = z.infer<typeof viseMention>
