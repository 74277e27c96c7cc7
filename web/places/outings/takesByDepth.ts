import { wording } from '../../../core/index.ts'
import type { MomentView, OutingLine } from '../../../contract/index.ts'
import { flyNames } from '../../column/shortNames.ts'
import type { Mark } from '../../column/marks.ts'

/** Flies that fish took on an outing, each at the depth where it fishes at that reach; the most taken is named first. */
export function takesByDepth({ spells }: Pick<OutingLine, 'spells'>, view: MomentView): readonly Mark[] {
  const at = new Map(view.flies.map((fly) => [fly.variantId, fly]))
  const taken = new Map<(typeof spells)[number]['variantId'], { takes: number; minutes: number }>()
  for (const { variantId, takes, minutes } of spells) {
    const before = taken.get(variantId) ?? { takes: 0, minutes: 0 }
    taken.set(variantId, { takes: before.takes + takes, minutes: before.minutes + minutes })
  }
  return [...taken].flatMap(([variantId, { takes, minutes }]): Mark[] => {
    const fly = at.get(variantId)
    if (!fly || takes === 0) return []
    return [
      {
        id: variantId,
        names: flyNames(fly.patternName, fly.label),
        words: `${wording.counted(takes, 'take', 'takes')} in ${minutes} min`,
        depthMm: fly.depthMm,
        fromMm: fly.depthMm,
        toMm: fly.depthMm,
        weight: 0,
        softWeight: 0,
        look: 'fly',
        drawingKey: fly.drawingKey,
        rank: takes,
        to: `/patterns/${fly.patternId}?variant=${variantId}`,
      },
    ]
  })
}
