import {
  heldThrough,
  outingCover,
  outingServings,
  plannedNeeds,
  STANDINGS,
  standingsOf,
} from '../../core/index.ts'
import type { FliesOf, OutingServing, PlanInputs, PlannedNeed, TieableVariant } from '../../core/index.ts'
import { plannedOf, planInputs } from '../../contract/planned.ts'
import type { PlanOuting, PlanView } from '../../contract/index.ts'
import type { Reader } from '../db/database.ts'
import { keptByOrigin, keptUntilWrite } from '../db/kept.ts'
import { inTurns } from './inTurns.ts'
import { loadLasting } from './lasting.ts'
import { loadSetups } from './patterns.ts'
import { loadServingVariants, loadSnagginess, loadUntimedPatterns } from './planVariants.ts'
import { loadSettings } from './settings.ts'
import { loadStages } from './stages.ts'
import { hasLook, loadRecipes } from './variants.ts'

/** What plan and cover are made from, without stores, places and evenings. */
export async function inputsOf(
  db: Reader,
  coming: readonly PlanOuting[],
  variants: Pick<PlanView, 'variants' | 'unnoted'>,
) {
  const { body: settings } = await loadSettings(db)
  const planned = plannedOf({
    trayId: '' as PlanView['trayId'],
    choices: {},
    evenings: [],
    outings: [...coming],
    places: [],
    drawers: [],
    patterns: await loadUntimedPatterns(db),
    snagginessFished: await loadSnagginess(db),
    ...variants,
  })
  const stages = (await loadStages(db)).map(({ core }) => core)
  return planInputs(planned, [], { today: coming[0]?.on ?? '', settings, stages })
}

/** The flies for an outing. They hang on recipes and fish, not on counts and losses, and are kept while those stand. */
const loadServings = keptUntilWrite(readServings, [loadLasting, loadSetups, loadSettings, loadStages])

type Servings = readonly OutingServing<TieableVariant>[]

/** Of as many outings as may come, and as they were before what was changed last. */
const MOST_SERVINGS = 50

interface ServedFrom extends Pick<PlanInputs, 'stages' | 'school'> {
  readonly outing: PlanInputs['outings'][number]
  readonly flies: readonly TieableVariant[]
}

const servingsOf = keptByOrigin(({ outing, flies, stages, school }: ServedFrom): Promise<Servings> => {
  const byId = new Map(stages.map((stage) => [stage.id, stage]))
  return inTurns(outingServings({ outing, variants: flies, stages: byId, school }))
}, MOST_SERVINGS)

async function readServings(db: Reader, coming: PlanOuting): Promise<Servings> {
  const lastingOf = await loadLasting(db)
  const seen = (await loadRecipes(db)).filter(hasLook)
  const variants = seen.flatMap(({ variant: { id } }) => lastingOf(id) ?? [])
  const inputs = await inputsOf(db, [coming], { variants, unnoted: { hours: 0, each: 0 } })
  const [outing] = inputs.outings
  if (!outing) return []
  const asked = new Set(outing.foods.map(({ stageKey }) => stageKey))
  const stages = inputs.stages.filter(({ id }) => asked.has(id))
  const { variants: flies, school } = inputs
  return servingsOf({ outing, flies, stages, school })
}

/** The same servings with the variants as they are now. */
function asTheyAre(servings: Servings, now: ReadonlyMap<string, TieableVariant>): Servings {
  const current = <One extends { readonly variant: TieableVariant }>(ones: readonly One[]) => {
    const there: One[] = []
    // a loop, since tens of thousands of them are gone through after every write
    for (const one of ones) {
      const variant = now.get(one.variant.key)
      if (variant) there.push({ ...one, variant })
    }
    return there
  }
  return servings.map((one) => ({
    ...one,
    serves: current(one.serves),
    couldPass: current(one.couldPass),
    barred: current(one.barred),
  }))
}

/** What some outings ask of the boxes, one after the other, and what the boxes hold for each. */
const loadNeeds = keptUntilWrite(readNeeds, [loadServings, loadServingVariants, loadSnagginess])

async function readNeeds(db: Reader, coming: readonly PlanOuting[]) {
  const inputs = await inputsOf(db, coming, await loadServingVariants(db))
  const now = new Map(inputs.variants.map((variant) => [variant.key, variant]))
  const servings = new Map<string, Servings>()
  for (const outing of coming) servings.set(outing.outingId, asTheyAre(await loadServings(db, outing), now))
  const needs: readonly PlannedNeed[] = await inTurns(
    plannedNeeds(inputs, function* (outing) {
      return servings.get(outing.key) ?? []
    }),
  )
  return { needs, heldAt: heldThrough(inputs, needs) }
}

/** What an outing asks of the boxes, and what they cover of it: the answer that the plan gives, too. */
export const loadCover = keptUntilWrite(readCover, [loadNeeds])

async function readCover(db: Reader, coming: PlanOuting) {
  const { needs, heldAt } = await loadNeeds(db, [coming])
  const held = heldAt(coming.outingId)
  return { needs, held, cover: outingCover(needs, held) }
}

type Found = ReturnType<typeof standingsOf<TieableVariant>>[number]

/** How each food of some outings stands that is asked for at one of them: at the first where it stands worst. */
export async function standingsOver(db: Reader, coming: readonly PlanOuting[]) {
  const { needs, heldAt } = await loadNeeds(db, coming)
  const worst = new Map<string, Found & { readonly outing: PlanOuting; readonly held: FliesOf }>()
  for (const outing of coming) {
    const held = heldAt(outing.outingId)
    const own = needs.filter(({ outingKey }) => outingKey === outing.outingId)
    for (const found of standingsOf(own, held)) {
      const known = worst.get(found.stageKey)
      if (!known || STANDINGS.indexOf(found.standing) < STANDINGS.indexOf(known.standing))
        worst.set(found.stageKey, { ...found, outing, held })
    }
  }
  return [...worst.values()].sort((a, b) => b.onIt - a.onIt)
}
