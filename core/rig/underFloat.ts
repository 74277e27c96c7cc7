import { speedAtHeight } from '../drift/index.ts'
import type { Current } from '../drift/index.ts'
import type { FallModel } from '../sink/index.ts'
import { driftBand, driftOf, leaderFor } from './float.ts'
import type { Drifted, FloatBall } from './float.ts'
import { flyOf } from './hanging.ts'

/** A fly under a float in a run. */
export interface UnderFloat {
  /** the fly's free fall, without a line */
  readonly model: FallModel
  /** doubt of its drag, sd of the logarithm */
  readonly dragSdLog: number
  readonly float: FloatBall
  readonly leader: { readonly diameterMm: number; readonly densityMgPerMm3: number }
  /** leader from the float to the fly */
  readonly setMm: number
  readonly current: Current
  /** how far over the bed it is wanted */
  readonly overBedMm: number
}

/** Where it drifts, and what to set for the height that is wanted. */
export interface FishesUnder {
  readonly drifted: Drifted
  readonly band: { readonly lowMm: number; readonly highMm: number }
  /** it would drift deeper than there is water: it drags along the bed */
  readonly onBed: boolean
  /** the deepest that it may well drift is the bed */
  readonly mayTouch: boolean
  /** null where no leader brings it there */
  readonly toSetMm: number | null
}

/** Where a fly fishes under a float, in steps: each takes some hundredths of a second. */
export function* underFloat(input: UnderFloat): Generator<{ readonly done: number }, FishesUnder> {
  const { model, float, leader, setMm, current, overBedMm, dragSdLog } = input
  const withLeader = (lengthMm: number) => ({
    float,
    fly: flyOf(model),
    pieces: [{ ...leader, lengthMm, group: 'leader' as const }],
    current: (depthMm: number) => speedAtHeight(current, current.depthMm - Math.max(depthMm, 0)),
    water: model.water,
  })
  const drifted = driftOf(withLeader(setMm))
  yield { done: 0.2 }
  const band = driftBand(withLeader(setMm), (factor) => flyOf(model, factor), dragSdLog)
  yield { done: 0.6 }
  const wantedMm = current.depthMm - overBedMm
  return {
    drifted,
    band,
    onBed: drifted.depthMm >= current.depthMm,
    mayTouch: band.highMm >= current.depthMm,
    toSetMm: wantedMm > 0 ? leaderFor(withLeader, wantedMm) : null,
  }
}
