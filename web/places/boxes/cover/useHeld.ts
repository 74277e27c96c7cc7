import { useMemo } from 'react'
import type { CoverLook, FoodStage, LookCover, ServingPlace, StageLooks } from '../../../../core/index.ts'
import { toServing } from '../../../../contract/planned.ts'
import { useFrameQuery, useLarderQuery } from '../../../wire/answers.ts'
import { usePlanned } from '../../../wire/planned.ts'
import { useMoment } from '../../../moment/useMoment.ts'
import { useJob } from '../../../parts/useJob.ts'
import type { Worked } from '../../../parts/useJob.ts'
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

/**
 * How the flies on hand cover some looks.
 *
 * @param key tells apart what stands beside each other on one page
 */
export function useHeld(key: string, looks: readonly CoverLook[] | null): Worked<readonly LookCover[]> {
  const planned = usePlanned()
  const { data: larder } = useLarderQuery()
  const input = useMemo(
    () =>
      looks && planned && larder
        ? { looks, variants: planned.variants.map(toServing), stages: larder.stages }
        : null,
    [looks, planned, larder],
  )
  return useJob('coverLooks', input, { key, label: labels.holding })
}
