import { lifeStepOf } from '../../core/index.ts'
import type { BareForm, FoodStage, LifeStep } from '../../core/index.ts'

const BY_STEP: Readonly<Record<LifeStep, BareForm['key']>> = {
  below: 'jigNymph',
  rising: 'softHackle',
  emerging: 'emerger',
  adult: 'hackledDry',
  spent: 'spinner',
}
/** Foods of another build than their step of life alone would say. */
const BY_GROUP: Readonly<Record<string, BareForm['key']>> = {
  leech: 'leech',
  baitfish: 'leech',
  bottomFish: 'leech',
  scud: 'grub',
  hogLouse: 'grub',
  landInsect: 'foamBeetle',
  waterBeetle: 'foamBeetle',
}

/** The bare form that a dressing of a food may start from. */
export const formFor = (stage: FoodStage & { readonly groupKey: string }): BareForm['key'] =>
  BY_GROUP[stage.groupKey] ??
  (stage.stage === 'larva' || stage.stage === 'casedLarva' ? 'grub' : BY_STEP[lifeStepOf(stage)])
