import { sql } from 'drizzle-orm'
import {
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core'
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core'
import type { Role, WaterKind } from '../../../core/index.ts'
import type {
  CompartmentId,
  DressingBody,
  DressingId,
  FoodStageId,
  MaterialId,
  PatternId,
  Swaps,
  VariantId,
  VariantRevisionId,
} from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'
import { material } from './goods.ts'
import { foodStage } from './foods.ts'
import { compartment } from './boxes.ts'

/** A pattern: name, purpose, how and where it is fished. */
export const pattern = sqliteTable(
  'pattern',
  {
    id: id<PatternId>(),
    name: text('name').notNull(),
    nameKey: text('name_key').notNull(),
    purpose: text('purpose').$type<'imitation' | 'attractor' | 'searching'>().notNull(),
    roles: json<readonly Role[]>('roles').notNull().default([]),
    ownMonths: json<readonly number[]>('own_months').notNull(),
    fishedHow: json<readonly string[]>('fished_how').notNull(),
    waterKinds: json<readonly WaterKind[]>('water_kinds').notNull(),
    dislike: real('dislike').notNull().default(0),
    note: text('note').notNull().default(''),
    /** by which it is tied now; older ones, and what was taken back, stay for the flies that were tied by them */
    currentDressingId: text('current_dressing_id').$type<DressingId>(),
    ...editable,
  },
  (t) => [
    uniqueIndex('pattern_name')
      .on(t.nameKey)
      .where(sql`archived_at_ms is null`),
  ],
)

/** What a pattern is meant for. */
export const patternServes = sqliteTable(
  'pattern_serves',
  {
    patternId: text('pattern_id')
      .$type<PatternId>()
      .notNull()
      .references(() => pattern.id, { onDelete: 'cascade' }),
    foodStageId: text('food_stage_id')
      .$type<FoodStageId>()
      .notNull()
      .references(() => foodStage.id),
    weight: real('weight').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.patternId, t.foodStageId] }),
    index('pattern_serves_stage').on(t.foodStageId),
  ],
)

/** How recipes are written down: from 2 on with every usual amount in them. */
export const RECIPE_VERSION = 2

/** A revision of a pattern’s recipe; never changed. */
export const dressing = sqliteTable(
  'dressing',
  {
    id: id<DressingId>(),
    patternId: text('pattern_id')
      .$type<PatternId>()
      .notNull()
      .references(() => pattern.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    body: json<DressingBody & { schemaVersion: typeof RECIPE_VERSION }>('body').notNull(),
    contentHash: text('content_hash').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
  },
  (t) => [uniqueIndex('dressing_revision').on(t.patternId, t.revision)],
)

/** A dressing on one hook with its swaps, its par and its home. */
export const variant = sqliteTable(
  'variant',
  {
    id: id<VariantId>(),
    patternId: text('pattern_id')
      .$type<PatternId>()
      .notNull()
      .references(() => pattern.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    label: text('label').notNull(),
    labelKey: text('label_key').notNull(),
    hookMaterialId: text('hook_material_id')
      .$type<MaterialId>()
      .notNull()
      .references(() => material.id),
    swaps: json<Swaps>('swaps').notNull(),
    parCount: integer('par_count'),
    /** the recipe that is tied now; older ones stay as they were tied */
    currentRevisionId: text('current_revision_id').$type<VariantRevisionId>().notNull(),
    homeCompartmentId: text('home_compartment_id')
      .$type<CompartmentId>()
      .references((): AnySQLiteColumn => compartment.id),
    ...editable,
  },
  (t) => [
    uniqueIndex('variant_label')
      .on(t.patternId, t.labelKey)
      .where(sql`archived_at_ms is null`),
    index('variant_home').on(t.homeCompartmentId),
    check('variant_par', sql`par_count is null or par_count between 0 and 99`),
  ],
)

/** The recipe of a variant as tied: components with swaps applied, on its hook. */
export interface RevisionBody {
  readonly schemaVersion: typeof RECIPE_VERSION
  readonly hookMaterialId: MaterialId
  readonly dressing: DressingBody
}

/** A recipe as tied; never changed. */
export const variantRevision = sqliteTable(
  'variant_revision',
  {
    id: id<VariantRevisionId>(),
    variantId: text('variant_id')
      .$type<VariantId>()
      .notNull()
      .references(() => variant.id, { onDelete: 'cascade' }),
    dressingId: text('dressing_id')
      .$type<DressingId>()
      .notNull()
      .references(() => dressing.id),
    body: json<RevisionBody>('body').notNull(),
    contentHash: text('content_hash').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
  },
  (t) => [
    uniqueIndex('variant_revision_hash').on(t.variantId, t.contentHash),
    index('revision_dressing').on(t.dressingId),
  ],
)

/** Which drawers a recipe names. */
export const revisionMaterial = sqliteTable(
  'revision_material',
  {
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .notNull()
      .references(() => variantRevision.id, { onDelete: 'cascade' }),
    componentKey: text('component_key').notNull(),
    materialId: text('material_id')
      .$type<MaterialId>()
      .notNull()
      .references(() => material.id),
  },
  (t) => [
    primaryKey({ columns: [t.variantRevisionId, t.componentKey] }),
    index('revision_material_material').on(t.materialId),
  ],
)
