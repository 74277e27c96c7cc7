import { sql } from 'drizzle-orm'
import { check, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type {
  ActionId,
  BatchId,
  CompartmentId,
  MaterialId,
  OutingId,
  VariantRevisionId,
} from '../../../contract/index.ts'
import { id } from './columns.ts'
import { material } from './goods.ts'
import { variantRevision } from './patterns.ts'
import { compartment } from './boxes.ts'

/** The ledger of flies: what came into a compartment or left it; never changed. */
export const flyEntry = sqliteTable(
  'fly_entry',
  {
    id: id(),
    actionId: text('action_id').$type<ActionId>().notNull(),
    atMs: integer('at_ms').notNull(),
    compartmentId: text('compartment_id')
      .$type<CompartmentId>()
      .notNull()
      .references(() => compartment.id),
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .notNull()
      .references(() => variantRevision.id),
    delta: integer('delta').notNull(),
    cause: text('cause')
      .$type<'tied' | 'lost' | 'given' | 'retired' | 'found' | 'moved' | 'counted' | 'corrected'>()
      .notNull(),
    lossCause: text('loss_cause'),
    counted: integer('counted'),
    /** not references: history outlives a batch or outing that was undone */
    batchId: text('batch_id').$type<BatchId>(),
    outingId: text('outing_id').$type<OutingId>(),
    reversesEntryId: text('reverses_entry_id').unique(),
  },
  (t) => [
    index('fly_entry_action').on(t.actionId),
    index('fly_entry_outing').on(t.outingId),
    index('fly_entry_place').on(t.compartmentId, t.variantRevisionId),
  ],
)

/** The ledger of goods, in smallest steps; never changed. */
export const materialEntry = sqliteTable(
  'material_entry',
  {
    id: id(),
    actionId: text('action_id').$type<ActionId>().notNull(),
    atMs: integer('at_ms').notNull(),
    materialId: text('material_id')
      .$type<MaterialId>()
      .notNull()
      .references(() => material.id),
    delta: integer('delta').notNull(),
    cause: text('cause').$type<'bought' | 'used' | 'wasted' | 'counted' | 'found' | 'given'>().notNull(),
    counted: integer('counted'),
    batchId: text('batch_id').$type<BatchId>(),
    reversesEntryId: text('reverses_entry_id').unique(),
  },
  (t) => [index('material_entry_action').on(t.actionId), index('material_entry_material').on(t.materialId)],
)

/** Flies on hand by compartment and recipe, kept by a trigger. */
export const flyBalance = sqliteTable(
  'fly_balance',
  {
    compartmentId: text('compartment_id').$type<CompartmentId>().notNull(),
    variantRevisionId: text('variant_revision_id').$type<VariantRevisionId>().notNull(),
    count: integer('count').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.compartmentId, t.variantRevisionId] }),
    index('fly_balance_revision').on(t.variantRevisionId),
    check('fly_balance_count', sql`count >= 0`),
  ],
)

/** What became of the flies of a recipe, over all time: sums of the ledger by cause. */
export const flyTally = sqliteTable(
  'fly_tally',
  {
    variantRevisionId: text('variant_revision_id').$type<VariantRevisionId>().notNull(),
    cause: text('cause').$type<(typeof flyEntry.$inferSelect)['cause']>().notNull(),
    /** empty for what was not lost */
    lossCause: text('loss_cause').notNull(),
    /** sum of the entries' deltas: below nought for what went */
    count: integer('count').notNull(),
    lastAtMs: integer('last_at_ms').notNull(),
  },
  (t) => [primaryKey({ columns: [t.variantRevisionId, t.cause, t.lossCause] })],
)

/** What a drawer holds, kept by a trigger; below nought where it was never counted. */
export const materialBalance = sqliteTable('material_balance', {
  materialId: text('material_id').$type<MaterialId>().primaryKey(),
  amount: integer('amount').notNull(),
})
