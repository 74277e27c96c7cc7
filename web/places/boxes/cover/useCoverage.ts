import { useMemo } from 'react'
import { epochDayOf, seasonFoods, yearOf } from '../../../../core/index.ts'
import type { CoverRow } from '../../../../core/index.ts'
import type { FoodAtMoment } from '../../../../contract/index.ts'
import { useFrameQuery, useLarderQuery, useReachYearQuery } from '../../../wire/answers.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { toServing } from '../../../../contract/planned.ts'
import { useNow } from '../../../moment/useNow.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { useJob } from '../../../parts/useJob.ts'
import type { Worked } from '../../../parts/useJob.ts'
import { labels } from '../../../words/cover.ts'
import { useServingPlace } from './useHeld.ts'

const MOST_FOODS = 30
/** Share of the fish in its best week from which on a food is asked for. */
const LEAST_WORTH = 0.02

/** The foods of the moment, or of the whole season, against the boxes. */
export function useCoverage(season: boolean): Worked<readonly CoverRow[]> {
  const moment = useMoment()
  const plan = usePlanned()
  const { data: larder } = useLarderQuery()
  const { data: frame } = useFrameQuery()
  const at = useNow()
  const place = useServingPlace()
  const year = moment ? yearOf(epochDayOf(moment.on)) : 0
  const { data: through } = useReachYearQuery(
    { reachId: moment?.reachId ?? '', year },
    { skip: !moment || !season },
  )
  const input = useMemo(() => {
    if (!place || !plan || !larder || !frame || !at || (season && !through)) return null
    const foods =
      season && through
        ? seasonFoods(larder.stages, through, place, LEAST_WORTH)
        : at.foods.slice(0, MOST_FOODS).map((food: FoodAtMoment) => ({
            stageKey: food.foodStageId,
            worth: food.onIt,
            lengthMmLow: food.lengthMmLow,
            lengthMmHigh: food.lengthMmHigh,
          }))
    const { parCount: keep, cover: asked } = frame.settings
    return { ...place, foods, stages: larder.stages, variants: plan.variants.map(toServing), keep, asked }
  }, [place, plan, larder, frame, at, season, through])
  return useJob('coverageOf', input, { key: 'coverageOf', label: labels.holding })
}
