import { useEffect, useState } from 'react'
import { epochDayOf, seasonFoods, yearOf } from '../../../../core/index.ts'
import type { CoverRow } from '../../../../core/index.ts'
import type { FoodAtMoment } from '../../../../contract/index.ts'
import { useFrameQuery, useLarderQuery, useReachYearQuery } from '../../../wire/api.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { toServing } from '../../../../contract/planned.ts'
import { setWork } from '../../../wire/state.ts'
import { useAppDispatch } from '../../../wire/store.ts'
import { useNow } from '../../../moment/useNow.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { runJob } from '../../../workers/gateway.ts'
import { labels } from '../../../words/cover.ts'
import { useServingPlace } from './useHeld.ts'

const MOST_FOODS = 30
/** Share of the fish in its best week from which on a food is asked for. */
const LEAST_WORTH = 0.02

/** The foods of the moment, or of the whole season, against the boxes; null while that is worked out. */
export function useCoverage(season: boolean): readonly CoverRow[] | null {
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
  const [rows, setRows] = useState<readonly CoverRow[] | null>(null)
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (!place || !plan || !larder || !frame || !at || (season && !through)) return
    const controller = new AbortController()
    const work = async () => {
      const found = await runJob(
        'coverageOf',
        {
          ...place,
          foods:
            season && through
              ? seasonFoods(larder.stages, through, place, LEAST_WORTH)
              : at.foods.slice(0, MOST_FOODS).map((food: FoodAtMoment) => ({
                  stageKey: food.foodStageId,
                  worth: food.onIt,
                  lengthMmLow: food.lengthMmLow,
                  lengthMmHigh: food.lengthMmHigh,
                })),
          stages: larder.stages,
          variants: plan.variants.map(toServing),
          keep: frame.settings.parCount,
          asked: frame.settings.cover,
        },
        {
          key: 'coverageOf',
          signal: controller.signal,
          onProgress: ({ done }) =>
            controller.signal.aborted ? undefined : dispatch(setWork({ label: labels.holding, done })),
        },
      )
      if (controller.signal.aborted) return
      dispatch(setWork(null))
      if (!('kind' in found)) setRows(found)
    }
    void work()
    return () => {
      controller.abort()
      dispatch(setWork(null))
    }
  }, [place, plan, larder, frame, at, season, through, dispatch])
  return rows
}
