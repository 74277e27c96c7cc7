import { clamp, sum } from '../../number/index.ts'
import type { Body } from '../body.ts'
import type { LinePiece } from '../line.ts'
import { stiffnessMgMm2 } from '../line.ts'

/** A fly on a line: on its point, or on a side line above it. */
export interface OnLine {
  readonly body: Body
  /** how far above the point, mm; 0 on the point itself */
  readonly aboveMm: number
  /** the side line that it hangs on, mm; of no length on the point */
  readonly sideMm: number
}

/** A rig as it is fished: pieces from the rod to the point, and the flies on them. */
export interface RigLine {
  /** from the rod to the point */
  readonly pieces: readonly LinePiece[]
  readonly flies: readonly OnLine[]
}

/** A piece of line with what its drag along itself depends on. */
export interface Stretch {
  readonly piece: LinePiece
  /** length of all that it is one cylinder with, mm */
  readonly groupMm: number
}

/** What is between two nodes. */
export interface Segment {
  readonly a: number
  readonly b: number
  /** its length when taut, mm */
  readonly restMm: number
  readonly stretch: Stretch
}

/** Three nodes that follow each other along a line, which resists being bent there. */
export interface Bend {
  readonly a: number
  readonly b: number
  readonly c: number
  /** the segments before and after */
  readonly before: number
  readonly after: number
  readonly stiffnessMgMm2: number
}

/** A rig cut into nodes and segments. Node 0 is held; a dropper's node follows its knot, so that the matrix stays narrow. */
export interface Net {
  readonly nodes: number
  readonly segments: readonly Segment[]
  readonly bends: readonly Bend[]
  /** what hangs, and which of the rig's flies it is */
  readonly bodies: readonly { readonly node: number; readonly body: Body; readonly fly: number }[]
  /** the last node of the fly line, where leader is knotted to it; the point where all is one */
  readonly lineEnd: number
  /** the nodes from where it is held to the point, without those of side lines */
  readonly along: readonly number[]
}

/** Beside a fly a line bends within its weight over the line's drag: a few centimetres. */
const BESIDE_A_FLY_MM = 15
const GROWTH = 1.6
/** Nodes that a rig is cut into, about. */
export const NODES = { usual: 40, fine: 80 } as const

/** Lengths that a stretch is cut into: even, and fine toward the ends that carry a fly. */
function cut(lengthMm: number, evenMm: number, fineStart: boolean, fineEnd: boolean): readonly number[] {
  const graded: number[] = []
  for (let mm = BESIDE_A_FLY_MM; mm < evenMm; mm *= GROWTH) graded.push(mm)
  const ends = (fineStart ? 1 : 0) + (fineEnd ? 1 : 0)
  const gradedMm = sum(graded)
  if (ends * gradedMm >= lengthMm) {
    const count = Math.max(1, Math.ceil(lengthMm / BESIDE_A_FLY_MM / 3))
    return Array.from({ length: count }, () => lengthMm / count)
  }
  const left = lengthMm - ends * gradedMm
  const count = Math.max(1, Math.round(left / evenMm))
  return [
    ...(fineStart ? graded : []),
    ...Array.from({ length: count }, () => left / count),
    ...(fineEnd ? [...graded].reverse() : []),
  ]
}

/** Cuts a rig into about so many nodes, each piece by the root of its length, and finely at its flies. */
export function netOf({ pieces, flies }: RigLine, nodes: number = NODES.usual): Net {
  const wholeMm = sum(pieces.map(({ lengthMm }) => lengthMm))
  const roots = sum(pieces.map(({ lengthMm }) => Math.sqrt(lengthMm)))
  const knots = flies.map(({ aboveMm }) => clamp(wholeMm - aboveMm, 0, wholeMm))
  const isKnot = (mm: number) => knots.some((knot) => Math.abs(knot - mm) < 1e-6)
  const groupMm = (group: LinePiece['group']) =>
    sum(pieces.filter((piece) => piece.group === group).map(({ lengthMm }) => lengthMm))
  const segments: Segment[] = []
  const bends: Bend[] = []
  const bodies: { node: number; body: Body; fly: number }[] = []
  const along = [0]
  let [atMm, last, next, before, lineEnd] = [0, 0, 1, -1, 0]
  const tieOn = (node: number) => {
    flies.forEach(({ body, sideMm }, i) => {
      if (Math.abs((knots[i] ?? NaN) - atMm) >= 1e-6) return
      if (sideMm <= 0) bodies.push({ node, body, fly: i })
      else {
        const piece = pieces.at(-1)
        if (!piece) return
        segments.push({ a: node, b: next, restMm: sideMm, stretch: { piece, groupMm: sideMm } })
        bodies.push({ node: next, body, fly: i })
        next += 1
      }
    })
  }
  for (const piece of pieces) {
    const evenMm = piece.lengthMm / Math.max(1, Math.round((nodes * Math.sqrt(piece.lengthMm)) / roots))
    const endMm = atMm + piece.lengthMm
    const stretch = { piece, groupMm: groupMm(piece.group) }
    const stops = [...knots.filter((knot) => knot > atMm + 1e-6 && knot < endMm - 1e-6), endMm].sort(
      (a, b) => a - b,
    )
    let from = atMm
    for (const stop of stops) {
      for (const restMm of cut(stop - from, evenMm, isKnot(from), isKnot(stop))) {
        segments.push({ a: last, b: next, restMm, stretch })
        const here = segments.length - 1
        const above = segments[before]
        if (above) {
          const stiffness = Math.min(stiffnessMgMm2(above.stretch.piece), stiffnessMgMm2(piece))
          bends.push({ a: above.a, b: last, c: next, before, after: here, stiffnessMgMm2: stiffness })
        }
        before = here
        last = next
        along.push(next)
        next += 1
        atMm += restMm
      }
      atMm = stop
      from = stop
      tieOn(last)
    }
    if (piece.group === 'line') lineEnd = last
  }
  return { nodes: next, segments, bends, bodies, lineEnd: lineEnd || last, along }
}
