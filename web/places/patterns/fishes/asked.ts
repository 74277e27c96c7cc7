import type { FallModel } from '../../../../core/index.ts'
import type { Moment } from '../../../moment/useMoment.ts'

/** What each technique is asked of: a fly that sinks, without a line, and the reach it is fished in. */
export interface FishesProps {
  readonly model: FallModel
  readonly dragSdLog: number
  readonly reach: Moment['reach']
}

/** How far over the bed most want a nymph. */
export const OVER_BED_MM = 150

/** The run of a reach, as core takes it. */
export const currentOf = ({ typicalDepthMm, surfaceSpeedMmPerS, bedRoughnessMm }: Moment['reach']) => ({
  depthMm: typicalDepthMm,
  surfaceMmPerS: surfaceSpeedMmPerS,
  roughnessMm: bedRoughnessMm,
})
