import { sql } from 'drizzle-orm'
import { integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { FoodWord, WaterKind } from '../../../core/index.ts'
import type { ReachBody, ReachId, WaterId, WaterRules } from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'

/** A water with its rules as the user noted them. */
export const water = sqliteTable(
  'water',
  {
    id: id<WaterId>(),
    name: text('name').notNull(),
    nameKey: text('name_key').notNull(),
    kind: text('kind').$type<WaterKind>().notNull(),
    latitudeDeg: real('latitude_deg').notNull(),
    longitudeDeg: real('longitude_deg').notNull(),
    timeZone: text('time_zone').notNull(),
    clarityMm: integer('clarity_mm').notNull(),
    snagginess: real('snagginess').notNull(),
    openFromMonthDay: text('open_from_month_day'),
    openToMonthDay: text('open_to_month_day'),
    iceOffMonthDay: text('ice_off_month_day'),
    rules: json<WaterRules>('rules').notNull(),
    rulesNote: text('rules_note').notNull().default(''),
    /** what the user says of foods there, by food */
    foodWords: json<Readonly<Record<string, FoodWord>>>('food_words').notNull().default({}),
    ...editable,
  },
  (t) => [
    uniqueIndex('water_name')
      .on(t.nameKey)
      .where(sql`archived_at_ms is null`),
  ],
)

/** A reach of a river, or the shoal, drop-off or basin of a stillwater. */
export const reach = sqliteTable(
  'reach',
  {
    id: id<ReachId>(),
    waterId: text('water_id')
      .$type<WaterId>()
      .notNull()
      .references(() => water.id),
    kind: text('kind').$type<ReachBody['kind']>().notNull(),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    elevationM: real('elevation_m').notNull(),
    typicalDepthMm: integer('typical_depth_mm').notNull(),
    surfaceSpeedMmPerS: integer('surface_speed_mm_per_s').notNull(),
    bedRoughnessMm: real('bed_roughness_mm').notNull().default(20),
    thermoclineMm: integer('thermocline_mm'),
    defaultTempC: json<readonly number[]>('default_temp_c').notNull(),
    ...editable,
  },
  (t) => [uniqueIndex('reach_position').on(t.waterId, t.position)],
)
