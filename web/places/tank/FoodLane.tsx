import type { FoodAtMoment } from '../../../contract/index.ts'
import { labelsFor } from '../../column/labelling.ts'
import { foodNames, thatFits } from '../../column/shortNames.ts'
import { useIsLit } from '../../wire/lit.ts'
import { light } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'

/** Room of the foods at the left of the tank, and of a label in it. */
export const FOOD_LANE_PX = 170
const ROW_PX = 15
const FURTHEST_PX = 60
const LETTER_PX = 5.9
/** Foods of the film have no height of their own. */
const LEAST_PX = 3

interface FoodLaneProps {
  readonly foods: readonly FoodAtMoment[]
  readonly leftPx: number
  readonly bedPx: number
  readonly pxPerMm: number
}

/** The depths of a food, as wide as fish are on it. */
function FoodBar({
  food,
  leftPx,
  pxPerMm,
}: Pick<FoodLaneProps, 'leftPx' | 'pxPerMm'> & { readonly food: FoodAtMoment }) {
  const isLit = useIsLit(food.foodStageId)
  return (
    <g opacity={isLit ? 0.9 : 0.3} fill="var(--thistle)">
      {[food.onItIfAbout, food.onIt].map((share, n) => (
        <rect
          key={n}
          x={leftPx}
          y={food.fromMm * pxPerMm}
          width={share * FOOD_LANE_PX}
          height={Math.max((food.toMm - food.fromMm) * pxPerMm, LEAST_PX)}
          opacity={n === 0 ? 0.4 : 1}
        />
      ))}
    </g>
  )
}

/** The foods of the moment in the water that the flies fall past: as far towards them as fish are on each. */
export function FoodLane({ foods, leftPx, bedPx, pxPerMm }: FoodLaneProps) {
  const dispatch = useAppDispatch()
  const marks = foods.map((food) => ({
    food,
    rank: food.onIt,
    atPx: ((food.fromMm + food.toMm) / 2) * pxPerMm,
  }))
  const labels = labelsFor(marks, { fromPx: 1, toPx: bedPx, rowPx: ROW_PX, furthestPx: FURTHEST_PX })
  return (
    <g>
      {marks.map(({ food }) => (
        <FoodBar key={food.foodStageId} food={food} leftPx={leftPx} pxPerMm={pxPerMm} />
      ))}
      {labels.map(({ of, topPx }) => {
        const [foremost] = of
        if (!foremost) return null
        const { food } = foremost
        const whole = of.length > 1 ? `${of.length} foods here` : food.name
        const names = of.length > 1 ? [whole] : foodNames(food.name)
        return (
          <text
            key={food.foodStageId}
            x={leftPx + 6}
            y={topPx + ROW_PX - 4}
            style={{ fill: 'var(--ink)' }}
            onMouseEnter={() => dispatch(light(food.foodStageId))}
            onMouseLeave={() => dispatch(light(null))}
          >
            <title>{of.map(({ food: one }) => `${one.name}, ${one.onItWords}`).join('\n')}</title>
            {thatFits(names, FOOD_LANE_PX - 12, (text) => text.length * LETTER_PX)}
          </text>
        )
      })}
    </g>
  )
}
