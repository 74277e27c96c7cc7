import { hullOf, KINDS, TRIGGER_KEYS } from '../dressing/index.ts'
import type { Fly, TriggerKey } from '../dressing/index.ts'
import { clamp } from '../number/index.ts'

/** How far a fly shows each trigger, 0 to 1; those that it does not show are left out. */
export type TriggersShown = Readonly<Partial<Record<TriggerKey, number>>>

/** Of the thickness on both sides, a waist is at most this for a plain one, and no waist from that on. */
const WAIST = { plain: 0.5, none: 0.75 }

function waistOf(fly: Fly): number {
  const thickness = hullOf(fly).map(({ diameterMm }) => diameterMm)
  const narrowest = thickness.map(
    (here, i) => here / Math.min(Math.max(0, ...thickness.slice(0, i)), Math.max(0, ...thickness.slice(i + 1))),
  )
  return clamp((WAIST.none - Math.min(...narrowest)) / (WAIST.none - WAIST.plain), 0, 1)
}

/** Which triggers of a natural the dressing shows: each kind of component says how far; a waist is of the whole. */
export function triggersShown(fly: Fly): TriggersShown {
  const shown = TRIGGER_KEYS.map((key): [TriggerKey, number] => [
    key,
    key === 'pinchedWaist'
      ? waistOf(fly)
      : Math.max(
          0,
          ...fly.components.map((component) => KINDS[component.kind].shows[key]?.(component, fly.hook) ?? 0),
        ),
  ])
  return Object.fromEntries(shown.filter(([, degree]) => degree > 0))
}
