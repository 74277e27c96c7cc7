import { eq, isNull } from 'drizzle-orm'
import type { FoodStageId, LarderStockView, LarderView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { pattern, patternServes } from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { loadStageStock } from '../read/likely.ts'
import { hookRangesOf, loadStages } from '../read/stages.ts'

const text = (value: unknown) => (typeof value === 'string' ? value : '')

/** Foods by life stage, with the patterns that serve each. */
export async function larderView(db: Reader): Promise<LarderView> {
  const stages = await loadStages(db)
  const served = await db
    .select({ stageId: patternServes.foodStageId, patternId: pattern.id, name: pattern.name })
    .from(patternServes)
    .innerJoin(pattern, eq(pattern.id, patternServes.patternId))
    .where(isNull(pattern.archivedAtMs))
  const servers = grouped(served, ({ stageId }) => stageId)
  return {
    stages: stages.map(({ row, core, foodName, groupKey }) => {
      const servedBy = servers.get(row.id) ?? []
      const { months, colours, hours, waterKinds, more } = row.body
      return {
        id: row.id,
        version: row.version,
        isShipped: row.shippedKey !== null,
        isEdited: row.edited,
        foodId: row.foodId,
        foodName,
        groupKey,
        stage: row.stage,
        stageName: row.stageName,
        months: months.map((month) => (month ? { ...month } : null)),
        hookRanges: [...hookRangesOf(row)],
        colours: colours.map((colour) => ({ ...colour })),
        hours: hours.map((window) => ({ ...window, seasons: [...window.seasons] })),
        waterKinds: { ...waterKinds },
        depthBandRiver: row.depthBandRiver,
        depthBandStillwater: row.depthBandStillwater,
        silhouette: row.body.silhouette,
        movements: [...row.body.movements],
        triggers: [...row.body.triggers],
        importance: row.importance,
        amount: core.amount,
        ease: core.ease,
        choosy: core.choosy,
        needs: core.needs,
        bodyOverHook: core.bodyOverHook,
        shiftsWith: core.shiftsWith as FoodStageId | null,
        trigger: core.trigger,
        broods: core.broods.map((brood) => ({ ...brood, months: [...brood.months] })),
        noteForTier: text(more.noteForTier),
        howFished: text(more.howFished),
        servedBy: servedBy.map(({ patternId, name }) => ({
          patternId: patternId,
          name,
        })),
      }
    }),
  }
}

/** Flies on hand for stages: apart from the stages themselves, since it changes with each count. */
export async function larderStockView(db: Reader, usualPar: number): Promise<LarderStockView> {
  const stock = await loadStageStock(db, usualPar)
  return { onHand: Object.fromEntries([...stock].map(([stageId, { onHand }]) => [stageId, onHand])) }
}
