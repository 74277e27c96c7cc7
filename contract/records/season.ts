import { z } from 'zod'
import type { Trigger } from '../../core/index.ts'
import { civilDate, foodStageId, id, localMinute, monthDay, name, note, reachId, share } from '../common.ts'
import { figure, listed } from '../limited.ts'

/** Names one take-in of readings. */
export const readingImportId = id('ReadingImport')
/** Names a note of what was seen. */
export const observationId = id('Observation')
/** Id of a take-in of readings. */
export type ReadingImportId = z.infer<typeof readingImportId>
/** Id of a note of what was seen. */
export type ObservationId = z.infer<typeof observationId>

const tempC = figure('triggerTempC')
const direction = z.enum(['rising', 'falling'])
const started = {
  spreadDays: figure('spreadDays'),
  durationDays: figure('durationDays'),
  lagDays: figure('lagDays').exactOptional(),
  steadyStartOn: monthDay.exactOptional(),
  latest: monthDay.exactOptional(),
}

/** A warmth that a stage waits for, and 8 in 10 of those that were met with. */
interface Waited {
  readonly thresholdC: number
  readonly lowC: number
  readonly highC: number
}
const liesBetween = ({ thresholdC, lowC, highC }: Waited) => lowC <= thresholdC && thresholdC <= highC
const BETWEEN = {
  message: 'The warmth that starts it lies between the lowest and the highest of the 8 in 10.',
  path: ['thresholdC'],
}
/** Days of a year compare as they are written. */
const startsBy = ({ latest, from }: { readonly latest?: string | undefined; readonly from: string }) =>
  latest === undefined || from <= latest
const BY_THEN = { message: 'It starts anyhow on a day before it may.', path: ['latest'] }

/** What starts a stage; core's {@link Trigger} checked. */
export const trigger: z.ZodType<Trigger, Trigger> = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('waterTemp'),
      direction,
      thresholdC: tempC,
      lowC: tempC,
      highC: tempC,
      notBefore: monthDay,
      strongLowC: tempC.exactOptional(),
      strongHighC: tempC.exactOptional(),
      ...started,
    })
    .refine(liesBetween, BETWEEN)
    .refine(({ latest, notBefore }) => startsBy({ latest, from: notBefore }), BY_THEN)
    .refine(({ strongLowC = -Infinity, strongHighC = Infinity }) => strongLowC <= strongHighC, {
      message: 'The lower warmth comes first.',
      path: ['strongHighC'],
    }),
  z
    .strictObject({
      kind: z.literal('degreeDays'),
      baseC: tempC,
      degreeDays: figure('degreeDays'),
      startOn: monthDay,
      ...started,
    })
    .refine(({ latest, startOn }) => startsBy({ latest, from: startOn }), BY_THEN),
  z
    .strictObject({
      kind: z.literal('dayLength'),
      direction,
      hours: figure('dayLengthH'),
      notBefore: monthDay,
      ...started,
    })
    .refine(({ latest, notBefore }) => startsBy({ latest, from: notBefore }), BY_THEN),
  z
    .strictObject({
      kind: z.literal('airTemp'),
      statistic: z.literal('dailyMax').exactOptional(),
      thresholdC: tempC,
      lowC: tempC,
      highC: tempC,
      notBefore: monthDay,
      ...started,
    })
    .refine(liesBetween, BETWEEN)
    .refine(({ latest, notBefore }) => startsBy({ latest, from: notBefore }), BY_THEN),
  z.strictObject({
    kind: z.literal('iceOff'),
    offsetDays: figure('iceOffDays'),
    withoutIceC: tempC,
    notBefore: monthDay.exactOptional(),
    ...started,
  }),
  z.strictObject({ kind: z.literal('allYear') }),
  z.strictObject({ kind: z.literal('light'), regime: z.enum(['glare', 'dim', 'night']) }),
  z.strictObject({
    kind: z.literal('level'),
    riseMm: figure('riseMm'),
    withinHours: figure('withinHours'),
    spreadDays: figure('spreadDays').exactOptional(),
    durationDays: figure('lastsDays').exactOptional(),
  }),
])

const foodMm = figure('foodMm').exactOptional()

/** A brood of a stage. */
export const brood = z
  .object({
    name,
    months: listed('months', figure('month')),
    lengthMmLow: foodMm,
    lengthMmHigh: foodMm,
    trigger,
  })
  .strict()
  .refine(({ lengthMmLow = 0, lengthMmHigh = Infinity }) => lengthMmLow <= lengthMmHigh, {
    message: 'The shorter length comes first.',
    path: ['lengthMmHigh'],
  })

/**
 * Readings of a reach: for each its local day (days since 1970), its minute, and temperature in hundredths of a degree,
 * level in mm and clarity in mm where they were read.
 */
export const readingsBody = z
  .object({
    reachId,
    depthMm: figure('readingDepthMm'),
    source: z.enum(['entered', 'pasted', 'file', 'simulated', 'noted']),
    rows: listed(
      'readings',
      z.tuple([
        figure('readingDay'),
        localMinute,
        figure('readingTemp').nullable(),
        figure('levelMm').nullable(),
        figure('readingClarityMm').nullable(),
      ]),
    ),
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
    count: figure('seenCount').nullable(),
    lengthMm: figure('seenMm').nullable(),
    effortMinutes: figure('effortMin').nullable(),
    method: z.enum(['seen', 'stone', 'seine', 'fishSample']),
    note,
  })
  .strict()
/** A note as it is entered: what was seen or looked for, where, when, how long. */
export type ObservationBody = z.infer<typeof observationBody>

/** A window as its draws have it; see core's `EmergenceWindow`. */
export const emergenceWindow = z
  .object({
    stageKey: foodStageId,
    brood: figure('brood'),
    onset: z.array(z.number()).length(11),
    last: z.array(z.number()).length(11),
    noneShare: share,
  })
  .strict()
