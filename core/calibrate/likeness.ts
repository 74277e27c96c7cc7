import { hullElements } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { flyDrag } from '../sink/index.ts'
import type { DragElement, FallModel } from '../sink/index.ts'
import { beadOnShankMm, dragElementsOf } from '../evaluate/index.ts'

/** What makes the drag of a fly, by what would be wrong about it together. */
export const DRAG_GROUPS = ['metal', 'hull', 'spiky', 'stiff', 'soft'] as const
export type DragGroup = (typeof DRAG_GROUPS)[number]

/** Share of the drag that each group makes; the shares add up to 1. */
export type DragShares = Readonly<Record<DragGroup, number>>

/** Fibres that fold back faster than this count as soft. */
const SOFT_FROM = 0.2

function groupOf(element: DragElement, part: Part | undefined): DragGroup {
  if (element.kind === 'body') return 'hull'
  if (element.kind === 'sphere' || !part || part.kind === 'hook') return 'metal'
  if (part.material.family.kind === 'dubbing') return 'spiky'
  return element.foldExponent >= SOFT_FROM ? 'soft' : 'stiff'
}

/** Where the drag of a falling fly comes from, at a speed. */
export function dragShares(
  fly: Fly,
  parts: readonly Part[],
  model: FallModel,
  speedMmPerS: number,
): DragShares {
  const owners = [
    ...parts.flatMap((part) => part.elements.map(() => part)),
    ...hullElements(fly, beadOnShankMm(fly)).map(() => undefined),
  ]
  const elements = dragElementsOf(fly, parts)
  const shares: Record<DragGroup, number> = { metal: 0, hull: 0, spiky: 0, stiff: 0, soft: 0 }
  let total = 0
  model.facing.forEach((facing, i) => {
    const element = elements[i]
    if (!element) return
    const drag = flyDrag({ ...model, facing: [facing] }, speedMmPerS)
    shares[groupOf(element, owners[i])] += drag
    total += drag
  })
  for (const group of DRAG_GROUPS) shares[group] /= total
  return shares
}

/**
 * How alike two dressings drag, 0 to 1: the coefficient of Bhattacharyya 1943 of their shares, Σ √(p q), to the
 * fourth power, so that it falls off soon. It is a kernel: likenesses of many flies make a covariance.
 */
export const likeness = (a: DragShares, b: DragShares): number =>
  DRAG_GROUPS.reduce((sum, group) => sum + Math.sqrt(a[group] * b[group]), 0) ** 4
