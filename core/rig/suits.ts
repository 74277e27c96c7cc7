import type { Technique } from '../technique/index.ts'
import { fliesOnRig } from './parts.ts'
import type { RigPart } from './parts.ts'
import type { RigWay } from './inWater.ts'

/**
 * Ways of fishing that a rig is made for: a float or a dry fly carries it, it is held tight, counted down, or swung.
 *
 * @param sinks whether a fly of it sinks: below a dry fly it makes a dropper of the rig
 */
export function techniquesOf(
  { way, parts }: { readonly way: RigWay; readonly parts: readonly RigPart[] },
  sinks: (fly: string) => boolean,
): readonly Technique[] {
  const has = (kind: RigPart['kind']) => parts.some((part) => part.kind === kind)
  switch (way) {
    case 'carried': {
      if (has('float')) return ['indicatorNymph', 'staticIndicator']
      const isBelow = has('point') || fliesOnRig(parts).some((fly) => fly !== null && sinks(fly))
      return has('dry') ? [isBelow ? 'dryWithDropper' : 'dry'] : []
    }
    case 'tight':
      return ['tightLineNymph']
    case 'swung':
      return ['swungWets', 'streamer']
    case 'counted': {
      const isSinking = parts.some((part) => part.kind === 'line' && part.sort === 'sinking')
      return ['streamer', 'slowRetrieve', 'driftTeam', ...(isSinking ? (['buoyantOnSinkingLine'] as const) : [])] // prettier-ignore
    }
  }
}
