import { sizeNumber } from '../material/index.ts'
import type { Fly, FlyComponent } from './fly.ts'
import { KINDS } from './kinds/index.ts'

/** How far a bead stands before the eye on its pin, mm; null for what is on the shank. */
export const pinMm = ({ kind, material, lengthMm }: FlyComponent): number | null =>
  KINDS[kind].asks(material.family.kind).includes('pin') ? lengthMm : null

/** Diameter of the bead or cone on the shank, mm; 0 for none. One on a pin shelters nothing. */
export const headOnShankMm = (fly: Fly): number =>
  Math.max(
    0,
    ...fly.components.map((component) =>
      KINDS[component.kind].layer === 'head' && pinMm(component) === null
        ? (sizeNumber(component.material) ?? 0)
        : 0,
    ),
  )
