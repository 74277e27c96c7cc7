import { sql } from 'drizzle-orm'
import { blob, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { Barb, MaterialFamily, MaterialKind, Physics, StockUnit } from '../../../core/index.ts'
import type { FamilyId, MaterialId, PhotoId } from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'

/** A picture of a drawer or a batch, made small and without what cameras write beside it. */
export const photo = sqliteTable('photo', {
  id: id<PhotoId>(),
  mime: text('mime').notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
})

/** The JSON of a family: all that core reckons with and no query asks for. */
export interface FamilyBody extends Pick<
  MaterialFamily,
  'massModel' | 'physics' | 'hook' | 'boring' | 'line' | 'wasteShare' | 'cutLengthMm' | 'cautions'
> {
  readonly schemaVersion: 1
  readonly sizes: readonly string[]
  readonly colours: readonly { readonly name: string; readonly hexDry: string; readonly hexWet: string }[]
}

/** What goods are: kind, physics, sizes, colours. */
export const family = sqliteTable('family', {
  id: id<FamilyId>(),
  kind: text('kind').$type<MaterialKind>().notNull(),
  name: text('name').notNull(),
  stockUnit: text('stock_unit').$type<StockUnit>().notNull(),
  body: json<FamilyBody>('body').notNull(),
  shippedKey: text('shipped_key').unique(),
  shippedVersion: integer('shipped_version'),
  edited: integer('edited', { mode: 'boolean' }).notNull().default(false),
  ...editable,
})

/** One drawer: a size and colour of a family, with how it is bought. */
export const material = sqliteTable(
  'material',
  {
    id: id<MaterialId>(),
    familyId: text('family_id')
      .$type<FamilyId>()
      .notNull()
      .references(() => family.id),
    sizeKey: text('size_key').notNull().default(''),
    sizeAsWritten: text('size_as_written').notNull().default(''),
    colourName: text('colour_name').notNull(),
    colourKey: text('colour_key').notNull(),
    colourHex: text('colour_hex').notNull(),
    colourWetHex: text('colour_wet_hex').notNull(),
    packAmount: integer('pack_amount'),
    overrides: json<Physics>('overrides').notNull().default({}),
    /** of a hook; null where nobody said */
    barb: text('barb').$type<Barb>(),
    minimumAmount: integer('minimum_amount'),
    priceMinor: integer('price_minor'),
    leadTimeDays: integer('lead_time_days'),
    supplier: text('supplier').notNull().default(''),
    photoId: text('photo_id')
      .$type<PhotoId>()
      .references(() => photo.id),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [
    uniqueIndex('material_drawer')
      .on(t.familyId, t.sizeKey, t.colourKey)
      .where(sql`archived_at_ms is null`),
  ],
)
