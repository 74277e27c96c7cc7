import larder from './larder.json' with { type: 'json' }
import type { Trigger } from '../emergence/index.ts'
import type { Amount, Brood, DepthBand, FoodStage, Need, StageHours, StageMonth } from '../foodStage.ts'

/** A stage as it ships: what core reckons with, and the rest of what is known of it. */
export interface ShippedStage extends Omit<FoodStage, 'id'> {
  readonly key: string
  readonly name: string
  readonly silhouette: string
  readonly movements: readonly string[]
  readonly triggers: readonly string[]
  readonly shank: string
  readonly more: Readonly<Record<string, unknown>>
}

/** A food as it ships. */
export interface ShippedFood {
  readonly key: string
  readonly name: string
  readonly groupKey: string
  readonly stages: readonly ShippedStage[]
}

function toStage(foodId: string, raw: (typeof larder.foods)[number]['stages'][number]): ShippedStage {
  const {
    key, stage, name, months, colours, silhouette, movements, triggers, shank, depthBandRiver, depthBandStillwater,
    waterKinds, importance, hours, trigger, amount, ease, choosy, needs, ...rest
  } = raw // prettier-ignore
  const {
    broods = [],
    shiftsWith = null,
    ...more
  } = rest as typeof rest & {
    broods?: unknown[]
    shiftsWith?: string
  }
  return {
    key,
    foodId,
    stage,
    name,
    silhouette,
    movements,
    triggers,
    shank,
    importance,
    amount: amount satisfies Amount,
    ease,
    choosy,
    needs: needs as Need | null,
    shiftsWith,
    bodyOverHook: rest.hookSizes.bodyOverHook,
    trigger: trigger as Trigger,
    broods: broods as readonly Brood[],
    waterKinds,
    months: months as readonly (StageMonth | null)[],
    colours,
    depthBandRiver: depthBandRiver as DepthBand | null,
    depthBandStillwater: depthBandStillwater as DepthBand | null,
    hours: hours as readonly StageHours[],
    more,
  }
}

/** The foods that ship, for a temperate northern valley: 65 with 164 stages. */
export const shippedFoods: readonly ShippedFood[] = larder.foods.map((food) => ({
  key: food.key,
  name: food.name,
  groupKey: food.groupKey,
  stages: food.stages.map((stage) => toStage(food.key, stage)),
}))
