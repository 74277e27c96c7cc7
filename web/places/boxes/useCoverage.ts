import { useEffect, useState } from 'react'
import { seasonFoods } from '../../../core/index.ts'
import type { CoverRow } from '../../../core/index.ts'
import type { FoodAtMoment } from '../../../contract/index.ts'
import { useFrameQuery, useLarderQuery } from '../../wire/api.ts'
import { usePlanned } from '../../wire/planned.ts'
import { toServing } from '../../../contract/planned.ts'
import { setWork } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { useNow } from '../../moment/useNow.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { runJob } from '../../workers/gateway.ts'

const MOST_FOODS = 30
/** What is hardly ever worth a fly is not asked for. */
const LEAST_WORTH = 0.12

/** The foods of the moment, or of the whole season, against the boxes; null while that is worked out. */
export function useCoverage(season: boolean): readonly CoverRow[] | null {
  const moment = useMoment()
  const plan = usePlanned()
  const { data: larder } = useLarderQuery()
  const { data: frame } = useFrameQuery()
  const at = useNow()
  const [rows, setRows] = useState<readonly CoverRow[] | null>(null)
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (!moment || !plan || !larder || !frame || !at) return
    const controller = new AbortController()
    const { waterKind, typicalDepthMm, surfaceSpeedMmPerS } = moment.reach
    const work = async () => {
      const found = await runJob(
        'coverageOf',
        {
          foods: season
            ? seasonFoods(larder.stages, waterKind, LEAST_WORTH)
            : at.foods.slice(0, MOST_FOODS).map((food: FoodAtMoment) => ({
                stageKey: food.foodStageId,
                worth: food.onIt,
                lengthMmLow: food.lengthMmLow,
                lengthMmHigh: food.lengthMmHigh,
              })),
          stages: larder.stages,
          variants: plan.variants.map(toServing),
          waterKind,
          bedMm: typicalDepthMm,
          surfaceSpeedMmPerS,
          techniques: [],
          rules: moment.reach.rules,
          school: frame.settings.school,
          keep: frame.settings.parCount,
          asked: frame.settings.cover,
        },
        {
          key: 'coverageOf',
          signal: controller.signal,
          onProgress: ({ done }) =>
            controller.signal.aborted
              ? undefined
              : dispatch(setWork({ label: 'Holding the boxes against the larder', done })),
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
  }, [moment, plan, larder, frame, at, season, dispatch])
  return rows
}
