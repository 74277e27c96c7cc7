import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import { bandIn, bandRange, epochDayOf, isDated, stageLikelihood, wording } from '../../core/index.ts'
import type { DisplayUnits, WaterKind } from '../../core/index.ts'

import type {
  FlyAtMoment,
  FoodAtMoment,
  FoodStageId,
  Moment,
  MomentView,
  ReachChoice,
} from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outing, pattern, patternServes } from '../db/schema.ts'
import type { water } from '../db/schema.ts'
import { ProblemError } from '../problem.ts'
import { reachSeasonOn, tempOn } from '../season.ts'
import type { Warmth } from '../season.ts'
import { loadStages, stageTitle } from './larder.ts'
import { loadReaches } from './reaches.ts'
import type { LoadedReach } from './reaches.ts'
import { toReachWarmth } from './season.ts'
import { offsetOn } from './time.ts'
import { behaviourOfRow, fishingDepthMm, loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

/** A reach as pages choose it, with how warm it is. */
export const toReachChoice = (warmth: Warmth): ReachChoice => {
  const { reach: r, water: w } = warmth.loaded
  return {
    reachId: r.id as ReachChoice['reachId'],
    waterId: w.id as ReachChoice['waterId'],
    waterName: w.name,
    waterKind: w.kind,
    reachName: r.name,
    typicalDepthMm: r.typicalDepthMm,
    surfaceSpeedMmPerS: r.surfaceSpeedMmPerS,
    bedRoughnessMm: r.bedRoughnessMm,
    thermoclineMm: r.thermoclineMm,
    timeZone: w.timeZone,
    latitudeDeg: w.latitudeDeg,
    longitudeDeg: w.longitudeDeg,
    warmth: toReachWarmth(warmth),
  }
}

const loadPlanned = keptUntilWrite(readPlanned, ['rest'])

/** Outings that are planned, the next one first. */
async function readPlanned(db: Reader) {
  return db
    .select()
    .from(outing)
    .where(and(eq(outing.status, 'planned'), isNull(outing.archivedAtMs)))
    .orderBy(asc(outing.on), desc(outing.id))
}

/** The next planned outing from a day on. */
export async function nextOuting(db: Reader, today: string) {
  const planned = await loadPlanned(db)
  return planned.find(({ on }) => on >= today) ?? null
}

/** Hour at which most outings are at their best: a little after the middle of the hours planned. */
export const outingHour = (row: typeof outing.$inferSelect): number =>
  Math.round((row.fromLocalMin + (row.toLocalMin - row.fromLocalMin) / 2) / 30) * 30

/** The moment that figures start from: the next outing's, else now at the first reach. */
export async function startingMoment(
  db: Reader,
  reaches: readonly LoadedReach[],
  now: { readonly on: string; readonly localMin: number },
): Promise<Moment | null> {
  const planned = await nextOuting(db, now.on)
  const chosen = planned
    ? (reaches.find(({ reach: r }) => r.id === planned.reachId) ??
      reaches.find(({ water: w }) => w.id === planned.waterId))
    : reaches[0]
  if (!chosen) return null
  const on = planned?.on ?? now.on
  return {
    reachId: chosen.reach.id as Moment['reachId'],
    on,
    localMin: planned ? outingHour(planned) : now.localMin,
    waterTempC: await tempOn(db, chosen.reach.id, on),
  }
}

/** Which patterns serve which stages. */
export const loadServes = keptUntilWrite(readServes, ['patterns'])

async function readServes(db: Reader) {
  return db.select().from(patternServes)
}

/** What a row keeps: its own par, or the usual one where it has a home. */
export const parOf = ({ variant: v }: VariantRow, usualPar: number): number =>
  v.parCount ?? (v.homeCompartmentId ? usualPar : 0)

/** What comes and goes within weeks is worth so much more attention than what is there all year. */
const PASSING = 1.5

/** Stages too unlikely to show. */
const LEAST_LIKELY = 0.03

export interface MomentInput {
  readonly reachId: string
  readonly on: string
  readonly localMin: number
}

/** Flies on hand and kept for each stage, of the patterns that serve it. */
const loadStageStock = keptUntilWrite(readStageStock, ['flies', 'patterns'])

async function readStageStock(db: Reader, usualPar: number) {
  const byPattern = new Map<string, { onHand: number; par: number }>()
  for (const row of await loadVariants(db)) {
    const known = byPattern.get(row.variant.patternId) ?? { onHand: 0, par: 0 }
    known.onHand += row.onHand
    known.par += parOf(row, usualPar)
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

async function reachOf(db: Reader, reachId: string): Promise<LoadedReach> {
  const loaded = (await loadReaches(db)).find(({ reach: r }) => r.id === reachId)
  if (!loaded) throw new ProblemError('unknownId', 'There is no such reach.')
  return loaded
}

type LikelyFood = Omit<FoodAtMoment, 'onHand' | 'par'>

/** Foods likely at a moment, whatever lies in the boxes for them; those that are worth most first. */
const loadLikely = keptUntilWrite(readLikely, ['season', 'foods', 'rest'])

async function readLikely(db: Reader, input: MomentInput, units: DisplayUnits): Promise<readonly LikelyFood[]> {
  const { reach: r, water: w } = await reachOf(db, input.reachId)
  const stages = await loadStages(db)
  const state = {
    ...w,
    waterKind: w.kind,
    utcOffsetMinutes: offsetOn(input.on, w.timeZone),
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
        foodStageId: stage.row.id as FoodStageId,
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
        worth: found.likelihood.value * stage.row.importance * (isDated(stage.core.trigger) ? PASSING : 1),
        lengthMmLow: found.lengthMmLow,
        lengthMmHigh: found.lengthMmHigh,
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

/** Foods likely at a moment and flies on hand, each at its depth, the likeliest food first. */
export async function momentView(
  db: Reader,
  input: MomentInput,
  usualPar: number,
  units: DisplayUnits,
): Promise<MomentView> {
  const { reach: r, water: w } = await reachOf(db, input.reachId)
  const variants = await fishedOn(db, await loadVariants(db), w.kind)
  return {
    moment: {
      ...input,
      reachId: input.reachId as Moment['reachId'],
      waterTempC: await tempOn(db, r.id, input.on),
    },
    bedMm: r.typicalDepthMm,
    foods: [...(await foodsAt(db, input, usualPar, units))],
    flies: fliesHere(variants, r.typicalDepthMm, r.surfaceSpeedMmPerS, usualPar),
  }
}

const loadPatternWaters = keptUntilWrite(readPatternWaters, ['patterns'])

async function readPatternWaters(db: Reader) {
  return db.select({ id: pattern.id, waterKinds: pattern.waterKinds }).from(pattern)
}

/** Variants of patterns that are fished on a kind of water; a pattern that names none is fished on all. */
async function fishedOn(
  db: Reader,
  variants: readonly VariantRow[],
  kind: WaterKind,
): Promise<readonly VariantRow[]> {
  const rows = await loadPatternWaters(db)
  const elsewhere = new Set(
    rows.filter(({ waterKinds }) => waterKinds.length > 0 && !waterKinds.includes(kind)).map(({ id }) => id),
  )
  return variants.filter(({ variant: v }) => !elsewhere.has(v.patternId))
}

function fliesHere(
  variants: readonly VariantRow[],
  bedMm: number,
  surfaceSpeedMmPerS: number,
  usualPar: number,
): FlyAtMoment[] {
  return variants.flatMap((row): FlyAtMoment[] => {
    const par = parOf(row, usualPar)
    const depthMm = fishingDepthMm(behaviourOfRow(row.figure), bedMm, surfaceSpeedMmPerS)
    if (depthMm === null || (row.onHand === 0 && par === 0)) return []
    return [
      {
        variantId: row.variant.id as FlyAtMoment['variantId'],
        patternId: row.variant.patternId as FlyAtMoment['patternId'],
        name: `${row.patternName} ${row.variant.label}`,
        depthMm,
        onHand: row.onHand,
        par,
      },
    ]
  })
}

/** The note of a water's rules as short lines; empty where the note does not say. */
export function ruleLines(rules: (typeof water.$inferSelect)['rules']): string[] {
  const lines: string[] = []
  if (rules.dryOnly) lines.push('dry fly only')
  if (rules.upstreamOnly) lines.push('upstream only')
  if (rules.maxFlies !== null)
    lines.push(`${wording.countInWords(rules.maxFlies)} ${rules.maxFlies === 1 ? 'fly' : 'flies'}`)
  if (rules.barbless) lines.push('barbless')
  if (rules.noLead) lines.push('no lead')
  if (rules.noAddedWeight) lines.push('no added weight')
  if (rules.maxHookSize !== null) lines.push(`hook ${rules.maxHookSize} or smaller`)
  if (rules.minHookSize !== null) lines.push(`hook ${rules.minHookSize} or larger`)
  if (rules.noIndicator) lines.push('no indicator')
  return lines
}
