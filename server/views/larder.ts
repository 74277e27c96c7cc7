import { eq, isNull } from 'drizzle-orm'
import type { FoodStageId, LarderView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { pattern, patternServes } from '../db/schema.ts'
import { grouped } from '../read/grouped.ts'
import { loadVariants } from '../read/variants.ts'
import { hookRangesOf, loadStages } from '../read/stages.ts'

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
        onHand: servedBy.reduce((sum, { patternId }) => sum + (onHand.get(patternId) ?? 0), 0),
        servedBy: servedBy.map(({ patternId, name }) => ({
          patternId: patternId,
          name,
        })),
      }
    }),
  }
}
