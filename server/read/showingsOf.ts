import { epochDayOf, lengthOn, monthsAt, waterside } from '../../core/index.ts'
import type { FlyRules, School, Technique } from '../../core/index.ts'
import { plannedVariants, toServing } from '../../contract/planned.ts'
import type { PlannedVariant } from '../../contract/planned.ts'
import type { ReachId } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { inTurns } from './inTurns.ts'
import { loadLasting } from './lasting.ts'
import { loadSetups } from './patterns.ts'
import { loadPlanVariants, loadUntimedPatterns } from './planVariants.ts'
import { loadReaches } from './reaches.ts'
import { reachOf } from './likely.ts'
import { loadStages } from './stages.ts'
import { loadRecipes } from './variants.ts'

/** All variants with what the plan says of their patterns. */
export async function loadFlies(db: Reader): Promise<readonly PlannedVariant[]> {
  const patterns = await loadUntimedPatterns(db)
  return plannedVariants({ ...(await loadPlanVariants(db)), patterns, places: [], drawers: [] })
}

/** Which flies are held against which stages, where and how. */
interface Asked {
  readonly reachId: ReachId
  readonly on: string
  readonly ways: readonly Technique[]
  readonly school: School
  readonly rules: FlyRules
  readonly variantIds: readonly string[]
  readonly stageIds: readonly string[]
}

async function readShowings(db: Reader, asked: Asked): Promise<readonly waterside.Showing[]> {
  const { reach, water } = await reachOf(db, asked.reachId)
  const wanted = new Set(asked.variantIds)
  const lastingOf = await loadLasting(db)
  const named = (await loadRecipes(db)).filter(({ variant: { id } }) => wanted.has(id))
  const variants = named.flatMap(({ variant: { id } }) => lastingOf(id) ?? [])
  const flies = plannedVariants({ variants, patterns: await loadUntimedPatterns(db), places: [], drawers: [] })
  const byId = new Map((await loadStages(db)).map(({ core }) => [core.id, core]))
  const today = asked.stageIds.flatMap((id) => {
    const stage = byId.get(id)
    if (!stage) return []
    const [lengthMmLow, lengthMmHigh] = lengthOn(monthsAt(stage, water.latitudeDeg), epochDayOf(asked.on))
    return [{ stage, lengthMmLow, lengthMmHigh }]
  })
  const place = {
    waterKind: water.kind,
    bedMm: reach.typicalDepthMm,
    surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
    techniques: asked.ways,
    rules: asked.rules,
    school: asked.school,
  }
  const month = Number(asked.on.slice(5, 7))
  return inTurns(waterside.showings({ flies: flies.map(toServing), today, month, place }))
}

/** What flies would be something to show to on a day, in each of its ways. */
export const loadShowings = keptUntilWrite(readShowings, [loadLasting, loadReaches, loadSetups, loadStages])
