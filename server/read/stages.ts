import { and, eq, isNull } from 'drizzle-orm'
import type { FoodStage, HookRange, StageLooks } from '../../core/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { food, foodStage } from '../db/schema.ts'

/** A stage as core reckons with it, with its name in full. */
export interface LoadedStage {
  readonly core: FoodStage & StageLooks
  readonly row: typeof foodStage.$inferSelect
  readonly foodName: string
  readonly groupKey: string
}

/** What is taken of a stage of which nobody said how much of it there is. */
const UNKNOWN_FEEDING = {
  amount: { low: 0.2, usual: 0.8, peak: 3.2 },
  ease: 0.5,
  choosy: 0.4,
  needs: null,
  shiftsWith: null,
  bodyOverHook: 1.2,
} as const

/** A stage as core reckons with it; what was shipped before broods had a place of their own has them among the rest. */
function stageOf(row: typeof foodStage.$inferSelect): FoodStage & StageLooks {
  const { more } = row.body
  const older = more as { trigger?: FoodStage['trigger']; broods?: FoodStage['broods'] }
  // rows written before triggers were part of the body
  const body: Partial<FoodStage> & typeof row.body = row.body
  return {
    ...UNKNOWN_FEEDING,
    ...row.body,
    id: row.id,
    foodId: row.foodId,
    stage: row.stage,
    trigger: body.trigger ?? older.trigger ?? { kind: 'allYear' },
    broods: body.broods ?? older.broods ?? [],
  }
}

/** All stages that are not put away. */
export const loadStages = keptUntilWrite(readStages, [food, foodStage])

async function readStages(db: Reader): Promise<readonly LoadedStage[]> {
  const rows = await db
    .select({ row: foodStage, foodName: food.name, groupKey: food.groupKey })
    .from(foodStage)
    .innerJoin(food, eq(food.id, foodStage.foodId))
    .where(and(isNull(foodStage.archivedAtMs), isNull(food.archivedAtMs)))
  return rows.map(({ row, foodName, groupKey }) => ({
    row,
    foodName,
    groupKey,
    core: stageOf(row),
  }))
}

/** `Large burrowing mayfly, dun`. */
export const stageTitle = ({ foodName, row }: LoadedStage): string => `${foodName}, ${row.stageName}`

const isPair = (value: unknown): value is readonly [number, number] =>
  Array.isArray(value) && typeof value[0] === 'number' && typeof value[1] === 'number'

/** Hook sizes that a shipped stage is dressed on, by the length of the natural; none of a food of one's own. */
export function hookRangesOf({ body: { more } }: LoadedStage['row']): readonly HookRange[] {
  const { byLength = {} } = (more.hookSizes ?? {}) as { readonly byLength?: Readonly<Record<string, unknown>> }
  return Object.entries(byLength).flatMap(([size, range]) =>
    isPair(range) ? [{ size, fromMm: range[0], toMm: range[1] }] : [],
  )
}
