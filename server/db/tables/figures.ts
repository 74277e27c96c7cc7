import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Appearance, FlySketch, Posture } from '../../../core/index.ts'
import type { FoodStageId, MaterialId, ReachId, VariantRevisionId } from '../../../contract/index.ts'
import { json } from './columns.ts'
import { variantRevision } from './patterns.ts'

/** What lists show of a recipe; derived, may be dropped and is rebuilt. */
type FigureKind = 'sinks' | 'hovers' | 'floats' | 'doesNotFit' | 'incomplete'

export const variantFigure = sqliteTable(
  'variant_figure',
  {
    variantRevisionId: text('variant_revision_id')
      .$type<VariantRevisionId>()
      .primaryKey()
      .references(() => variantRevision.id, { onDelete: 'cascade' }),
    inputHash: text('input_hash').notNull(),
    kind: text('kind').$type<FigureKind>().notNull(),
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
    sketch: json<FlySketch>('sketch'),
    drawingKey: text('drawing_key'),
  },
  (t) => [index('figure_drawing').on(t.drawingKey)],
)

/** A moment of a reach, and what share of the fish were on each food then. */
interface ToldFish {
  readonly reachId: ReachId
  readonly on: string
  readonly localMin: number
  readonly shares: Readonly<Record<string, number>>
}

/** What a version says of fish, flies and outings: kept, to be held against what the next one says. */
export interface ToldBody {
  readonly fish: readonly ToldFish[]
  /** foods that each recipe serves at the first of those reaches, by the recipe's id */
  readonly serves: Readonly<Record<string, readonly FoodStageId[]>>
  /** hours with something to show, by the outing's id */
  readonly covered: Readonly<Record<string, number>>
}

/** What versions told: the present one lately; the one before it last; and the present one of what that one was asked. */
export const told = sqliteTable('told', {
  which: text('which').$type<'latest' | 'before' | 'after'>().primaryKey(),
  version: text('version').notNull(),
  /** the day it was told on */
  on: text('on').notNull(),
  /** how many actions there had been */
  actions: integer('actions').notNull(),
  body: json<ToldBody>('body').notNull(),
})

/** What lists showed of a recipe before the last version reckoned it anew. */
export const figureBefore = sqliteTable('figure_before', {
  variantRevisionId: text('variant_revision_id')
    .$type<VariantRevisionId>()
    .primaryKey()
    .references(() => variantRevision.id, { onDelete: 'cascade' }),
  kind: text('kind').$type<FigureKind>().notNull(),
  sinkSpeedMmPerS: real('sink_speed_mm_per_s'),
  low: real('low'),
  high: real('high'),
  posture: text('posture').$type<Posture>(),
})
