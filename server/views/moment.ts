import { fishingDepthMm, techniquesAmong } from '../../core/index.ts'
import type { DisplayUnits, WaterKind } from '../../core/index.ts'
import { usableZone } from '../../contract/index.ts'
import type { FlyAtMoment, Moment, MomentView, ReachChoice, VariantId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { tempAt } from '../read/warmth.ts'
import type { Warmth } from '../read/warmth.ts'
import type { LoadedReach } from '../read/reaches.ts'
import { storesFor } from './restock.ts'
import { toReachWarmth } from './season.ts'
import { behaviourOfRow, loadVariants } from '../read/variants.ts'
import type { VariantRow } from '../read/variants.ts'
import { foodsAt, keptOf, reachOf } from '../read/likely.ts'
import type { MomentInput } from '../read/likely.ts'
import { nextOuting, outingHour } from '../read/outings.ts'
import { loadDrawers } from '../read/drawers.ts'
import { packedFor } from '../read/packed.ts'
import { loadPatternWaters } from '../read/patterns.ts'

/** A reach as pages choose it, with how warm it is. */
export const toReachChoice = (warmth: Warmth): ReachChoice => {
  const { reach: r, water: w } = warmth.loaded
  return {
    reachId: r.id,
    waterId: w.id,
    waterName: w.name,
    waterKind: w.kind,
    reachName: r.name,
    typicalDepthMm: r.typicalDepthMm,
    surfaceSpeedMmPerS: r.surfaceSpeedMmPerS,
    rules: w.rules,
    foodWords: w.foodWords,
    bedRoughnessMm: r.bedRoughnessMm,
    thermoclineMm: r.thermoclineMm,
    timeZone: usableZone(w.timeZone),
    latitudeDeg: w.latitudeDeg,
    longitudeDeg: w.longitudeDeg,
    warmth: toReachWarmth(warmth),
  }
}

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
  const localMin = planned ? outingHour(planned) : now.localMin
  return {
    reachId: chosen.reach.id,
    on,
    localMin,
    waterTempC: await tempAt(db, chosen.reach.id, on, localMin),
  }
}

/** What trout are on at a moment and flies on hand, each at its depth. */
export async function momentView(
  db: Reader,
  input: MomentInput,
  usualPar: number,
  units: DisplayUnits,
): Promise<MomentView> {
  const { reach: r, water: w } = await reachOf(db, input.reachId)
  const variants = await fishedOn(db, await loadVariants(db), w.kind)
  const { reachId, on, localMin } = input
  const { foods, whatever, level } = await foodsAt(db, input, usualPar, units)
  return {
    moment: {
      reachId,
      on,
      localMin,
      waterTempC: input.waterTempC ?? (await tempAt(db, r.id, on, localMin)),
    },
    bedMm: r.typicalDepthMm,
    foods: [...foods],
    whatever,
    level,
    flies: fliesHere(variants, r.typicalDepthMm, r.surfaceSpeedMmPerS, usualPar, {
      packed: await packedFor(db, input),
      drawers: await loadDrawers(db),
    }),
  }
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

/** What goes along, and what the drawers hold. */
interface FromElsewhere {
  readonly packed: ReadonlyMap<VariantId, number>
  readonly drawers: Awaited<ReturnType<typeof loadDrawers>>
}

function fliesHere(
  variants: readonly VariantRow[],
  bedMm: number,
  surfaceSpeedMmPerS: number,
  usualPar: number,
  { packed, drawers }: FromElsewhere,
): FlyAtMoment[] {
  return variants.flatMap((row): FlyAtMoment[] => {
    const par = keptOf(row, usualPar)
    const depthMm = fishingDepthMm(behaviourOfRow(row.figure), techniquesAmong(row.fishedHow), {
      bedMm,
      surfaceSpeedMmPerS,
    })
    if (depthMm === null || (row.onHand === 0 && par === 0)) return []
    return [
      {
        variantId: row.variant.id,
        patternId: row.variant.patternId,
        patternName: row.patternName,
        label: row.variant.label,
        depthMm,
        onHand: row.onHand,
        par,
        packed: packed.get(row.variant.id) ?? 0,
        storesAllow: storesFor(row, 1, drawers).allowed,
        drawingKey: row.figure?.drawingKey ?? null,
      },
    ]
  })
}
