import type { ComponentKind } from '../dressing.ts'
import { body, egg, head, thorax } from './body.ts'
import { gills, legs, post, shuck, strip, tail, wing } from './bunch.ts'
import { collar, hackle } from './hackle.ts'
import { bead, cone } from './head.ts'
import type { KindOf, Trait } from './kindOf.ts'
import { back, coat, foam, hotSpot, rib, wingCase } from './over.ts'
import { thread } from './thread.ts'
import { eyes, sheet, wire } from './underbody.ts'

/** All that is true of each kind of component. */
export const KINDS: Readonly<Record<ComponentKind, KindOf>> = {
  bead, cone, eyes, wire, sheet, thread, tail, shuck, body, rib, thorax, gills, legs, collar, hackle, wing, post,
  wingCase, back, strip, foam, coat, hotSpot, egg, head,
} // prettier-ignore

/** Whether something holds of a component's kind. The bare hook has none of these traits. */
export const is = (kind: ComponentKind | 'hook', trait: Trait): boolean =>
  kind !== 'hook' && KINDS[kind].traits.includes(trait)

export { DRAWN_AS } from './kindOf.ts'
export type { DrawnAs, KindOf, Layer, Trait } from './kindOf.ts'
export { TRIGGER_KEYS } from './triggers.ts'
export type { TriggerKey } from './triggers.ts'
