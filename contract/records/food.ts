import { z } from 'zod'
import { DEPTH_BANDS, MOVEMENTS, NEEDS, SILHOUETTES, TRIGGER_LOOKS, WATER_KINDS } from '../../core/index.ts'
import { foodStageId, name, note, share } from '../common.ts'
import { figure, listed, written, hexColour } from '../limited.ts'
import { brood, trigger } from './season.ts'

const known = (rows: readonly { readonly key: string }[], what: string) => {
  const keys = new Set(rows.map(({ key }) => key))
  return z.string().refine((key) => keys.has(key), `There is no such ${what}.`)
}
const lengthMm = figure('foodMm')

/** What a month knows of a stage; null where it is not there. */
export const stageMonth = z
  .object({ lengthMmLow: lengthMm, lengthMmHigh: lengthMm, likelihood: share })
  .strict()
  .refine(({ lengthMmLow, lengthMmHigh }) => lengthMmLow <= lengthMmHigh, 'The shorter length comes first.')

/** Hours of the day when a stage is about, from sunrise, noon or sunset, with what they weigh, 0 to 1. */
export const stageHours = z
  .object({
    anchor: z.enum(['sunrise', 'solarNoon', 'sunset']),
    fromMin: figure('fromAnchorMin'),
    toMin: figure('fromAnchorMin'),
    weight: share,
    seasons: listed('seasons', z.enum(['winter', 'spring', 'summer', 'autumn'])),
    weather: z.enum(['any', 'bright', 'dull', 'windy', 'calm', 'rain']),
  })
  .strict()
  .refine(({ fromMin, toMin }) => fromMin < toMin, {
    message: 'The hours end before they begin.',
    path: ['toMin'],
  })

/** A hook size, and for which lengths of the natural it is. */
const hookRange = z
  .object({ size: written('word'), fromMm: lengthMm, toMm: lengthMm })
  .strict()
  .refine(({ fromMm, toMm }) => fromMm <= toMm, { message: 'The shorter length comes first.', path: ['toMm'] })

/** How much of a stage drifts by, see core's `Amount`. */
export const foodAmount = z
  .object({ low: figure('foodAmount'), usual: figure('foodAmount'), peak: figure('foodAmount') })
  .strict()
  .refine(({ low, usual, peak }) => low <= usual && usual <= peak, 'From the least to the most.')

/** A life stage of a food, as the user knows it. Months and days are those of the north; core turns them for the south. */
export const foodStageBody = z
  .object({
    stage: written('word', { trimmed: true }),
    stageName: name,
    months: z.array(stageMonth.nullable()).length(12),
    colours: listed('foodColours', z.object({ name, hexDry: hexColour, hexWet: hexColour, share }).strict()),
    silhouette: known(SILHOUETTES, 'outline'),
    movements: listed('looks', known(MOVEMENTS, 'movement')),
    triggers: listed('looks', known(TRIGGER_LOOKS, 'mark')),
    depthBandRiver: z.enum(DEPTH_BANDS).nullable(),
    depthBandStillwater: z.enum(DEPTH_BANDS).nullable(),
    waterKinds: z.partialRecord(z.enum(WATER_KINDS), share),
    hours: listed('hours', stageHours),
    importance: share,
    amount: foodAmount.exactOptional(),
    ease: share.exactOptional(),
    choosy: share.exactOptional(),
    needs: z.enum(NEEDS).nullable().exactOptional(),
    shiftsWith: foodStageId.nullable().exactOptional(),
    bodyOverHook: figure('bodyOverHook').exactOptional(),
    /** hook sizes by the length of the natural that they are for */
    hookRanges: listed('hookRanges', hookRange).exactOptional(),
    trigger,
    broods: listed('broods', brood),
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
