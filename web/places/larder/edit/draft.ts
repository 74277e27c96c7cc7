import type { CommandInput, StageLine } from '../../../../contract/index.ts'

/** A stage as it is edited. */
export type StageDraft = CommandInput<'foodStageSave'>['stage']
export type ChangeStage = (change: Partial<StageDraft>) => void

/** The part of a stage that can be edited. */
export function draftOf(line: StageLine): StageDraft {
  const {
    stage, stageName, months, colours, silhouette, movements, triggers, depthBandRiver, depthBandStillwater, waterKinds,
    hours, importance, amount, ease, choosy, needs, shiftsWith, bodyOverHook, hookRanges, trigger, broods, noteForTier, howFished,
  } = line // prettier-ignore
  return {
    stage, stageName, months, colours, silhouette, movements, triggers, depthBandRiver, depthBandStillwater, waterKinds,
    hours: hours as StageDraft['hours'], importance, amount, ease, choosy, needs, shiftsWith, bodyOverHook, hookRanges,
    trigger, broods, noteForTier, howFished,
  } // prettier-ignore
}
