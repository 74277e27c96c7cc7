import { KINDS, partsOf } from '../dressing/index.ts'
import type { Fly, FlyComponent } from '../dressing/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { rideOf, wettingOf } from './ride.ts'
import type { Ride } from './ride.ts'

/** What shears can do: shorten a tuft, wing or post, or clip a hackle below the shank. */
export interface Cut {
  readonly componentKey: string
  readonly how: 'shorten' | 'clipBelow'
  /** share of what is there that is left, 0 to 1 */
  readonly left: number
}

/** A cut and how the fly rides after it; null where it sinks. */
export interface Trimmed {
  readonly cut: Cut
  readonly ride: Ride | null
}

const STEPS = 8

/** A component that shears can reach, and how. */
export interface Trimmable {
  readonly component: FlyComponent
  readonly how: Cut['how']
}

/** Which components of a fly can be trimmed, and how; what is trimmed first stands first. */
export const trimmable = (fly: Fly): readonly Trimmable[] =>
  fly.components
    .flatMap((component) => {
      const { trim } = KINDS[component.kind]
      return trim ? [{ component, ...trim }] : []
    })
    .sort((a, b) => a.order - b.order)

/** A fly after a cut; nothing grows back. */
export const afterCut = (fly: Fly, { componentKey, how, left }: Cut): Fly => ({
  ...fly,
  components: fly.components.map((component) => {
    if (component.key !== componentKey) return component
    return how === 'clipBelow'
      ? { ...component, clipped: (component.clipped ?? 1) * left }
      : { ...component, lengthMm: (component.lengthMm ?? 0) * left }
  }),
})

/** How a fly rides as one of its components is cut back step by step, from untouched to nothing left. */
export function trimSteps(
  fly: Fly,
  componentKey: string,
  how: Cut['how'],
  water: WaterProperties,
): readonly Trimmed[] {
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const cut: Cut = { componentKey, how, left: 1 - i / STEPS }
    return { cut, ride: rideOf(partsOf(afterCut(fly, cut)), water, wettingOf('fresh')) }
  })
}
