import {
  bandIn,
  bandRange,
  epochDayOf,
  hooksForNatural,
  parOf,
  stageLikelihood,
  wording,
  worthOf,
} from '../../core/index.ts'
import type { DisplayUnits } from '../../core/index.ts'
import { usableZone } from '../../contract/index.ts'
import type { FoodAtMoment, ReachId } from '../../contract/index.ts'
import { offsetOn } from '../clock/localTime.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { ProblemError } from '../problems/problem.ts'
import { loadServes } from './patterns.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import { loadLearned, loadObservations, loadWarmth, reachSeasonOn } from './season.ts'
import { hookRangesOf, loadStages, stageTitle } from './stages.ts'
import { loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

/** What is kept of a row. */
export const keptOf = ({ variant: { parCount, homeCompartmentId } }: VariantRow, usualPar: number): number =>
  parOf({ parCount, hasHome: homeCompartmentId !== null }, usualPar)

/** Stages too unlikely to show. */
const LEAST_LIKELY = 0.03

/** A reach, a day and a minute of it. */
export interface MomentInput {
  readonly reachId: ReachId
  readonly on: string
  readonly localMin: number
}

/** Flies on hand and kept for each stage, of the patterns that serve it. */
export const loadStageStock = keptUntilWrite(readStageStock, [loadVariants, loadServes])

async function readStageStock(db: Reader, usualPar: number) {
  const byPattern = new Map<string, { onHand: number; par: number }>()
  for (const row of await loadVariants(db)) {
    const known = byPattern.get(row.variant.patternId) ?? { onHand: 0, par: 0 }
    known.onHand += row.onHand
    known.par += keptOf(row, usualPar)
    byPattern.set(row.variant.patternId, known)
  }
  const byStage = new Map<string, { onHand: number; par: number }>()
  for (const { foodStageId, patternId } of await loadServes(db)) {
    const known = byStage.get(foodStageId) ?? { onHand: 0, par: 0 }
    known.onHand += byPattern.get(patternId)?.onHand ?? 0
    known.par += byPattern.get(patternId)?.par ?? 0
    byStage.set(foodStageId, known)
  }
  return byStage
}

/** A reach by its id; a problem where there is none. */
export async function reachOf(db: Reader, reachId: ReachId): Promise<LoadedReach> {
  const loaded = (await loadReaches(db)).find(({ reach: r }) => r.id === reachId)
  if (!loaded) throw new ProblemError('unknownId', 'There is no such reach.')
  return loaded
}

type LikelyFood = Omit<FoodAtMoment, 'onHand' | 'par'>

/** Foods likely at a moment, whatever lies in the boxes for them; those that are worth most first. */
export const loadLikely = keptUntilWrite(readLikely, [
  loadReaches,
  loadStages,
  loadLearned,
  loadWarmth,
  loadObservations,
])

async function readLikely(db: Reader, input: MomentInput, units: DisplayUnits): Promise<readonly LikelyFood[]> {
  const { reach: r, water: w } = await reachOf(db, input.reachId)
  const stages = await loadStages(db)
  const state = {
    ...w,
    waterKind: w.kind,
    utcOffsetMinutes: offsetOn(input.on, usableZone(w.timeZone)),
    season: await reachSeasonOn(db, r.id, input.on),
  }
  const day = epochDayOf(input.on)
  const foods = stages.flatMap((stage): LikelyFood[] => {
    const band = bandIn(stage.core, w.kind)
    if (!band) return []
    const found = stageLikelihood(stage.core, state, day, input.localMin, 'any')
    if (found.likelihood.value < LEAST_LIKELY) return []
    const { fromMm, toMm } = bandRange(band, r.typicalDepthMm, w.kind)
    return [
      {
        foodStageId: stage.row.id,
        name: stageTitle(stage),
        stage: stage.row.stage,
        groupKey: stage.groupKey,
        band,
        fromMm,
        toMm,
        likelihood: found.likelihood.value,
        likelihoodLow: found.likelihood.low,
        likelihoodHigh: found.likelihood.high,
        importance: stage.row.importance,
        worth: worthOf(
          { trigger: stage.core.trigger, importance: stage.row.importance },
          found.likelihood.value,
        ),
        lengthMmLow: found.lengthMmLow,
        lengthMmHigh: found.lengthMmHigh,
        hooks: [...hooksForNatural(hookRangesOf(stage.row), found.lengthMmLow, found.lengthMmHigh)],
        hexWet: stage.row.body.colours[0]?.hexWet ?? '#808080',
        reasons: found.reasons.map((reason) => wording.likelihoodReason(reason, units)),
        why: found.reasons
          .filter(({ code }) => code === 'warmth' || code === 'seenHere')
          .map((reason) => wording.likelihoodReason(reason, units))
          .join('; '),
      },
    ]
  })
  return foods.sort((a, b) => b.worth - a.worth)
}

/** Foods likely at a moment, those that are worth most first, with what lies in the boxes for them. */
export async function foodsAt(
  db: Reader,
  input: MomentInput,
  usualPar: number,
  units: DisplayUnits,
): Promise<readonly FoodAtMoment[]> {
  const stock = await loadStageStock(db, usualPar)
  const { reachId, on, localMin } = input
  return (await loadLikely(db, { reachId, on, localMin }, units)).map((food) => ({
    ...food,
    ...(stock.get(food.foodStageId) ?? { onHand: 0, par: 0 }),
  }))
}
