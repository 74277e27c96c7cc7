import { useMemo } from 'react'
import { bandIn, behaviourOf, bottomAspect, techniquesAmong, wording } from '../../../core/index.ts'
import { useLarderQuery } from '../../wire/answers.ts'
import { reachStateOf } from '../../moment/reachState.ts'
import { useMoment } from '../../moment/useMoment.ts'
import { useWording } from '../../words/useWording.ts'
import type { Draft } from '../../recipe/draft.ts'
import type { WorkedOut } from './useFlyReport.ts'

/** Says when a fly that is meant for food on the bottom does not get down at the place in the Column, as it is fished. */
export function useBottomCaution(worked: WorkedOut | null, draft: Draft | null): string | null {
  const { data: larder } = useLarderQuery()
  const moment = useMoment()
  const { units } = useWording()
  const serves = draft?.serves
  const fishedHow = draft?.fishedHow
  return useMemo(() => {
    if (!worked || !larder || !moment) return null
    const { reach } = moment
    const { waterKind } = reachStateOf(moment)
    const meant = new Set((serves ?? []).map(({ foodStageId }) => foodStageId))
    const forBottom = larder.stages.some(
      (stage) => meant.has(stage.id) && bandIn(stage, waterKind) === 'bottom',
    )
    const behaviour = behaviourOf(worked.report)
    const ways = techniquesAmong(fishedHow ?? [])
    if (!forBottom || behaviour.kind !== 'sinks') return null
    const aspect = bottomAspect(behaviour, ways, {
      waterKind,
      bedMm: reach.typicalDepthMm,
      surfaceSpeedMmPerS: reach.surfaceSpeedMmPerS,
      lengthMmLow: 0,
      lengthMmHigh: 0,
    })
    return wording.tooLightSentence(aspect, reach.reachName, units)
  }, [worked, larder, moment, serves, fishedHow, units])
}
