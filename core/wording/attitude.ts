import { tiltFromLevelDeg } from '../evaluate/index.ts'
import type { Hang } from '../evaluate/index.ts'
import type { Attitude } from '../sink/index.ts'

const LEVEL_WITHIN_DEG = 12
const UPRIGHT_WITHIN_DEG = 20

/** An attitude as tiers say it: nose down, level with its point up, hanging by its head. */
function tilted(noseDownDeg: number): string {
  const pointUp = Math.abs(noseDownDeg) > 90
  const tilt = tiltFromLevelDeg(noseDownDeg)
  if (Math.abs(tilt) > 90 - UPRIGHT_WITHIN_DEG) return tilt > 0 ? 'nose down' : 'bend down'
  const point = pointUp ? 'point up' : 'point down'
  if (Math.abs(tilt) < LEVEL_WITHIN_DEG) return `level, ${point}`
  return `${Math.round(Math.abs(tilt))}° ${tilt > 0 ? 'nose down' : 'bend down'}, ${point}`
}

/** How a fly holds itself as it falls, and as it hangs from the eye. */
export function attitudeWords(attitude: Attitude): string {
  if (attitude.hold === 'tumbles') return 'turning over'
  return attitude.hold === 'wavers' ? `${tilted(attitude.noseDownDeg)}, wavering` : tilted(attitude.noseDownDeg)
}

/** How a fly hangs still from its eye. */
export const hangWords = (hang: Hang): string => tilted(hang.noseDownDeg)
