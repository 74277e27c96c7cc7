import { headOnShankMm, hullElements } from '../dressing/index.ts'
import type { Fly, Part } from '../dressing/index.ts'
import { faceFlow, flowAt, flyDrag } from '../sink/index.ts'
import type { DragElement } from '../sink/index.ts'
import { waterAt } from '../water/index.ts'
import { dragElementsOf } from '../evaluate/index.ts'

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

/** Where flies are compared: eye first at 300 mm/s in water of 10 °C. */
const COMPARED = { noseDownDeg: 90, speedMmPerS: 300, water: waterAt(10) }

/** Where the drag of a falling fly comes from. */
export function dragShares(fly: Fly, parts: readonly Part[]): DragShares {
  const owners = [
    ...parts.flatMap((part) => part.elements.map(() => part)),
    ...hullElements(fly, headOnShankMm(fly)).map(() => undefined),
  ]
  const elements = dragElementsOf(fly, parts)
  const shares: Record<DragGroup, number> = { metal: 0, hull: 0, spiky: 0, stiff: 0, soft: 0 }
  let total = 0
  faceFlow(elements, flowAt(COMPARED.noseDownDeg)).forEach((facing, i) => {
    const element = elements[i]
    if (!element) return
    const still = { submergedMg: 0, inertiaMg: 0, dragMultiplier: 1, tippet: null, water: COMPARED.water }
    const drag = flyDrag({ ...still, facing: [facing] }, COMPARED.speedMmPerS)
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
