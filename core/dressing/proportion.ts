import type { Hook } from '../hook/index.ts'
import type { Component, ComponentKind, Proportion } from './dressing.ts'

/** What is usual where a recipe gives no length. */
const USUAL_LENGTH: Readonly<Partial<Record<ComponentKind, Proportion>>> = {
  tail: { factor: 2 / 3, of: 'shank' },
  shuck: { factor: 1 / 2, of: 'shank' },
  legs: { factor: 1.1, of: 'shank' },
  hackle: { factor: 1.5, of: 'gape' },
  collar: { factor: 1, of: 'gape' },
  wing: { factor: 1, of: 'shank' },
  post: { factor: 1.1, of: 'shank' },
  gills: { factor: 1 / 2, of: 'gape' },
  strip: { factor: 1.6, of: 'shank' },
}

/** Length as recorded, or the usual one of its kind; null for kinds that have none. */
export const lengthOf = (component: Component): Proportion | null =>
  component.length ?? USUAL_LENGTH[component.kind] ?? null

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
