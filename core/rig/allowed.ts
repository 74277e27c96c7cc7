import { fliesOnRig, leaderOf } from './parts.ts'
import type { RigPart } from './parts.ts'

/** What the water's note says of rigs; null where it does not say. */
export interface RigRules {
  readonly dryOnly: boolean | null
  readonly maxFlies: number | null
  readonly noAddedWeight: boolean | null
  readonly noIndicator: boolean | null
  readonly maxLeaderMm: number | null
}

/** Why a rig may not be fished at a water, by its note. */
export const RIG_FORBIDS = ['dryOnly', 'maxFlies', 'noAddedWeight', 'noIndicator', 'maxLeader'] as const
export type RigForbids = (typeof RIG_FORBIDS)[number]

/**
 * What of a rig a water's note forbids.
 *
 * @param sinks whether a fly of it sinks: where dry fly alone is allowed none may
 */
export function rigForbids(
  parts: readonly RigPart[],
  rules: RigRules,
  sinks: (fly: string) => boolean,
): readonly RigForbids[] {
  const has = (...kinds: readonly RigPart['kind'][]) => parts.some(({ kind }) => kinds.includes(kind))
  return [
    ...(rules.noIndicator && has('float') ? (['noIndicator'] as const) : []),
    ...(rules.noAddedWeight && has('shot') ? (['noAddedWeight'] as const) : []),
    ...(rules.maxFlies !== null && fliesOnRig(parts).length > rules.maxFlies ? (['maxFlies'] as const) : []),
    ...(rules.maxLeaderMm !== null && leaderOf(parts) > rules.maxLeaderMm ? (['maxLeader'] as const) : []),
    ...(rules.dryOnly && (has('float', 'shot') || fliesOnRig(parts).some((fly) => fly !== null && sinks(fly)))
      ? (['dryOnly'] as const)
      : []),
  ]
}
