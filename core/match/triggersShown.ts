import { hullOf, KINDS, TRIGGER_KEYS } from '../dressing/index.ts'
import type { Fly, TriggerKey } from '../dressing/index.ts'

/** Of the thickness on both sides, a waist is at most this. */
const WAIST = 0.55

function hasWaist(fly: Fly): boolean {
  const thickness = hullOf(fly).map(({ diameterMm }) => diameterMm)
  return thickness.some(
    (here, i) =>
      here < WAIST * Math.max(0, ...thickness.slice(0, i)) &&
      here < WAIST * Math.max(0, ...thickness.slice(i + 1)),
  )
}

/** Which triggers of a natural the dressing shows: each kind of component says when it does; a waist is of the whole. */
export function triggersShown(fly: Fly): readonly TriggerKey[] {
  return TRIGGER_KEYS.filter((key) =>
    key === 'pinchedWaist'
      ? hasWaist(fly)
      : fly.components.some((component) => KINDS[component.kind].shows[key]?.(component, fly.hook)),
  )
}
