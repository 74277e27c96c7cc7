import { z } from 'zod'
import { foodStageId, reachId, version } from '../common.ts'
import { emergenceWindow, observationBody, observationId, readingImportId } from '../records/season.ts'

/** A reach's year with its weather; see core's `SeasonalModel`. */
export const seasonalModel = z.object({
  meanC: z.number(),
  cos1C: z.number(),
  sin1C: z.number(),
  cos2C: z.number(),
  sin2C: z.number(),
  noiseSdC: z.number(),
  persistence: z.number(),
  yearSdC: z.number(),
  curveSdC: z.number(),
  readingDays: z.number(),
  basis: z.enum(['readings', 'borrowed', 'kind']),
})

/** Mean of a day's readings; days since 1970. */
export const dayReading = z.object({ day: z.number(), meanC: z.number() })

/** How warm a reach is: its year, and the latest reading. */
export const reachWarmth = z.object({
  model: seasonalModel,
  latest: dayReading.nullable(),
  trendCPerDay: z.number().nullable(),
})
/** How warm a reach is, as a curve over the year, °C. */
export type ReachWarmth = z.infer<typeof reachWarmth>

/** For each reach, what its windows hang on, and from what the kept ones were worked out. */
export const seasonStateView = z
  .object({
    /** of the broods that the hashes below speak of; the larder says the same once it is as new */
    broodsHash: z.string(),
    reaches: z.array(
      z.object({
        reachId,
        model: seasonalModel,
        latitudeDeg: z.number(),
        elevationM: z.number(),
        iceOffOn: z.string().nullable(),
        inputHash: z.string(),
        keptHash: z.string().nullable(),
      }),
    ),
  })
  .meta({ id: 'SeasonState' })
/** What the windows of each reach hang on. */
export type SeasonStateView = z.infer<typeof seasonStateView>

/** A brood's window before and after what was learned on this water. */
export const learnedWindow = z.object({
  before: emergenceWindow,
  after: emergenceWindow,
  shiftDays: z.number(),
  notes: z.number(),
  backtest: z.object({ years: z.number(), engineDays: z.number(), fixedDateDays: z.number() }).nullable(),
})

/** A note with the names of what was seen. */
export const observationLine = z.object({
  id: observationId,
  version,
  observation: observationBody,
  foodName: z.string(),
  stageName: z.string(),
})
/** A note of what was seen. */
export type ObservationLine = z.infer<typeof observationLine>

/** The season of one reach: readings by day, windows, notes. */
export const reachSeasonView = z
  .object({
    reachId,
    warmth: reachWarmth,
    /** [day, mean °C], in order */
    days: z.array(z.tuple([z.number(), z.number()])),
    imports: z.array(
      z.object({
        id: readingImportId,
        version,
        source: z.enum(['entered', 'pasted', 'file', 'simulated']),
        depthMm: z.number(),
        rowCount: z.number(),
        firstDay: z.number(),
        lastDay: z.number(),
        atMs: z.number(),
      }),
    ),
    /** latest level and clarity that were read, with the level a day before; null where none was */
    level: z
      .object({
        day: z.number(),
        localMin: z.number(),
        levelMm: z.number(),
        dayBeforeMm: z.number().nullable(),
        clarityMm: z.number().nullable(),
        source: z.enum(['entered', 'pasted', 'file', 'simulated']),
      })
      .nullable(),
    /** empty until they were worked out */
    windows: z.array(learnedWindow),
    /** days MM-DD on which a stage was seen on this water */
    seenOn: z.record(foodStageId, z.array(z.string())),
    observations: z.array(observationLine),
  })
  .meta({ id: 'ReachSeason' })
/** Readings, windows and notes of a reach. */
export type ReachSeasonView = z.infer<typeof reachSeasonView>
