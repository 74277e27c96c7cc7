import { resolveDressing } from '../dressing/index.ts'
import { behaviourOf, evaluateFly, LIST_CONDITIONS, USUAL_TIPPET } from '../evaluate/index.ts'
import { appearanceOf } from '../match/index.ts'
import type { FlyRules, PlanInputs, TieableVariant } from '../plan/index.ts'
import { shippedFoods } from '../season/shipped/larder.ts'
import { hackledDry, jigNymph } from './shippedMaterial.ts'

/** Stages of the dark olive. */
export const stages = shippedFoods
  .filter(({ key }) => key === 'dark-olive')
  .flatMap((food) => food.stages.map((stage) => ({ ...stage, id: stage.key })))

/** A variant of a recipe, as the plan has it. */
export function variant(
  key: string,
  made: ReturnType<typeof jigNymph>,
  change: Partial<TieableVariant> = {},
): TieableVariant {
  const fly = resolveDressing(made.dressing, made.variant, made.materials)
  if (fly.kind !== 'fly') throw new Error('incomplete')
  const report = evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET })
  return {
    key,
    patternKey: key,
    behaviour: behaviourOf(report),
    look: appearanceOf(fly),
    onHand: 0,
    queued: 0,
    purpose: 'imitation',
    roles: [],
    barb: null,
    ownMonths: [],
    ways: [],
    waters: [],
    placeKey: null,
    minutesEach: 8,
    hookSize: 16,
    lead: false,
    weighted: key === 'jig',
    nightsToDry: 1,
    dislike: 0,
    trust: 'notFished',
    lost: 0,
    hoursFished: 0,
    bill: [{ materialKey: 'hook', perFly: 100 }],
    meantFor: [],
    ...change,
  }
}

/** The same share of the fish through five hours. */
export const halves = (share: number, hours = 5): readonly number[] =>
  Array.from({ length: 2 * hours }, () => share)

/** A note that says nothing. */
export const NO_RULES: FlyRules = {
  dryOnly: null,
  noLead: null,
  noAddedWeight: null,
  minHookSize: null,
  maxHookSize: null,
  maxFlies: null,
  noIndicator: null,
  barbless: null,
}

/** One outing for olives, with a nymph and a dry to tie for it. */
export const inputs = (change: Partial<PlanInputs> = {}): PlanInputs => ({
  today: '2026-04-20',
  serviceLevel: 0.9,
  school: 'sizeAndStage',
  evenings: { minutes: 60, weekdays: [1, 2, 3, 4, 5, 6, 7], differing: [] },
  outings: [
    {
      key: 'sat',
      on: '2026-04-25',
      fromLocalMin: 600,
      waterKind: 'freestone',
      bedMm: 900,
      surfaceSpeedMmPerS: 700,
      snagginess: 2,
      techniques: [],
      rules: NO_RULES,
      foods: [
        { stageKey: 'dark-olive-nymph', onIt: halves(0.5), lengthMmLow: 7, lengthMmHigh: 10 },
        { stageKey: 'dark-olive-dun', onIt: halves(0.4), lengthMmLow: 5, lengthMmHigh: 9 },
      ],
      whatever: halves(0.1),
    },
  ],
  snagginessFished: 2,
  unnoted: { hours: 0, each: 0 },
  stages,
  variants: [variant('jig', jigNymph()), variant('dry', hackledDry(), { meantFor: ['dark-olive-dun'] })],
  drawers: [],
  places: [],
  choices: {},
  ...change,
})
