import { sql } from 'drizzle-orm'
import {
  blob,
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
import type {
  ActionLabel,
  Appearance,
  DepthBand,
  FlyDrawing,
  FoodStage,
  MaterialFamily,
  MaterialKind,
  Physics,
  Posture,
  StockUnit,
  Timing,
  WaterKind,
  WetState,
} from '../../core/index.ts'
import type {
  ActionId,
  BatchId,
  BoxId,
  CompartmentId,
  DressingBody,
  DressingId,
  FamilyId,
  FoodId,
  FoodStageId,
  MaterialId,
  OutingId,
  PatternId,
  PhotoId,
  ReachBody,
  ReachId,
  SettingsBody,
  SpellId,
  Swaps,
  Technique,
  VariantId,
  VariantRevisionId,
  WaterId,
  WaterRules,
} from '../../contract/index.ts'

/** Columns of every row that people edit. */
export const editable = {
  version: integer('version').notNull().default(1),
  archivedAtMs: integer('archived_at_ms'),
}
export const id = <Id extends string = string>() => text('id').$type<Id>().primaryKey()
const json = <T>(column: string) => text(column, { mode: 'json' }).$type<T>()

// ---- photos

/** A picture of a drawer or a batch, made small and without what cameras write beside it. */
export const photo = sqliteTable('photo', {
  id: id<PhotoId>(),
  mime: text('mime').notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
})

// ---- materials

/** The JSON of a family: all that core reckons with and no query asks for. */
export interface FamilyBody extends Pick<
  MaterialFamily,
  'massModel' | 'physics' | 'hook' | 'boring' | 'wasteShare' | 'cutLengthMm' | 'cautions'
> {
  readonly schemaVersion: 1
  readonly sizes: readonly string[]
  readonly colours: readonly { readonly name: string; readonly hexDry: string; readonly hexWet: string }[]
}

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
  (t) => [uniqueIndex('material_drawer').on(t.familyId, t.sizeKey, t.colourKey)],
)

// ---- water and food

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
    ...editable,
  },
  (t) => [
    uniqueIndex('water_name')
      .on(t.nameKey)
      .where(sql`archived_at_ms is null`),
  ],
)

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

export const food = sqliteTable('food', {
  id: id<FoodId>(),
  name: text('name').notNull(),
  groupKey: text('group_key').notNull(),
  shippedKey: text('shipped_key').unique(),
  shippedVersion: integer('shipped_version'),
  edited: integer('edited', { mode: 'boolean' }).notNull().default(false),
  ...editable,
})

/** The JSON of a stage: what core reckons with, and the rest of what is known of it. */
export interface FoodStageBody extends Omit<FoodStage, 'id' | 'stage'> {
  readonly schemaVersion: 1
  readonly colours: readonly { name: string; hexDry: string; hexWet: string; share: number }[]
  readonly silhouette: string
  readonly movements: readonly string[]
  readonly triggers: readonly string[]
  readonly shank: string
  readonly more: Readonly<Record<string, unknown>>
}

export const foodStage = sqliteTable(
  'food_stage',
  {
    id: id<FoodStageId>(),
    foodId: text('food_id')
      .$type<FoodId>()
      .notNull()
      .references(() => food.id),
    stage: text('stage').notNull(),
    stageName: text('stage_name').notNull(),
    depthBandRiver: text('depth_band_river').$type<DepthBand>(),
    depthBandStillwater: text('depth_band_stillwater').$type<DepthBand>(),
    importance: real('importance').notNull(),
    body: json<FoodStageBody>('body').notNull(),
    shippedKey: text('shipped_key').unique(),
    shippedVersion: integer('shipped_version'),
    edited: integer('edited', { mode: 'boolean' }).notNull().default(false),
    ...editable,
  },
  (t) => [index('food_stage_food').on(t.foodId)],
)

// ---- patterns

