import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Timing, WetState } from '../../../core/index.ts'
import type { DropTestId, MaterialId, VariantRevisionId, WeighingId } from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'
import { material } from './goods.ts'
import { variantRevision } from './patterns.ts'

/** A time of a drop, and whether someone set it aside. */
export interface DropTime {
  readonly timeS: number
  readonly setAside: boolean
}

/** Timed drops of one recipe. */
export const dropTest = sqliteTable(
  'drop_test',
  {
    id: id<DropTestId>(),
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .notNull()
      .references(() => variantRevision.id),
    atMs: integer('at_ms').notNull(),
    depthMm: real('depth_mm').notNull(),
    timing: text('timing').$type<Timing>().notNull(),
    waterTempC: real('water_temp_c').notNull(),
    vesselMm: real('vessel_mm'),
    tippetDiameterMm: real('tippet_diameter_mm'),
    tippetLengthMm: real('tippet_length_mm'),
    tippetDensityMgPerMm3: real('tippet_density_mg_per_mm3'),
    tippetCurlDeg: real('tippet_curl_deg').notNull().default(0),
    wet: text('wet').$type<WetState>().notNull(),
    times: json<readonly DropTime[]>('times').notNull(),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [
    index('drop_test_revision').on(t.variantRevisionId),
    check('drop_test_depth', sql`depth_mm > 0`),
    check('drop_test_line', sql`(tippet_diameter_mm is null) = (tippet_length_mm is null)`),
  ],
)

/** Pieces of a drawer, or flies of a recipe, on a scale. */
export const weighing = sqliteTable(
  'weighing',
  {
    id: id<WeighingId>(),
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .references(() => variantRevision.id),
    materialId: text('material_id')
      .$type<MaterialId>()
      .references(() => material.id),
    atMs: integer('at_ms').notNull(),
    count: real('count').notNull(),
    totalMg: real('total_mg').notNull(),
    readabilityMg: real('readability_mg').notNull(),
    source: text('source').$type<'scale' | 'simulated' | 'entered'>().notNull(),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [
    index('weighing_revision').on(t.variantRevisionId),
    index('weighing_material').on(t.materialId),
    check('weighing_subject', sql`(variant_revision_id is null) <> (material_id is null)`),
    check('weighing_positive', sql`count > 0 and total_mg > 0`),
  ],
)
