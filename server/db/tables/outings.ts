import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { drill } from '../../../core/index.ts'
import type {
  DrillAnswerId,
  LineCountId,
  OutingId,
  ReachId,
  RigBody,
  RigId,
  SpellId,
  TapId,
  TapSaid,
  Technique,
  VariantId,
  WaterId,
} from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'
import { reach, water } from './waters.ts'
import { variant } from './patterns.ts'

/** A day at the water: planned, done or cancelled. */
export const outing = sqliteTable(
  'outing',
  {
    id: id<OutingId>(),
    waterId: text('water_id')
      .$type<WaterId>()
      .notNull()
      .references(() => water.id),
    reachId: text('reach_id')
      .$type<ReachId>()
      .references(() => reach.id),
    on: text('on').notNull(),
    fromLocalMin: integer('from_local_min').notNull(),
    toLocalMin: integer('to_local_min').notNull(),
    status: text('status').$type<'planned' | 'done' | 'cancelled'>().notNull(),
    technique: text('technique').$type<Technique>().notNull(),
    alsoTechniques: json<readonly Technique[]>('also_techniques').notNull().default([]),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [index('outing_on').on(t.on), check('outing_hours', sql`from_local_min < to_local_min`)],
)

/** A rig: what is between the rod and the point. Once a spell was fished on it, it stays as it is. */
export const rig = sqliteTable('rig', {
  id: id<RigId>(),
  name: text('name').notNull(),
  way: text('way').$type<RigBody['way']>().notNull(),
  parts: json<RigBody['parts']>('parts').notNull(),
  note: text('note').notNull().default(''),
  /** when its knots and its tippet were tied last, where somebody said */
  knotsOn: text('knots_on'),
  ...editable,
})

/** A count that was made with a rig: what it says of its line. */
export const lineCount = sqliteTable(
  'line_count',
  {
    id: id<LineCountId>(),
    rigId: text('rig_id')
      .$type<RigId>()
      .notNull()
      .references(() => rig.id),
    atMs: integer('at_ms').notNull(),
    depthMm: real('depth_mm').notNull(),
    countS: real('count_s').notNull(),
    waterTempC: real('water_temp_c').notNull(),
    ...editable,
  },
  (t) => [index('line_count_rig').on(t.rigId), check('line_count_figures', sql`depth_mm > 0 and count_s > 0`)],
)

/** What was noted at the water, a tap a row, under the id that the phone gave it. */
export const outingTap = sqliteTable(
  'outing_tap',
  {
    id: id<TapId>(),
    outingId: text('outing_id')
      .$type<OutingId>()
      .notNull()
      .references(() => outing.id),
    atMs: integer('at_ms').notNull(),
    /** the tap without its id and time */
    said: json<TapSaid>('said').notNull(),
    /** whether a spell or a loss was made of it */
    booked: integer('booked', { mode: 'boolean' }).notNull().default(false),
    ...editable,
  },
  (t) => [index('outing_tap_outing').on(t.outingId)],
)

/** An answer that was given in a drill. */
export const drillAnswer = sqliteTable(
  'drill_answer',
  {
    id: id<DrillAnswerId>(),
    drill: text('drill').$type<drill.Drill>().notNull(),
    /** the fly, stage or sign that was asked about */
    subject: text('subject').notNull(),
    atMs: integer('at_ms').notNull(),
    isRight: integer('is_right', { mode: 'boolean' }).notNull(),
    ...editable,
  },
  (t) => [index('drill_answer_drill').on(t.drill)],
)

/** How long a fly was fished on an outing, and what came of it. */
export const spell = sqliteTable(
  'spell',
  {
    id: id<SpellId>(),
    outingId: text('outing_id')
      .$type<OutingId>()
      .notNull()
      .references(() => outing.id),
    variantId: text('variant_id')
      .$type<VariantId>()
      .notNull()
      .references(() => variant.id),
    rigId: text('rig_id')
      .$type<RigId>()
      .references(() => rig.id),
    minutes: integer('minutes').notNull(),
    takes: integer('takes').notNull(),
    refusals: integer('refusals').notNull(),
    ...editable,
  },
  (t) => [
    index('spell_outing').on(t.outingId),
    index('spell_variant').on(t.variantId),
    index('spell_rig').on(t.rigId),
    check('spell_counts', sql`minutes > 0 and takes >= 0 and refusals >= 0`),
  ],
)
