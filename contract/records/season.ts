import { z } from 'zod'
import type { Trigger } from '../../core/index.ts'
import { civilDate, foodStageId, id, localMinute, note, reachId, monthDay } from '../common.ts'

/** Names one take-in of readings. */
export const readingImportId = id('ReadingImport')
/** Names a note of what was seen. */
export const observationId = id('Observation')

const started = {
  spreadDays: z.number().min(0).max(120),
  durationDays: z.number().min(1).max(366),
  lagDays: z.number().min(-120).max(120).exactOptional(),
  steadyStartOn: monthDay.exactOptional(),
}
const direction = z.enum(['rising', 'falling'])
const tempC = z.number().min(-30).max(45)

/** What starts a stage; core's {@link Trigger} checked. */
export const trigger: z.ZodType<Trigger, Trigger> = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('waterTemp'),
    direction,
    thresholdC: tempC,
    lowC: tempC,
    highC: tempC,
    notBefore: monthDay,
    strongLowC: tempC.exactOptional(),
    strongHighC: tempC.exactOptional(),
    ...started,
  }),
  z.object({
    kind: z.literal('degreeDays'),
    baseC: tempC,
    degreeDays: z.number().min(1).max(6000),
    startOn: monthDay,
    ...started,
  }),
  z.object({
    kind: z.literal('dayLength'),
    direction,
    hours: z.number().min(0).max(24),
    notBefore: monthDay,
    ...started,
  }),
  z.object({
    kind: z.literal('airTemp'),
    statistic: z.literal('dailyMax').exactOptional(),
    thresholdC: tempC,
    lowC: tempC,
    highC: tempC,
    notBefore: monthDay,
    ...started,
  }),
  z.object({
    kind: z.literal('iceOff'),
    offsetDays: z.number().min(-120).max(240),
    withoutIceC: tempC,
    ...started,
  }),
  z.object({ kind: z.literal('allYear') }),
  z.object({ kind: z.literal('light'), regime: z.enum(['glare', 'dim', 'night']) }),
  z.object({
    kind: z.literal('level'),
    riseMm: z.number().min(1).max(10_000),
    withinHours: z.number().min(1).max(240),
    spreadDays: z.number().min(0).max(120).exactOptional(),
    durationDays: z.number().min(0).max(366).exactOptional(),
  }),
])

/** A brood of a stage. */
export const brood = z.object({ name: z.string(), months: z.array(z.number().int().min(1).max(12)), trigger })

/** Most readings in one import: ten years of hours and a little more. */
export const MOST_READINGS = 100_000

/**
 * Readings of a reach: for each its local day (days since 1970), its minute, and temperature in hundredths of a degree,
 * level in mm and clarity in mm where they were read.
 */
export const readingsBody = z
  .object({
    reachId,
    depthMm: z.number().int().min(0).max(60_000),
    source: z.enum(['entered', 'pasted', 'file', 'simulated']),
    rows: z
      .array(
        z.tuple([
          z.number().int().min(-36_525).max(73_050),
          localMinute,
          z
            .number()
            .int()
            .min(-500, 'Water is not colder than its ice.')
            .max(4500, 'Water of 45 °C holds no trout.')
            .nullable(),
          z.number().int().min(-100_000).max(100_000).nullable(),
          z.number().int().min(0).max(100_000).nullable(),
        ]),
      )
      .min(1, 'There is no reading in it.')
      .max(MOST_READINGS, 'At most 100,000 readings at once.'),
  })
  .strict()
/** Readings of a reach taken in at once: temperature, level, clarity by instant and depth. */
export type ReadingsBody = z.infer<typeof readingsBody>

/** What was seen, counted, or looked for and not seen. */
export const observationBody = z
  .object({
    reachId,
    on: civilDate,
    localMin: localMinute.nullable(),
    foodStageId,
    kind: z.enum(['firstSeen', 'thick', 'lastSeen', 'absent', 'counted']),
    count: z.number().int().min(0).max(100_000).nullable(),
    lengthMm: z.number().min(0.5).max(300).nullable(),
    effortMinutes: z.number().int().min(0).max(1440).nullable(),
    method: z.enum(['seen', 'stone', 'seine', 'fishSample']),
    note,
  })
  .strict()
/** A note as it is entered: what was seen or looked for, where, when, how long. */
export type ObservationBody = z.infer<typeof observationBody>

/** A window as the Monte Carlo gives it; see core's `EmergenceWindow`. */
export const emergenceWindow = z
  .object({
    stageKey: foodStageId,
    brood: z.number().int().min(0).max(9),
    onset: z.array(z.number().min(-100).max(900)).length(11),
    weatherSdDays: z.number().min(0).max(400),
    doubtSdDays: z.number().min(0).max(400),
    durationDays: z.number().min(0).max(900),
    noneShare: z.number().min(0).max(1),
  })
  .strict()

/** Windows of a reach, worked out from the inputs of that hash. */
export const seasonWindowsBody = z
  .object({ reachId, inputHash: z.string().max(80), windows: z.array(emergenceWindow).max(1000) })
  .strict()
