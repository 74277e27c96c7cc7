import { sql } from 'drizzle-orm'
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type {
  FoodStageId,
  ObservationBody,
  ObservationId,
  ReachId,
  ReadingImportId,
  ReadingsBody,
} from '../../../contract/index.ts'
import { id } from './columns.ts'
import { foodStage } from './foods.ts'
import { reach } from './waters.ts'

/** One delivery of readings: a file, a paste, one figure by hand. Put away, its readings count no more. */
export const readingImport = sqliteTable(
  'reading_import',
  {
    id: id<ReadingImportId>(),
    reachId: text('reach_id')
      .$type<ReachId>()
      .notNull()
      .references(() => reach.id),
    /** depth of the thermometer below the surface */
    depthMm: integer('depth_mm').notNull(),
    source: text('source').$type<ReadingsBody['source']>().notNull(),
    atMs: integer('at_ms').notNull(),
    rowCount: integer('row_count').notNull(),
    firstDay: integer('first_day').notNull(),
    lastDay: integer('last_day').notNull(),
    version: integer('version').notNull().default(1),
    archivedAtMs: integer('archived_at_ms'),
  },
  (t) => [index('reading_import_reach').on(t.reachId)],
)

/** A reading at a minute of its water's local day (days since 1970). Temperature in hundredths of a degree. */
export const reading = sqliteTable(
  'reading',
  {
    importId: text('import_id')
      .notNull()
      .references(() => readingImport.id, { onDelete: 'cascade' }),
    day: integer('day').notNull(),
    localMin: integer('local_min').notNull(),
    tempC100: integer('temp_c100'),
    levelMm: integer('level_mm'),
    clarityMm: integer('clarity_mm'),
  },
  (t) => [
    primaryKey({ columns: [t.importId, t.day, t.localMin] }),
    index('reading_level')
      .on(t.importId, t.day, t.localMin)
      .where(sql`level_mm is not null`),
  ],
)

/** Derived: the readings of a day, over all imports that count. */
export const readingDay = sqliteTable(
  'reading_day',
  {
    reachId: text('reach_id').$type<ReachId>().notNull(),
    depthMm: integer('depth_mm').notNull(),
    day: integer('day').notNull(),
    minC: real('min_c').notNull(),
    meanC: real('mean_c').notNull(),
    maxC: real('max_c').notNull(),
    n: integer('n').notNull(),
    /** means over the readings of core's `swingShape`, of its square, and of it times the temperature */
    shape: real('shape').notNull().default(0),
    shapeSq: real('shape_sq').notNull().default(0),
    shapeTempC: real('shape_temp_c').notNull().default(0),
  },
  (t) => [primaryKey({ columns: [t.reachId, t.depthMm, t.day] })],
)

/** What was seen of a food at a reach, or looked for and not seen. */
export const observation = sqliteTable(
  'observation',
  {
    id: id<ObservationId>(),
    reachId: text('reach_id')
      .$type<ReachId>()
      .notNull()
      .references(() => reach.id),
    on: text('on').notNull(),
    localMin: integer('local_min'),
    foodStageId: text('food_stage_id')
      .$type<FoodStageId>()
      .notNull()
      .references(() => foodStage.id),
    kind: text('kind').$type<ObservationBody['kind']>().notNull(),
    count: integer('count'),
    lengthMm: real('length_mm'),
    effortMinutes: integer('effort_minutes'),
    method: text('method').$type<ObservationBody['method']>().notNull(),
    note: text('note').notNull().default(''),
    version: integer('version').notNull().default(1),
    archivedAtMs: integer('archived_at_ms'),
  },
  (t) => [
    index('observation_stage').on(t.foodStageId),
    index('observation_reach').on(t.reachId),
    check('observation_count', sql`count is null or count >= 0`),
  ],
)
