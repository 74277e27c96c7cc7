import { drill, monthsAt } from '../../core/index.ts'
import type { DrillsView, FlyDrilled, StageDrilled } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { food } from '../db/schema.ts'
import { loadCuts } from '../read/cuts.ts'
import { loadDrillAnswers } from '../read/drillAnswers.ts'
import { loadReaches } from '../read/reaches.ts'
import { loadSettings } from '../read/settings.ts'
import { loadFlies } from '../read/showingsOf.ts'
import { hookRangesOf, loadStages, stageTitle } from '../read/stages.ts'
import { loadRecipes } from '../read/variants.ts'
import { mapOf } from '../read/grouped.ts'

/** Flies that lie in the boxes; where none does, all that were designed. */
async function fliesDrilled(db: Reader): Promise<readonly FlyDrilled[]> {
  const all = (await loadFlies(db)).filter(({ figure }) => figure.kind !== 'incomplete' && figure.kind !== 'doesNotFit') // prettier-ignore
  const onHand = all.filter((fly) => fly.onHand > 0)
  const flies = onHand.length > 0 ? onHand : all
  const revisionOf = mapOf(await loadRecipes(db), ({ variant }) => [variant.id, variant.currentRevisionId])
  const floating = flies.filter(({ figure }) => figure.kind === 'floats')
  const cuts = await loadCuts(
    db,
    floating.flatMap(({ variantId }) => revisionOf.get(variantId) ?? []),
    (await loadSettings(db)).body.units,
  )
  return flies.map(({ variantId, name, figure }) => {
    const floats = figure.kind === 'floats'
    return {
      ...{ variantId, name, floats, drawingKey: figure.drawingKey },
      fallMmPerS: floats ? null : (figure.trailingSpeedMmPerS ?? figure.sinkSpeedMmPerS),
      cut: cuts.get(revisionOf.get(variantId) ?? '') ?? null,
    }
  })
}

/** Stages that live in one's own kinds of water, as long as they are in the month in which they are about most. */
async function stagesDrilled(db: Reader): Promise<readonly StageDrilled[]> {
  const reaches = await loadReaches(db)
  const latitudeDeg = reaches[0]?.water.latitudeDeg ?? 0
  const kinds = new Set(reaches.map(({ water }) => water.kind))
  const keys = new Map(
    (await db.select({ id: food.id, key: food.shippedKey }).from(food)).map(({ id, key }) => [id, key ?? id]),
  )
  return (await loadStages(db)).flatMap((stage): StageDrilled[] => {
    const { row, core, groupKey } = stage
    const lives = kinds.size === 0 || [...kinds].some((kind) => (core.waterKinds[kind] ?? 0) > 0)
    const [most] = monthsAt(core, latitudeDeg).flatMap((month) => month ?? []).toSorted((a, b) => b.likelihood - a.likelihood) // prettier-ignore
    if (!lives || !most) return []
    return [
      {
        foodStageId: row.id,
        name: stageTitle(stage),
        foodKey: keys.get(row.foodId) ?? row.foodId,
        ...{ groupKey, stage: row.stage, silhouette: core.silhouette },
        hexWet: row.body.colours[0]?.hexWet ?? '#808080',
        lengthMmLow: most.lengthMmLow,
        lengthMmHigh: most.lengthMmHigh,
        hookRanges: [...hookRangesOf(row)],
      },
    ]
  })
}

/** What drills are made of, and how each of their subjects stands. */
export async function drillsView(db: Reader): Promise<DrillsView> {
  const answers = await loadDrillAnswers(db)
  return {
    flies: [...(await fliesDrilled(db))],
    stages: [...(await stagesDrilled(db))],
    standings: Object.fromEntries([...answers].map(([key, own]) => [key, [...drill.standingsOf(own)]])),
  }
}
