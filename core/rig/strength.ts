import type { Knot, RigPart, Stuff } from './parts.ts'

/** What it is drawn of breaks at, MPa, and what of that is left when wet: about, by a quarter either way. */
const BREAKS_MPA: Readonly<Record<Stuff, number>> = {
  nylon: 750,
  copolymer: 1000,
  fluorocarbon: 900,
  polyester: 1000,
}
const WET: Readonly<Record<Stuff, number>> = { nylon: 0.88, copolymer: 0.9, fluorocarbon: 1, polyester: 1 }

/** What is left of a piece in a knot, a tenth either way. */
const KNOT_HOLDS: Readonly<Record<Knot, number>> = {
  clinch: 0.85,
  surgeon: 0.85,
  loop: 0.85,
  blood: 0.8,
  perfection: 0.7,
  overhand: 0.55,
}

const NEWTON_KG = 1 / 9.80665

/** Load at which a piece breaks when wet, without a knot, kg. */
const breaksAtKg = (stuff: Stuff, diameterMm: number): number =>
  BREAKS_MPA[stuff] * (Math.PI / 4) * diameterMm ** 2 * WET[stuff] * NEWTON_KG

/** A knot of a rig: after which part it is, between which thicknesses, and what it holds. */
export interface Tied {
  /** index of the part that it is tied below */
  readonly after: number
  readonly knot: Knot
  /** of the thinner piece */
  readonly holdsKg: number
  readonly diameterMm: number
  /** of the piece that goes first in it */
  readonly stuff: Stuff
}

type Drawn = { readonly stuff: Stuff; readonly top: number; readonly end: number }

const drawnOf = (part: RigPart): Drawn | null =>
  part.kind === 'leader'
    ? { stuff: part.stuff, top: part.buttMm, end: part.tipMm }
    : part.kind === 'tippet'
      ? { stuff: part.stuff, top: part.diameterMm, end: part.diameterMm }
      : null

/** The knots of a rig from the rod to the point: a surgeon's where pieces meet, a clinch at the point, or as they are said. */
export function knotsOf(parts: readonly RigPart[]): readonly Tied[] {
  const tied: Tied[] = []
  let above: Drawn | null = null
  let said: Knot | null = null
  let last = -1
  parts.forEach((part, i) => {
    if (part.kind === 'knot') said = part.knot
    const next = drawnOf(part)
    const ends = part.kind === 'point'
    if (!above) {
      if (next) [above, last, said] = [next, i, null]
      return
    }
    if (!next && !ends) return
    const holds = (drawn: Drawn, mm: number, knot: Knot) => breaksAtKg(drawn.stuff, mm) * KNOT_HOLDS[knot]
    const knot: Knot = said ?? (ends ? 'clinch' : 'surgeon')
    const sides = [{ drawn: above, mm: above.end }, ...(next ? [{ drawn: next, mm: next.top }] : [])]
    const weakest = sides.reduce((a, b) => (holds(b.drawn, b.mm, knot) < holds(a.drawn, a.mm, knot) ? b : a))
    tied.push({
      after: last,
      knot,
      holdsKg: holds(weakest.drawn, weakest.mm, knot),
      diameterMm: weakest.mm,
      stuff: weakest.drawn.stuff,
    })
    ;[above, last, said] = [next ?? above, i, null]
  })
  return tied
}

/** The knot that goes first; null for a rig without one. */
export const weakestOf = (parts: readonly RigPart[]): Tied | null =>
  knotsOf(parts).reduce<Tied | null>(
    (least, one) => (least && least.holdsKg <= one.holdsKg ? least : one),
    null,
  )
