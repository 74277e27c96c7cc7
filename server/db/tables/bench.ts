import { sql } from 'drizzle-orm'
import { check, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { BatchId, CompartmentId, PhotoId, VariantRevisionId } from '../../../contract/index.ts'
import { editable, id } from './columns.ts'
import { photo } from './goods.ts'
import { variantRevision } from './patterns.ts'
import { compartment } from './boxes.ts'

/** So many flies of one recipe: planned, on the vise, or ended. */
export const batch = sqliteTable(
  'batch',
  {
    id: id<BatchId>(),
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .notNull()
      .references(() => variantRevision.id),
    plannedCount: integer('planned_count').notNull(),
    status: text('status').$type<'planned' | 'open' | 'finished' | 'abandoned'>().notNull(),
    way: text('way').$type<'flyByFly' | 'stations'>().notNull().default('flyByFly'),
    onVise: integer('on_vise', { mode: 'boolean' }).notNull().default(false),
    compartmentId: text('compartment_id')
      .$type<CompartmentId>()
      .notNull()
      .references(() => compartment.id),
    queuePosition: integer('queue_position').notNull().default(0),
    createdAtMs: integer('created_at_ms').notNull(),
    startedAtMs: integer('started_at_ms'),
    /** what was done differently this time */
    note: text('note').notNull().default(''),
    photoId: text('photo_id')
      .$type<PhotoId>()
      .references(() => photo.id),
    endedAtMs: integer('ended_at_ms'),
    ...editable,
  },
  (t) => [
    check('batch_planned', sql`planned_count between 1 and 999`),
    uniqueIndex('batch_one_on_vise')
      .on(t.onVise)
      .where(sql`on_vise = 1`),
    index('batch_status').on(t.status),
  ],
)

/** What was counted or done at the vise; never changed, an event may undo another. */
export const batchEvent = sqliteTable(
  'batch_event',
  {
    id: id(),
    batchId: text('batch_id')
      .$type<BatchId>()
      .notNull()
      .references(() => batch.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    kind: text('kind')
      .$type<'step' | 'station' | 'done' | 'spoiled' | 'pause' | 'resume' | 'undone'>()
      .notNull(),
    stepKey: text('step_key'),
    count: integer('count').notNull(),
    spoiledCause: text('spoiled_cause'),
    undoesEventId: text('undoes_event_id').unique(),
  },
  (t) => [index('batch_event_batch').on(t.batchId)],
)
