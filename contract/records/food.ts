import { z } from 'zod'
import { DEPTH_BANDS, MOVEMENTS, SILHOUETTES, TRIGGER_LOOKS, WATER_KINDS } from '../../core/index.ts'
import { name, note, share } from '../common.ts'
import { brood, trigger } from './season.ts'

const known = (rows: readonly { readonly key: string }[], what: string) => {
  const keys = new Set(rows.map(({ key }) => key))
  return z.string().refine((key) => keys.has(key), `There is no such ${what}.`)
}
const hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written #6d6a37.')
const lengthMm = z.number().min(0.2, 'At least 0.2 mm.').max(400, 'At most 400 mm.')

/** What a month knows of a stage; null where it is not there. */
export const stageMonth = z
  .object({ lengthMmLow: lengthMm, lengthMmHigh: lengthMm, likelihood: share })
  .strict()
  .refine(({ lengthMmLow, lengthMmHigh }) => lengthMmLow <= lengthMmHigh, 'The shorter length comes first.')

/** Hours of the day when a stage is about, from sunrise, noon or sunset, with what they weigh, 0 to 1. */
export const stageHours = z
  .object({
    anchor: z.enum(['sunrise', 'solarNoon', 'sunset']),
    fromMin: z.number().int().min(-1440).max(1440),
    toMin: z.number().int().min(-1440).max(1440),
    weight: share,
    seasons: z.array(z.enum(['winter', 'spring', 'summer', 'autumn'])).max(4),
    weather: z.enum(['any', 'bright', 'dull', 'windy', 'calm', 'rain']),
  })
  .strict()

/** A life stage of a food, as the user knows it. Months and days are those of the north; core turns them for the south. */
export const foodStageBody = z
  .object({
    stage: z.string().trim().min(1).max(40),
    stageName: name,
    months: z.array(stageMonth.nullable()).length(12),
    colours: z
      .array(z.object({ name, hexDry: hex, hexWet: hex, share }).strict())
      .min(1, 'Give it at least one colour.')
      .max(12, 'At most twelve colours.'),
    silhouette: known(SILHOUETTES, 'outline'),
    movements: z.array(known(MOVEMENTS, 'movement')).max(8),
    triggers: z.array(known(TRIGGER_LOOKS, 'mark')).max(8),
    depthBandRiver: z.enum(DEPTH_BANDS).nullable(),
    depthBandStillwater: z.enum(DEPTH_BANDS).nullable(),
    waterKinds: z.partialRecord(z.enum(WATER_KINDS), share),
    hours: z.array(stageHours).max(12),
    importance: share,
    trigger,
    broods: z.array(brood).max(6),
    noteForTier: note,
    howFished: note,
  })
  .strict()
  .refine(({ depthBandRiver, depthBandStillwater }) => depthBandRiver ?? depthBandStillwater, {
    message: 'Say at which depth it lives, in rivers or in stillwaters.',
    path: ['depthBandRiver'],
  })
/** A stage as it is saved: months, lengths, colours, depth, triggers, hours. */
export type FoodStageInput = z.infer<typeof foodStageBody>
