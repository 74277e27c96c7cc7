import type { MomentView } from '../../../contract/index.ts'
import { flyNames } from '../../column/shortNames.ts'
import type { Mark } from '../../column/marks.ts'

/**
 * What the stores can still make, each fly at the depth where it fishes; what they can make least of is named first. A
 * fly of which nothing was counted is left out: nobody knows.
 */
export const stillToMake = (view: MomentView): readonly Mark[] =>
  view.flies.flatMap((fly): Mark[] => {
    const { storesAllow } = fly
    if (storesAllow === null) return []
    return [
      {
        id: fly.variantId,
        names: flyNames(fly.patternName, fly.label),
        words: storesAllow === 0 ? 'none can be tied' : `${storesAllow} can be tied`,
        depthMm: fly.depthMm,
        fromMm: fly.depthMm,
        toMm: fly.depthMm,
        weight: 0,
        softWeight: 0,
        look: storesAllow === 0 ? 'out' : 'fly',
        drawingKey: fly.drawingKey,
        rank: 1 / (1 + storesAllow),
        to: `/patterns/${fly.patternId}?variant=${fly.variantId}`,
      },
    ]
  })
