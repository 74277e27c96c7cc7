import { hullOf, KINDS } from '../dressing/index.ts'
import type { Fly } from '../dressing/index.ts'
import { sizeNumber } from '../material/index.ts'

/** Widest part of a fly that water cannot pass through, mm: bead or body, not its hackle. */
export const dressedWidthMm = (fly: Fly): number =>
  Math.max(
    ...hullOf(fly).map(({ diameterMm }) => diameterMm),
    ...fly.components.map(({ kind, material }) =>
      KINDS[kind].layer === 'head' ? (sizeNumber(material) ?? 0) : 0,
    ),
  )
