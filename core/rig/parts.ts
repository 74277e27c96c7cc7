/** What leaders and tippet are drawn of. */
export const STUFFS = ['nylon', 'copolymer', 'fluorocarbon', 'polyester'] as const
export type Stuff = (typeof STUFFS)[number]

/** Knots between two pieces, and at a fly. */
export const KNOTS = ['surgeon', 'blood', 'loop', 'perfection', 'overhand', 'clinch'] as const
export type Knot = (typeof KNOTS)[number]

/** Fly lines by what they do in still water. */
export const LINE_SORTS = ['floating', 'intermediate', 'sinking'] as const
export type LineSort = (typeof LINE_SORTS)[number]

/** A length of fly line outside the rod; a rate on its spool says more of it than its sort. */
export interface LinePart {
  readonly kind: 'line'
  readonly sort: LineSort
  readonly lengthMm: number
  readonly diameterMm: number
  /** as a level line sinks by its spool, mm/s; null where it says none */
  readonly rateMmPerS: number | null
}

/** A tapered leader, from its butt to its tip. */
export interface LeaderPart {
  readonly kind: 'leader'
  readonly lengthMm: number
  readonly buttMm: number
  readonly tipMm: number
  readonly stuff: Stuff
}

/** A length of tippet, level. */
export interface TippetPart {
  readonly kind: 'tippet'
  readonly lengthMm: number
  readonly diameterMm: number
  readonly stuff: Stuff
}

/** A fly on a side line, tied in where it stands among the parts. Its fly is null while none is chosen. */
export interface DropperPart {
  readonly kind: 'dropper'
  readonly lengthMm: number
  readonly fly: string | null
}

/** What carries the rest at the surface: a ball of cork or foam, its weight in air. */
export interface FloatPart {
  readonly kind: 'float'
  readonly diameterMm: number
  readonly massMg: number
}

/** A dry fly that carries the rest. */
export interface DryPart {
  readonly kind: 'dry'
  readonly fly: string | null
}

/** Weight that is pinched on, a swivel, a ring. */
export interface WeightPart {
  readonly kind: 'shot' | 'swivel' | 'ring'
  readonly massMg: number
}

/** The knot between the piece above and the one below, where it is another than usual. */
export interface KnotPart {
  readonly kind: 'knot'
  readonly knot: Knot
}

/** The end of it: the fly on the point. */
export interface PointPart {
  readonly kind: 'point'
  readonly fly: string | null
}

/** A part of a rig, in the order from the rod to the point. */
export type RigPart =
  LinePart | LeaderPart | TippetPart | DropperPart | FloatPart | DryPart | WeightPart | KnotPart | PointPart

/** What is taken where it is not said. */
export const USUAL_PART = {
  stuff: 'nylon',
  line: {
    floating: { lengthMm: 12_000, diameterMm: 1.1, densityMgPerMm3: 0.86 },
    intermediate: { lengthMm: 12_000, diameterMm: 1, densityMgPerMm3: 1.04 },
    sinking: { lengthMm: 12_000, diameterMm: 1, rateMmPerS: 75 },
  },
  leader: { buttMm: 0.5, tipMm: 0.2 },
  dropperMm: 150,
  /** cork and foam with their paint, mg/mm³: 12 mm across weigh 200 mg */
  floatMgPerMm3: 0.22,
  swivelMg: 120,
  ringMg: 15,
} as const

/** Weight of a float by its width and what it is of, to the 5 mg. */
export const floatMgOf = (diameterMm: number, densityMgPerMm3: number): number =>
  Math.round(((Math.PI / 6) * diameterMm ** 3 * densityMgPerMm3) / 5) * 5

/** Weight of a float of which only the width is said, mg. */
export const floatMg = (diameterMm: number): number => floatMgOf(diameterMm, USUAL_PART.floatMgPerMm3)

/** How long a part is along the rig, mm: what is tied or pinched on has no length. */
export const lengthOf = (part: RigPart): number =>
  part.kind === 'line' || part.kind === 'leader' || part.kind === 'tippet' ? part.lengthMm : 0

/** Flies of a rig, from the rod to the point; null where none is chosen yet. */
export const fliesOnRig = (parts: readonly RigPart[]): readonly (string | null)[] =>
  parts.flatMap((part) =>
    part.kind === 'dropper' || part.kind === 'dry' || part.kind === 'point' ? [part.fly] : [],
  )

/** A rig with another fly on its point; null for one that has no point. */
export const withPoint = (parts: readonly RigPart[], fly: string): readonly RigPart[] | null =>
  parts.some(({ kind }) => kind === 'point')
    ? parts.map((part) => (part.kind === 'point' ? { ...part, fly } : part))
    : null

/** How long the leader with its tippet is, mm: from the line to the point, without droppers. */
export const leaderOf = (parts: readonly RigPart[]): number =>
  parts.reduce((sum, part) => sum + (part.kind === 'line' ? 0 : lengthOf(part)), 0)

/** No piece is tied shorter, mm. */
const LEAST_PIECE_MM = 40

/** The shortest that a rig can be set to, mm: its first piece below the float takes what is changed. */
export function leastSetting(parts: readonly RigPart[]): number {
  const at = parts.findIndex(({ kind }) => kind === 'float' || kind === 'dry')
  const first = parts.slice(at + 1).find((part) => lengthOf(part) > 0)
  return (settingOf(parts) ?? 0) - (first ? lengthOf(first) : 0) + LEAST_PIECE_MM
}

/** A rig whose piece below its float is longer or shorter, so that it is set to a length; null where that piece cannot be. */
export function withSetting(parts: readonly RigPart[], settingMm: number): readonly RigPart[] | null {
  const at = parts.findIndex(({ kind }) => kind === 'float' || kind === 'dry')
  const first = parts.findIndex((part, i) => i > at && lengthOf(part) > 0)
  const piece = parts[first]
  const now = settingOf(parts)
  if (at < 0 || now === null || !piece || !('lengthMm' in piece)) return null
  const lengthMm = piece.lengthMm + settingMm - now
  if (lengthMm < LEAST_PIECE_MM) return null
  return parts.map((part, i) => (i === first ? { ...piece, lengthMm } : part))
}

/** How far apart the carrier and the point are along the leader, mm: what an indicator is set to. Null where nothing carries it. */
export function settingOf(parts: readonly RigPart[]): number | null {
  const at = parts.findIndex(({ kind }) => kind === 'float' || kind === 'dry')
  return at < 0 ? null : parts.slice(at + 1).reduce((sum, part) => sum + lengthOf(part), 0)
}
