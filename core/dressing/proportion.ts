import type { Hook } from '../hook/index.ts'
import type { Component, Proportion } from './dressing.ts'
import { KINDS } from './kinds/index.ts'

/** Length as recorded, or the usual one of its kind; null for kinds that have none. */
export const lengthOf = (component: Component): Proportion | null =>
  component.length ?? KINDS[component.kind].usualLength

/** Millimetres of a proportion that refers to the hook or the bead; null for one that refers to a component. */
export function proportionMm(proportion: Proportion, hook: Hook, beadMm: number): number | null {
  if ('mm' in proportion) return proportion.mm
  switch (proportion.of) {
    case 'shank':
      return proportion.factor * hook.shankMm
    case 'gape':
      return proportion.factor * hook.gapeMm
    case 'hookLength':
      return proportion.factor * hook.hookLengthMm
    case 'bead':
      return proportion.factor * beadMm
    case 'component':
      return null
  }
}
