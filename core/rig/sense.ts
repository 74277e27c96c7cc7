import { lengthOf } from './parts.ts'
import type { RigPart, Stuff } from './parts.ts'
import { LEADER_MG_PER_MM3 } from './spool.ts'

/** What is asked of a fly to tell whether it sits well on its rig. */
export interface FlyOnRig {
  /** number of its hook; null where that has none */
  readonly hookSize: number | null
  /** weight in water, mg: what floats by its hackle has one too */
  readonly submergedMg: number
  readonly floats: boolean
}

/** Something of a rig that does not do what it is meant to. */
export type RigSense =
  /** a dropper is heavier than the point: the point streams up to its level */
  | { readonly kind: 'heavyDropper'; readonly dropper: number; readonly point: number }
  /** tippet at a fly, in X, against what its hook asks for, about */
  | { readonly kind: 'tooFine' | 'tooStout'; readonly fly: number; readonly x: number; readonly aboutX: number }
  /** what a leader that sinks pulls at a dry with, mg */
  | { readonly kind: 'sinksUnderDry'; readonly fly: number; readonly pullsMg: number }
  /** two pieces that differ by more than a knot takes, mm */
  | { readonly kind: 'step'; readonly fromMm: number; readonly toMm: number }
  /** nothing is tied to the end */
  | { readonly kind: 'noPoint' }

/** A third of the hook's number, one either way; only what is beyond that by half as much is told. */
const X_OF_HOOK = 1 / 3
const X_EITHER_WAY = 1.5
const X_MM = 0.0254
const THICKEST_X_MM = 11 * X_MM
/** So much heavier a dropper has to be to be told. */
const HEAVIER = 1.2
/** Pieces that differ by more are joined badly, and do not turn over; a tapered leader's tip may be a little thicker. */
const STEP_MM = 0.08

const density = (stuff: Stuff): number =>
  stuff === 'copolymer' ? LEADER_MG_PER_MM3.nylon : LEADER_MG_PER_MM3[stuff]

type Piece = Extract<RigPart, { readonly kind: 'leader' | 'tippet' }>
const isPiece = (part: RigPart): part is Piece => part.kind === 'leader' || part.kind === 'tippet'
const endOf = (piece: Piece) => (piece.kind === 'leader' ? piece.tipMm : piece.diameterMm)
const topOf = (piece: Piece) => (piece.kind === 'leader' ? piece.buttMm : piece.diameterMm)

/** The X of a thickness, and what a hook of a number asks for. */
const xOf = (diameterMm: number): number => (THICKEST_X_MM - diameterMm) / X_MM

/** Weight in water of a piece, mg, in water as heavy as water is. */
const sinksMg = (piece: Piece): number =>
  (density(piece.stuff) - 1) * (Math.PI / 4) * endOf(piece) ** 2 * lengthOf(piece)

/**
 * What of a rig does not do what it is meant to, by rules of thumb: heaviest on the point, tippet by the hook, no leader that
 * sinks at a dry, no large steps.
 *
 * @param flies in the order of the rig; null for one that is not chosen
 */
export function rigSense(parts: readonly RigPart[], flies: readonly (FlyOnRig | null)[]): readonly RigSense[] {
  const found: RigSense[] = []
  const hung: { readonly fly: number; readonly mg: number; readonly isPoint: boolean }[] = []
  let above: Piece | null = null
  let fly = -1
  for (const part of parts) {
    if (isPiece(part)) {
      const [fromMm, toMm] = [above ? endOf(above) : NaN, topOf(part)]
      if (Math.abs(fromMm - toMm) > STEP_MM) found.push({ kind: 'step', fromMm, toMm })
      above = part
    }
    if (part.kind !== 'dropper' && part.kind !== 'dry' && part.kind !== 'point') continue
    fly += 1
    const tied = flies[fly]
    if (!tied || !above) continue
    const [x, aboutX] = [xOf(endOf(above)), (tied.hookSize ?? NaN) * X_OF_HOOK]
    if (x - aboutX > X_EITHER_WAY) found.push({ kind: 'tooFine', fly, x, aboutX })
    if (aboutX - x > X_EITHER_WAY) found.push({ kind: 'tooStout', fly, x, aboutX })
    if (tied.floats && above.kind === 'tippet' && above.stuff === 'fluorocarbon')
      found.push({ kind: 'sinksUnderDry', fly, pullsMg: sinksMg(above) })
    if (part.kind !== 'dry')
      hung.push({ fly, mg: tied.floats ? 0 : tied.submergedMg, isPoint: part.kind === 'point' })
  }
  const point = hung.find(({ isPoint }) => isPoint)
  const heaviest = hung.reduce<(typeof hung)[number] | null>((a, b) => (a && a.mg >= b.mg ? a : b), null)
  if (point && heaviest && point.mg > 0 && heaviest.mg > HEAVIER * point.mg)
    found.push({ kind: 'heavyDropper', dropper: heaviest.fly, point: point.fly })
  const last = parts.findLast(({ kind }) => kind !== 'knot')
  if (last && isPiece(last)) found.push({ kind: 'noPoint' })
  return found
}
