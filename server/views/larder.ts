import { and, eq, isNull } from 'drizzle-orm'
import type { FoodStage } from '../../core/index.ts'
import type { FoodStageId, LarderView, StageLine } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { food, foodStage, pattern, patternServes } from '../db/schema.ts'
import { grouped } from '../grouped.ts'
import { loadVariants } from './variants.ts'

/** A stage as core reckons with it, with its name in full. */
export interface LoadedStage {
  readonly core: FoodStage
  readonly row: typeof foodStage.$inferSelect
  readonly foodName: string
  readonly groupKey: string
}

/** A stage as core reckons with it; what was shipped before broods had a place of their own has them among the rest. */
function stageOf(row: typeof foodStage.$inferSelect): FoodStage {
  const { more } = row.body
  const older = more as { trigger?: FoodStage['trigger']; broods?: FoodStage['broods'] }
  // rows written before triggers were part of the body
  const body: Partial<FoodStage> & typeof row.body = row.body
  return {
    ...row.body,
    id: row.id,
    stage: row.stage,
    trigger: body.trigger ?? older.trigger ?? { kind: 'allYear' },
    broods: body.broods ?? older.broods ?? [],
  }
}

/** All stages that are not put away. */
export const loadStages = keptUntilWrite(readStages, ['foods'])

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

const text = (value: unknown) => (typeof value === 'string' ? value : '')

/** Foods by life stage, with the patterns that serve each. */
export async function larderView(db: Reader): Promise<LarderView> {
  const stages = await loadStages(db)
  const variants = await loadVariants(db)
  const served = await db
    .select({ stageId: patternServes.foodStageId, patternId: pattern.id, name: pattern.name })
    .from(patternServes)
    .innerJoin(pattern, eq(pattern.id, patternServes.patternId))
    .where(isNull(pattern.archivedAtMs))
  const onHand = new Map<string, number>()
  for (const { variant, onHand: count } of variants)
    onHand.set(variant.patternId, (onHand.get(variant.patternId) ?? 0) + count)
  const servers = grouped(served, ({ stageId }) => stageId)
  return {
    stages: stages.map(({ row, core, foodName, groupKey }) => {
      const servedBy = servers.get(row.id) ?? []
      const { months, colours, hours, waterKinds, more } = row.body
      return {
        id: row.id as FoodStageId,
        version: row.version,
        isShipped: row.shippedKey !== null,
        isEdited: row.edited,
        foodId: row.foodId as StageLine['foodId'],
        foodName,
        groupKey,
        stage: row.stage,
        stageName: row.stageName,
        months: months.map((month) => (month ? { ...month } : null)),
        colours: colours.map((colour) => ({ ...colour })),
        hours: hours.map((window) => ({ ...window, seasons: [...window.seasons] })),
        waterKinds: { ...waterKinds } as Record<string, number>,
        depthBandRiver: row.depthBandRiver,
        depthBandStillwater: row.depthBandStillwater,
        silhouette: row.body.silhouette,
        movements: [...row.body.movements],
        triggers: [...row.body.triggers],
        importance: row.importance,
        trigger: core.trigger,
        broods: core.broods.map((brood) => ({ ...brood, months: [...brood.months] })),
        noteForTier: text(more.noteForTier),
        howFished: text(more.howFished),
        onHand: servedBy.reduce((sum, { patternId }) => sum + (onHand.get(patternId) ?? 0), 0),
        servedBy: servedBy.map(({ patternId, name }) => ({
          patternId: patternId as StageLine['servedBy'][number]['patternId'],
          name,
        })),
      }
    }),
  }
}
