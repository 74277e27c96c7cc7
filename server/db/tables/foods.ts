import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { DepthBand, FoodStage } from '../../../core/index.ts'
import type { FoodId, FoodStageId } from '../../../contract/index.ts'
import { editable, id, json } from './columns.ts'

/** A food, shipped or the user’s own. */
export const food = sqliteTable('food', {
  id: id<FoodId>(),
  name: text('name').notNull(),
  groupKey: text('group_key').notNull(),
  shippedKey: text('shipped_key').unique(),
  shippedVersion: integer('shipped_version'),
  edited: integer('edited', { mode: 'boolean' }).notNull().default(false),
  ...editable,
})

/** What rows lack that were written before it was known. */
type Feeding = 'amount' | 'ease' | 'choosy' | 'needs' | 'shiftsWith' | 'bodyOverHook'

/** The JSON of a stage: what core reckons with, and the rest of what is known of it. */
export interface FoodStageBody
  extends Omit<FoodStage, 'id' | 'foodId' | 'stage' | Feeding>, Partial<Pick<FoodStage, Feeding>> {
  readonly schemaVersion: 1
  readonly colours: readonly { name: string; hexDry: string; hexWet: string; share: number }[]
  readonly silhouette: string
  readonly movements: readonly string[]
  readonly triggers: readonly string[]
  readonly shank: string
  readonly more: Readonly<Record<string, unknown>>
}

/** A life stage of a food: what is queried in columns, the rest as JSON. */
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
