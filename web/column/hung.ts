import type { MomentView, StandingsView } from '../../contract/index.ts'
import type { ColumnContent, Mark } from './marks.ts'
import { flyNames, foodNames } from './shortNames.ts'

type Food = MomentView['foods'][number]

/** Foods that take less than a fish in two hundred, were they about, are not hung. */
export const LEAST_HUNG = 0.005

/** Above all that is missing, below every hole. */
const PACKED_RANK = 1.5

const middleOf = ({ fromMm, toMm }: Food) => (fromMm + toMm) / 2

/** The foods of the moment, each in the middle of the depths where it is met. */
export const foodMarks = (view: MomentView, content: ColumnContent): readonly Mark[] =>
  view.foods
    .filter(({ foodStageId, onItIfAbout }) =>
      content.foods ? content.foods.includes(foodStageId) : onItIfAbout >= LEAST_HUNG,
    )
    .map((food) => ({
      id: food.foodStageId,
      names: foodNames(food.name),
      words: food.onItWords,
      depthMm: middleOf(food),
      fromMm: food.fromMm,
      toMm: food.toMm,
      weight: food.onIt,
      softWeight: food.onItIfAbout,
      look: 'food',
      drawingKey: null,
      rank: food.onIt,
      to: `/larder?stage=${food.foodStageId}`,
    }))

/**
 * The foods of the moment that nothing serves at its reach on its day: an empty outline facing each. It leads to the fly
 * that would serve, else to a new pattern for it.
 */
export function holeMarks(
  view: MomentView,
  standings: StandingsView | undefined,
  reachName: string,
): readonly Mark[] {
  const holes = new Map(
    (standings?.stages ?? [])
      .filter(
        (stage) => stage.standing === 'hole' && stage.on === view.moment.on && stage.reachName === reachName,
      )
      .map((stage) => [stage.foodStageId, stage]),
  )
  return view.foods.flatMap((food): Mark[] => {
    const hole = holes.get(food.foodStageId)
    if (!hole) return []
    const { best } = hole
    return [
      {
        id: `hole:${food.foodStageId}`,
        names: [`hole: ${food.name}`, 'hole: nothing for it', 'hole'],
        words: best ? `${best.name} would serve · B or the vise queues ${best.batch.count}` : 'design one',
        depthMm: middleOf(food),
        fromMm: food.fromMm,
        toMm: food.toMm,
        weight: 0,
        softWeight: 0,
        look: 'hole',
        drawingKey: null,
        rank: 2 + food.onIt,
        batch: best ? { variantId: best.variantId, ...best.batch } : null,
        to: best
          ? `/patterns/${best.patternId}?variant=${best.variantId}`
          : `/patterns/new?serves=${food.foodStageId}`,
      },
    ]
  })
}

const countWords = ({ onHand, par, packed }: MomentView['flies'][number]): string => {
  const there = par > 0 ? `${onHand} of ${par}` : `${onHand} on hand`
  return packed > 0 ? `${packed} packed, ${there}` : there
}

/**
 * The census: each variant on hand or kept, at the depth where it fishes here. What is packed for that day is named first,
 * then what is missing most.
 */
export const censusMarks = (view: MomentView): readonly Mark[] =>
  view.flies.map((fly) => ({
    id: fly.variantId,
    names: flyNames(fly.patternName, fly.label),
    words: countWords(fly),
    depthMm: fly.depthMm,
    fromMm: fly.depthMm,
    toMm: fly.depthMm,
    weight: 0,
    softWeight: 0,
    look: fly.packed > 0 ? 'packed' : fly.onHand === 0 ? 'out' : 'fly',
    drawingKey: fly.drawingKey,
    rank: fly.packed > 0 ? PACKED_RANK : fly.par > 0 ? Math.max(1 - fly.onHand / fly.par, 0) : 0,
    to: `/patterns/${fly.patternId}?variant=${fly.variantId}`,
  }))
