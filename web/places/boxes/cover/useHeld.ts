import { useEffect, useMemo, useState } from 'react'
import type { CoverLook, FoodStage, LookCover, ServingPlace, StageLooks } from '../../../../core/index.ts'
import { toServing } from '../../../../contract/planned.ts'
import { useFrameQuery, useLarderQuery } from '../../../wire/api.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { setWork } from '../../../wire/state.ts'
import { useAppDispatch } from '../../../wire/store.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { runJob } from '../../../workers/gateway.ts'
import { labels } from '../../../words/cover.ts'

/** Where the boxes are held against what fish are on: the reach of the moment, each fly in its own ways. */
export function useServingPlace(): (ServingPlace & { readonly latitudeDeg: number }) | null {
  const moment = useMoment()
  const { data: frame } = useFrameQuery()
  return useMemo(() => {
    if (!moment || !frame) return null
    const { waterKind, typicalDepthMm, surfaceSpeedMmPerS, rules, latitudeDeg } = moment.reach
    const { school } = frame.settings
    return { waterKind, bedMm: typicalDepthMm, surfaceSpeedMmPerS, rules, latitudeDeg, techniques: [], school }
  }, [moment, frame])
}

/** The larder's stages by their id. */
export function useStages(): ReadonlyMap<string, FoodStage & StageLooks> | null {
  const { data } = useLarderQuery()
  return useMemo(() => data && new Map(data.stages.map((stage) => [stage.id as string, stage])), [data]) ?? null
}

/** How the flies on hand cover some looks; null while that is worked out. */
export function useHeld(looks: readonly CoverLook[] | null): readonly LookCover[] | null {
  const planned = usePlanned()
  const { data: larder } = useLarderQuery()
  const dispatch = useAppDispatch()
  const [found, setFound] = useState<readonly LookCover[] | null>(null)
  useEffect(() => {
    if (!looks || !planned || !larder) return
    const controller = new AbortController()
    const work = async () => {
      const covers = await runJob(
        'coverLooks',
        { looks, variants: planned.variants.map(toServing), stages: larder.stages },
        {
          key: 'coverLooks',
          signal: controller.signal,
          onProgress: ({ done }) =>
            controller.signal.aborted ? undefined : dispatch(setWork({ label: labels.holding, done })),
        },
      )
      if (controller.signal.aborted) return
      dispatch(setWork(null))
      if (!('kind' in covers)) setFound(covers)
    }
    void work()
    return () => {
      controller.abort()
      dispatch(setWork(null))
    }
  }, [looks, planned, larder, dispatch])
  return found
}
