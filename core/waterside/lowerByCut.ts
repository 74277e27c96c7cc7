import type { Fly } from '../dressing/index.ts'
import { trimmable, trimSteps } from '../float/index.ts'
import type { Cut, Ride } from '../float/index.ts'
import type { WaterProperties } from '../water/index.ts'

/** A cut that can be made at the water, and how the fly rides before and after it. */
export interface LowerByCut {
  readonly cut: Cut
  readonly componentKey: string
  readonly from: Ride
  readonly to: Ride
}

/** A fly sits lower where so much of its height is left, or its posture is another. Judgement. */
const LOWER = 0.75

/** The least cut of hackle, wing or tuft after which a floating fly plainly sits lower and floats still; null where there is none. */
export function lowerByCut(fly: Fly, water: WaterProperties): LowerByCut | null {
  for (const { component, how } of trimmable(fly)) {
    const steps = trimSteps(fly, component.key, how, water)
    const from = steps[0]?.ride
    if (!from) return null
    for (const { cut, ride } of steps) {
      const isLower = ride && (ride.posture !== from.posture || ride.freeHeightMm <= LOWER * from.freeHeightMm)
      if (isLower && ride.freeHeightMm < from.freeHeightMm)
        return { cut, componentKey: component.key, from, to: ride }
    }
  }
  return null
}
