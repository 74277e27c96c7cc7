import { sql } from 'drizzle-orm'
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { compartment } from './boxes.ts'
import { editable, id } from './columns.ts'
import { material } from './goods.ts'
import { outing } from './outings.ts'
import { variantRevision } from './patterns.ts'
import type {
  CompartmentId,
  MaterialId,
  OutingId,
  PurchaseId,
  PurchaseLineId,
  VariantRevisionId,
} from '../../../contract/index.ts'

/** Flies that were taken out of one compartment into another for an outing, to go back there after it. */
export const packing = sqliteTable(
  'packing',
  {
    id: id(),
    outingId: text('outing_id')
      .$type<OutingId>()
      .notNull()
      .references(() => outing.id),
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .notNull()
      .references(() => variantRevision.id),
    fromCompartmentId: text('from_compartment_id')
      .$type<CompartmentId>()
      .notNull()
      .references(() => compartment.id),
    toCompartmentId: text('to_compartment_id')
      .$type<CompartmentId>()
      .notNull()
      .references(() => compartment.id),
    count: integer('count').notNull(),
    ...editable,
  },
  (t) => [index('packing_outing').on(t.outingId), check('packing_count', sql`count > 0`)],
)

/** What was ordered, until all of it has come or the rest is given up. */
export const purchase = sqliteTable('purchase', {
  id: id<PurchaseId>(),
  status: text('status').$type<'ordered' | 'closed'>().notNull(),
  orderedAtMs: integer('ordered_at_ms').notNull(),
  supplier: text('supplier').notNull().default(''),
  ...editable,
})

/** Packs of a drawer that were ordered, and how many came. */
export const purchaseLine = sqliteTable(
  'purchase_line',
  {
    id: id<PurchaseLineId>(),
    purchaseId: text('purchase_id')
      .$type<PurchaseId>()
      .notNull()
      .references(() => purchase.id, { onDelete: 'cascade' }),
    materialId: text('material_id')
      .$type<MaterialId>()
      .notNull()
      .references(() => material.id),
    /** what a pack held when it was ordered, in the smallest step */
    packAmount: integer('pack_amount').notNull(),
    packs: integer('packs').notNull(),
    arrivedPacks: integer('arrived_packs').notNull().default(0),
    ...editable,
  },
  (t) => [
    index('purchase_line_purchase').on(t.purchaseId),
    check('purchase_line_packs', sql`packs > 0 and arrived_packs >= 0 and pack_amount > 0`),
  ],
)

/** What the user has fixed of the plan of what to tie: numbers by variant, nought to leave one out. One row. */
export const plan = sqliteTable('plan', {
  id: id(),
  choices: text('choices', { mode: 'json' }).$type<Readonly<Record<string, number>>>().notNull(),
  ...editable,
})

/** Evenings that differ from what is usual on their day of the week; null is as usual again. The id is the day. */
export const evening = sqliteTable('evening', { id: id(), minutes: integer('minutes'), ...editable }, () => [
  check('evening_minutes', sql`minutes between 0 and 600`),
])
