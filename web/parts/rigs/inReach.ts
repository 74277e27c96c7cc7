import { waterAt } from '../../../core/index.ts'
import type { RigInWater, RigWay } from '../../../core/index.ts'
import type { Moment } from '../../moment/useMoment.ts'

/** How far over the bed most want a nymph. */
const OVER_BED_MM = 150
/** A tip held at the height of the eyes. */
export const USUAL_TIP_MM = 1700
/** Led a little slower than the surface, to the whole centimetre a second. */
const LED_OF_SURFACE = 0.9
const WHOLE_MM_PER_S = 10

/** The pace at which most lead a tight line at a reach, mm/s. */
export const usualLead = ({ reach }: Moment): number =>
  Math.max(Math.round((LED_OF_SURFACE * reach.surfaceSpeedMmPerS) / WHOLE_MM_PER_S), 1) * WHOLE_MM_PER_S

/** The water of a moment as a rig is in it: what is counted down is cast where nothing runs. */
export const inReach = (
  { reach, waterTempC }: Moment,
  way: RigWay,
  depthMm: number,
): Pick<RigInWater, 'way' | 'water' | 'current' | 'overBedMm' | 'maxLeaderMm'> => ({
  way,
  water: waterAt(waterTempC),
  current: {
    depthMm,
    surfaceMmPerS: way === 'counted' ? 0 : reach.surfaceSpeedMmPerS,
    roughnessMm: reach.bedRoughnessMm,
  },
  overBedMm: OVER_BED_MM,
  maxLeaderMm: reach.rules.maxLeaderMm,
})
