import { z } from 'zod'
import { foodStageId, reachId, version } from '../common.ts'
import {
  emergenceWindow,
  observationBody,
  observationId,
  readingImportId,
  readingsBody,
} from '../records/season.ts'

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
  curveSdC: z.array(z.number()).length(12),
  readingDays: z.number(),
  basis: z.enum(['readings', 'borrowed', 'kind']),
})

/** Mean of a day, days since 1970, with its doubt; see core's `DayReading`. */
export const dayReading = z.object({
  day: z.number(),
  meanC: z.number(),
  sdC: z.number().exactOptional(),
  hourSdC: z.number().exactOptional(),
})

/** How water swings within a day; see core's `DailySwing`. */
export const dailySwing = z.object({ latitudeDeg: z.number(), midsummerC: z.number(), doubt: z.number() })

/** How warm a reach is: its year, and the latest reading. */
export const reachWarmth = z.object({
  model: seasonalModel,
  latest: dayReading.nullable(),
  swing: dailySwing,
  trendCPerDay: z.number().nullable(),
})
/** How warm a reach is, as a curve over the year, °C. */
export type ReachWarmth = z.infer<typeof reachWarmth>

/** A brood's window before and after what was learned on this water. */
export const learnedWindow = z.object({
  before: emergenceWindow,
  after: emergenceWindow,
  shiftDays: z.number(),
  notes: z.number(),
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
        source: readingsBody.shape.source,
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
        source: readingsBody.shape.source,
      })
      .nullable(),
    windows: z.array(learnedWindow),
    /** days MM-DD on which a stage was seen on this water */
    seenOn: z.record(foodStageId, z.array(z.string())),
    observations: z.array(observationLine),
  })
  .meta({ id: 'ReachSeason' })
/** Readings, windows and notes of a reach. */
export type ReachSeasonView = z.infer<typeof reachSeasonView>

const row = z.array(z.number())
/** What trout are on through a row of moments; at each of them all shares sum to one. */
export const feedingRow = z
  .object({
    /** share of the fish that take whatever comes */
    whatever: row,
    stages: z.array(z.object({ stageId: foodStageId, about: row, onIt: row })),
  })
  .meta({ id: 'FeedingRow' })
/** What trout are on through the half hours of a day or the weeks of a year. */
export type FeedingRowView = z.infer<typeof feedingRow>

/** How good forecasts were; see core's `SeasonSkill`. Null where no first day was noted. */
export const seasonSkillView = z
  .object({
    skill: z
      .object({
        times: z.number(),
        byLead: z.array(z.object({ leadDays: z.number(), held: z.number(), offDays: z.number() })),
        fixedOffDays: z.number(),
        unlearnedOffDays: z.number(),
      })
      .nullable(),
  })
  .meta({ id: 'SeasonSkill' })
/** How good the forecasts of a stage were at a reach. */
export type SeasonSkillView = z.infer<typeof seasonSkillView>
