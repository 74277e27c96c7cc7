import { knotsOf, lengthOf } from '../../../../core/index.ts'
import type { RigPart, Tied } from '../../../../core/index.ts'

/** A piece of a rig as it is drawn: from where to where, mm below the end of the fly line. */
export interface DrawnPiece {
  readonly index: number
  readonly fromMm: number
  readonly toMm: number
  readonly topMm: number
  readonly endMm: number
}

/** What is tied in or pinched on, and where. */
export interface DrawnOn {
  readonly index: number
  readonly atMm: number
  readonly part: RigPart
}

/** A rig laid out straight, to scale: the fly line above it is told, not drawn. */
export interface DrawnRig {
  readonly pieces: readonly DrawnPiece[]
  readonly on: readonly DrawnOn[]
  readonly knots: readonly (Tied & { readonly atMm: number })[]
  readonly wholeMm: number
}

/** Lays a rig out straight. */
export function laidOut(parts: readonly RigPart[]): DrawnRig {
  const pieces: DrawnPiece[] = []
  const on: DrawnOn[] = []
  let atMm = 0
  parts.forEach((part, index) => {
    if (part.kind === 'leader' || part.kind === 'tippet') {
      const fromMm = atMm
      atMm += lengthOf(part)
      const [topMm, endMm] =
        part.kind === 'leader' ? [part.buttMm, part.tipMm] : [part.diameterMm, part.diameterMm]
      pieces.push({ index, fromMm, toMm: atMm, topMm, endMm })
    } else if (part.kind !== 'line' && part.kind !== 'knot') on.push({ index, atMm, part })
  })
  const endOf = (index: number) => pieces.find((piece) => piece.index === index)?.toMm ?? 0
  const knots = knotsOf(parts).map((tied) => ({ ...tied, atMm: endOf(tied.after) }))
  return { pieces, on, knots, wholeMm: atMm }
}
