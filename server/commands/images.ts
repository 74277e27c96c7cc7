import * as schema from '../db/schema.ts'
import type { PatternId } from '../../contract/index.ts'

/** Tables whose rows a command may make or change, by the name under which their images are kept. */
export const TABLES = {
  dressing: schema.dressing,
  variantRevision: schema.variantRevision,
  family: schema.family,
  material: schema.material,
  food: schema.food,
  foodStage: schema.foodStage,
  water: schema.water,
  reach: schema.reach,
  pattern: schema.pattern,
  variant: schema.variant,
  box: schema.box,
  compartment: schema.compartment,
  batch: schema.batch,
  outing: schema.outing,
  setting: schema.setting,
  rig: schema.rig,
  lineCount: schema.lineCount,
  outingTap: schema.outingTap,
  drillAnswer: schema.drillAnswer,
  spell: schema.spell,
  packing: schema.packing,
  plan: schema.plan,
  evening: schema.evening,
  purchase: schema.purchase,
  purchaseLine: schema.purchaseLine,
  dropTest: schema.dropTest,
  weighing: schema.weighing,
  readingImport: schema.readingImport,
  observation: schema.observation,
} as const
/** Whether rows of a table can be put away. */
export const mayBePutAway = (table: TableName): boolean => 'archivedAtMs' in TABLES[table]
/** Name of a table whose rows a command may change. */
export type TableName = keyof typeof TABLES
/** A row of such a table. */
export type RowOf<Name extends TableName> = (typeof TABLES)[Name]['$inferSelect']
/** A row to be added to such a table. */
export type NewRowOf<Name extends TableName> = (typeof TABLES)[Name]['$inferInsert']
/** A row of any such table. */
export type AnyRow = { readonly id: string; readonly version?: number } & Record<string, unknown>

/** What a row was before an action and after it; null where there was none. */
export type Image =
  | {
      readonly kind: 'row'
      readonly table: TableName
      readonly before: AnyRow | null
      readonly after: AnyRow | null
    }
  | {
      readonly kind: 'serves'
      readonly patternId: PatternId
      readonly before: readonly Served[]
      readonly after: readonly Served[]
    }
  | {
      /** what was counted at the vise of a batch that went, all of it counted back, or that came again */
      readonly kind: 'batchEvents'
      readonly before: readonly BatchEvent[]
      readonly after: readonly BatchEvent[]
    }
  | {
      readonly kind: 'spoiledCause'
      readonly eventId: string
      readonly before: string | null
      readonly after: string | null
    }
  | {
      readonly kind: 'revisionMaterials'
      readonly rows: readonly (typeof schema.revisionMaterial.$inferInsert)[]
    }
/** What a pattern serves, as kept. */
export type Served = typeof schema.patternServes.$inferInsert
/** An event at the vise, as kept. */
export type BatchEvent = typeof schema.batchEvent.$inferSelect

/** What an action found and left, as it was kept with it. */
export const imagesOf = ({ before }: Pick<typeof schema.action.$inferSelect, 'before'>): readonly Image[] =>
  before as readonly Image[]

/** Rows of a table that an action made, as it made them. */
export const madeRows = <Name extends TableName>(images: readonly Image[], table: Name) =>
  images.flatMap((image) =>
    image.kind === 'row' && image.table === table && !image.before && image.after
      ? [image.after as AnyRow as RowOf<Name>]
      : [],
  )
