import { and, eq, isNull, notInArray, sql } from 'drizzle-orm'
import { takesAnHour, techniquesAmong, trustIn } from '../../core/index.ts'
import type { PlanView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { outing, spell, water } from '../db/schema.ts'
import { loadQueuedFlies } from './batches.ts'
import { loadLasting } from './lasting.ts'
import { loadMinutes } from './minutes.ts'
import { loadSetups } from './patterns.ts'
import { loadLost } from './tallies.ts'
import { hasLook, loadVariants } from './variants.ts'
import type { VariantRow } from './variants.ts'

/** Of an outing of which nobody noted minutes fly by fly, the hours are shared by about so many. */
const FLIES_FISHED = 4

/** Flies lost by variant, how long each was fished and what it took, and what each gets of outings without such notes. */
const loadLosses = keptUntilWrite(readLosses, [loadLost, spell, outing])

async function readLosses(db: Reader) {
  const fished = await db
    .select({
      variantId: spell.variantId,
      minutes: sql<number>`sum(${spell.minutes})`,
      takes: sql<number>`sum(${spell.takes})`,
    })
    .from(spell)
    .where(isNull(spell.archivedAtMs))
    .groupBy(spell.variantId)
  const noted = db.select({ id: spell.outingId }).from(spell).where(isNull(spell.archivedAtMs))
  const [done] = await db
    .select({ minutes: sql<number>`coalesce(sum(${outing.toLocalMin} - ${outing.fromLocalMin}), 0)` })
    .from(outing)
    .where(and(eq(outing.status, 'done'), isNull(outing.archivedAtMs), notInArray(outing.id, noted)))
  return {
    lost: await loadLost(db),
    fished: new Map(fished.map(({ variantId, ...noted }) => [variantId, noted])),
    unnoted: { hours: (done?.minutes ?? 0) / 60, each: (done?.minutes ?? 0) / 60 / FLIES_FISHED },
  }
}

/** Patterns as cover asks for them: how long one takes at the vise, which each step there changes, has no say in it. */
export const loadUntimedPatterns = keptUntilWrite(readUntimedPatterns, [loadSetups])

async function readUntimedPatterns(db: Reader): Promise<PlanView['patterns']> {
  const { patterns, meantFor } = await loadSetups(db)
  return patterns.map(({ id, name, dislike, purpose, roles, ownMonths, fishedHow, waterKinds }) => ({
    patternId: id,
    name,
    dislike,
    minutesEach: 0,
    timedFlies: 0,
    meantFor: (meantFor.get(id) ?? []).map(({ foodStageId }) => foodStageId),
    purpose,
    roles,
    ownMonths,
    ways: techniquesAmong(fishedHow),
    waters: waterKinds,
  }))
}

/** Patterns as the plan asks for them. */
export async function planPatterns(db: Reader): Promise<PlanView['patterns']> {
  const minutesOf = await loadMinutes(db)
  return (await loadUntimedPatterns(db)).map((pattern) => {
    const { minutesEach, timedFlies } = minutesOf(pattern.patternId)
    return { ...pattern, minutesEach, timedFlies }
  })
}

/** A usual stony river, for who noted no outing yet. */
const USUAL_SNAGGINESS = 2

/** Snagginess of the waters that were fished, by hours. */
export const loadSnagginess = keptUntilWrite(readSnagginess, [outing, water])

async function readSnagginess(db: Reader): Promise<number> {
  const hours = sql`(${outing.toLocalMin} - ${outing.fromLocalMin})`
  const [row] = await db
    .select({ mean: sql<number | null>`sum(${water.snagginess} * ${hours}) * 1.0 / nullif(sum(${hours}), 0)` })
    .from(outing)
    .innerJoin(water, eq(water.id, outing.waterId))
    .where(and(eq(outing.status, 'done'), isNull(outing.archivedAtMs)))
  return row?.mean ?? USUAL_SNAGGINESS
}

const FROM = [loadLosses, loadLasting, loadQueuedFlies, loadVariants]

/** All variants as the plan asks for them, with the hours of outings that nobody noted fly by fly. */
export const loadPlanVariants = keptUntilWrite(readPlanVariants, FROM)

/** The same of those alone that may serve something: what cover asks for. */
export const loadServingVariants = keptUntilWrite(readServingVariants, FROM)

async function readPlanVariants(db: Reader) {
  return plannedAmong(db, await loadVariants(db))
}

async function readServingVariants(db: Reader) {
  return plannedAmong(db, (await loadVariants(db)).filter(hasLook))
}

async function plannedAmong(
  db: Reader,
  rows: readonly VariantRow[],
): Promise<Pick<PlanView, 'variants' | 'unnoted'>> {
  const { lost, fished, unnoted } = await loadLosses(db)
  const lastingOf = await loadLasting(db)
  const queued = await loadQueuedFlies(db)
  const variants = rows.flatMap(({ variant: { id }, onHand }) => {
    const variant = lastingOf(id)
    const noted = fished.get(id)
    return variant
      ? {
          ...variant,
          onHand,
          queued: queued.get(id) ?? 0,
          lost: lost.get(id) ?? 0,
          hoursFished: unnoted.each + (noted?.minutes ?? 0) / 60,
          trust: trustIn(noted ? takesAnHour(noted.takes, noted.minutes) : null),
        }
      : []
  })
  return { variants, unnoted }
}
