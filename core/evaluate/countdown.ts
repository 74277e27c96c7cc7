import { descend } from '../sink/index.ts'
import type { Descent, FallModel } from '../sink/index.ts'
import { USUAL_LEADER } from './conditions.ts'

/**
 * The fall of a fly under a floating line: as much leader trails as the fly is deep, and where it is at full stretch
 * the fly swings.
 *
 * @param toDepthMm how deep to reckon, above 0
 */
export const countdown = (model: FallModel, toDepthMm: number): Descent =>
  descend(
    { ...model, tippet: { ...USUAL_LEADER, ...model.tippet, lengthMm: USUAL_LEADER.lengthMm } },
    toDepthMm,
    'held',
  )
