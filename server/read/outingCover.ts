import { outingCover, outingServings, plannedNeeds } from '../../core/index.ts'
import type { OutingServing, PlannedNeed, TieableVariant } from '../../core/index.ts'
import { plannedOf, planInputs } from '../../contract/planned.ts'
import type { PlanOuting, PlanView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptUntilWrite } from '../db/kept.ts'
import { inTurns } from './inTurns.ts'
import { loadLasting } from './lasting.ts'
import { loadSetups } from './patterns.ts'
import { loadSnagginess, planPatterns, planVariants } from './planVariants.ts'
import { loadSettings } from './settings.ts'
import { loadStages } from './stages.ts'

/** What plan and cover are made from, of one outing and without stores, places and evenings. */
export async function inputsOf(
  db: Reader,
  coming: PlanOuting,
  variants: Pick<PlanView, 'variants' | 'unnoted'>,
) {
  const { body: settings } = await loadSettings(db)
  const planned = plannedOf({
    trayId: '' as PlanView['trayId'],
    choices: {},
    evenings: [],
    outings: [coming],
    places: [],
    drawers: [],
    patterns: await planPatterns(db),
    snagginessFished: await loadSnagginess(db),
    ...variants,
  })
  const stages = (await loadStages(db)).map(({ core }) => core)
  return planInputs(planned, [], { today: coming.on, settings, stages })
}

/** The flies for an outing. They hang on recipes and fish, not on counts and losses, and are kept while those stand. */
const loadServings = keptUntilWrite(readServings, [loadLasting, loadSetups, loadSettings, loadStages])

async function readServings(db: Reader, coming: PlanOuting) {
  const uncounted = { onHand: 0, queued: 0, lost: 0, hoursFished: 0 }
  const variants = [...(await loadLasting(db)).values()].map((variant) => ({ ...variant, ...uncounted }))
  const inputs = await inputsOf(db, coming, { variants, unnoted: { hours: 0, each: 0 } })
  const [outing] = inputs.outings
  if (!outing) return []
  const stages = new Map(inputs.stages.map((stage) => [stage.id, stage]))
  return inTurns(outingServings({ outing, variants: inputs.variants, stages, school: inputs.school }))
}

/** The same servings with the variants as they are now. */
function asTheyAre(
  servings: readonly OutingServing<TieableVariant>[],
  now: ReadonlyMap<string, TieableVariant>,
): readonly OutingServing<TieableVariant>[] {
  const current = <One extends { readonly variant: TieableVariant }>(ones: readonly One[]) =>
    ones.flatMap((one) => {
      const variant = now.get(one.variant.key)
      return variant ? [{ ...one, variant }] : []
    })
  return servings.map((one) => ({
    ...one,
    serves: current(one.serves),
    couldPass: current(one.couldPass),
    barred: current(one.barred),
  }))
}

/** What an outing asks of the boxes, and what they cover of it: the answer that the plan gives, too. */
export async function coverOfOuting(db: Reader, coming: PlanOuting) {
  const inputs = await inputsOf(db, coming, await planVariants(db))
  const now = new Map(inputs.variants.map((variant) => [variant.key, variant]))
  const servings = asTheyAre(await loadServings(db, coming), now)
  const needs: readonly PlannedNeed[] = await inTurns(
    plannedNeeds(inputs, function* () {
      return servings
    }),
  )
  const held = (key: string) => {
    const variant = now.get(key)
    return variant ? variant.onHand + variant.queued : 0
  }
  return { needs, held, cover: outingCover(needs, held) }
}
