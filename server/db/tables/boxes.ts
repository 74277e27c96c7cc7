import { sql } from 'drizzle-orm'
import { check, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { BoxId, CompartmentId } from '../../../contract/index.ts'
import { editable, id } from './columns.ts'

/** A box, or the bench tray that always exists. */
export const box = sqliteTable(
  'box',
  {
    id: id<BoxId>(),
    name: text('name').notNull(),
    nameKey: text('name_key').notNull(),
    kind: text('kind').$type<'box' | 'benchTray' | 'patch'>().notNull(),
    position: integer('position').notNull().default(0),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [
    uniqueIndex('box_name')
      .on(t.nameKey)
      .where(sql`archived_at_ms is null`),
  ],
)

/** A place in a box with its capacity in flies; null for any number. */
export const compartment = sqliteTable(
  'compartment',
  {
    id: id<CompartmentId>(),
    boxId: text('box_id')
      .$type<BoxId>()
      .notNull()
      .references(() => box.id, { onDelete: 'cascade' }),
    row: integer('row').notNull(),
    column: integer('column').notNull(),
    label: text('label').notNull(),
    capacity: integer('capacity'),
    holds: text('holds').$type<'foam' | 'slot' | 'cup'>().notNull().default('foam'),
    ...editable,
  },
  (t) => [
    uniqueIndex('compartment_place').on(t.boxId, t.row, t.column),
    check('compartment_capacity', sql`capacity is null or capacity > 0`),
  ],
)