export const pattern = sqliteTable(
  'pattern',
  {
    id: id<PatternId>(),
    name: text('name').notNull(),
    nameKey: text('name_key').notNull(),
    purpose: text('purpose').$type<'imitation' | 'attractor' | 'searching'>().notNull(),
    ownMonths: json<readonly number[]>('own_months').notNull(),
    fishedHow: json<readonly string[]>('fished_how').notNull(),
    waterKinds: json<readonly WaterKind[]>('water_kinds').notNull(),
    dislike: real('dislike').notNull().default(0),
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [
    uniqueIndex('pattern_name')
      .on(t.nameKey)
      .where(sql`archived_at_ms is null`),
  ],
)

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

// ---- boxes and ledgers

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
    note: text('note').notNull().default(''),
    ...editable,
  },
  (t) => [index('outing_on').on(t.on), check('outing_hours', sql`from_local_min < to_local_min`)],
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
    minutes: integer('minutes').notNull(),
    takes: integer('takes').notNull(),
    refusals: integer('refusals').notNull(),
    ...editable,
  },
  (t) => [
    index('spell_outing').on(t.outingId),
    index('spell_variant').on(t.variantId),
    check('spell_counts', sql`minutes > 0 and takes >= 0 and refusals >= 0`),
  ],
)

export const action = sqliteTable(
  'action',
  {
    id: id<ActionId>(),
    kind: text('kind').notNull(),
    atMs: integer('at_ms').notNull(),
    label: json<ActionLabel>('label').notNull(),
    requestHash: text('request_hash').notNull(),
    result: json<Record<string, unknown>>('result').notNull(),
    before: json<readonly unknown[]>('before').notNull(),
    undoable: integer('undoable', { mode: 'boolean' }).notNull(),
    undoesActionId: text('undoes_action_id').unique(),
  },
  (t) => [index('action_at').on(t.atMs)],
)

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
      .$type<'tied' | 'lost' | 'given' | 'retired' | 'found' | 'moved' | 'counted'>()
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

export const setting = sqliteTable('setting', {
  id: id(),
  body: json<SettingsBody>('body').notNull(),
  /** the demo's clock: where it stands; null for the real one */
  clockStandsAtMs: integer('clock_stands_at_ms'),
  isDemo: integer('is_demo', { mode: 'boolean' }).notNull().default(false),
  ...editable,
})

// ---- measurements

/** A time of a drop, and whether someone set it aside. */
export interface DropTime {
  readonly timeS: number
  readonly setAside: boolean
}

export const dropTest = sqliteTable(
  'drop_test',
  {
    id: id(),
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

export const weighing = sqliteTable(
  'weighing',
  {
    id: id(),
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

// ---- derived, droppable, rebuilt and checked by `npm run verify`

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

export const materialBalance = sqliteTable('material_balance', {
  materialId: text('material_id').$type<MaterialId>().primaryKey(),
  amount: integer('amount').notNull(),
})

export const variantFigure = sqliteTable(
  'variant_figure',
  {
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .primaryKey()
      .references(() => variantRevision.id, { onDelete: 'cascade' }),
    inputHash: text('input_hash').notNull(),
    kind: text('kind').$type<'sinks' | 'floats' | 'doesNotFit' | 'incomplete'>().notNull(),
    massMg: real('mass_mg'),
    submergedMg: real('submerged_mg'),
    sinkSpeedMmPerS: real('sink_speed_mm_per_s'),
    low: real('low'),
    high: real('high'),
    trailingSpeedMmPerS: real('trailing_speed_mm_per_s'),
    posture: text('posture').$type<Posture>(),
    look: json<Appearance>('look'),
    hookSize: real('hook_size'),
    bill: json<readonly { materialId: MaterialId; perFly: number }[]>('bill').notNull(),
    nightsToDry: integer('nights_to_dry').notNull().default(0),
    drawing: json<FlyDrawing>('drawing'),
    drawingKey: text('drawing_key'),
  },
  (t) => [index('figure_drawing').on(t.drawingKey)],
)
