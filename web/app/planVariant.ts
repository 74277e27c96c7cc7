import type { Behaviour, CoveringVariant } from '../../core/index.ts'
import type { PlanVariant } from '../../contract/index.ts'

function behaviourOf({ figure }: PlanVariant): Behaviour {
  const speed = figure.trailingSpeedMmPerS ?? figure.sinkSpeedMmPerS
  if (figure.kind === 'sinks' && speed !== null) return { kind: 'sinks', sinkSpeedMmPerS: speed }
  return figure.kind === 'floats' && figure.posture
    ? { kind: 'floats', posture: figure.posture }
    : { kind: 'unknown' }
}

/** A variant of the server as core plans with it. */
export const toTieable = (variant: PlanVariant): CoveringVariant => ({
  key: variant.variantId,
  patternKey: variant.patternId,
  behaviour: behaviourOf(variant),
  look: variant.look,
  onHand: variant.onHand,
  room: variant.room,
  minutesEach: variant.minutesEach,
  dislike: variant.dislike,
  lost: variant.lost,
  hoursFished: variant.hoursFished,
  bill: variant.bill.map(({ materialId, perFly }) => ({ materialKey: materialId, perFly })),
  meantFor: variant.meantFor,
})
