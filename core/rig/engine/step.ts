import { askWater, assemble, bendingBand, STRETCH_MG, turnTangents, weighNodes } from './assemble.ts'
import type { Prepared } from './assemble.ts'
import { emptyBand, solveBand } from './band.ts'
import type { Around } from './forces.ts'
import type { Motion } from './motion.ts'
import type { Net } from './net.ts'

const WITHIN_MM = 2e-4
/** Tries, and so many more a segment: a line that is jerked grows taut a segment a try. */
const MOST_TRIES = { all: 40, aSegment: 2 }
/** Tries with the tangents of the middle of the step, before they are held. */
const TURNING_TRIES = 4
/** A try that brings less than so much of what its share of a step should is followed by a shorter one. */
const CALMING = { wanted: 0.4, shorten: 0.7, least: 0.25 }
const MOST_HALVINGS = 8

/** Half the bandwidth: how far apart the numbers are of nodes that know of each other. */
function reach({ segments, bends }: Net): number {
  const apart = [...segments.map(({ a, b }) => b - a), ...bends.map(({ a, c }) => c - a)]
  return Math.max(1, ...apart)
}

/** The pull in each segment after a move. */
function pullAfter({ motion: { net, dims }, tension }: Prepared, next: Float64Array, move: Float64Array): void {
  net.segments.forEach(({ a, b, restMm }, s) => {
    let [length, along] = [0, 0]
    for (let d = 0; d < dims; d += 1) {
      const delta = next[b * dims + d]! - next[a * dims + d]!
      length += delta ** 2
      along += delta * (move[b * dims + d]! - move[a * dims + d]!)
    }
    length = Math.sqrt(length) || 1e-9
    tension[s] = Math.max(0, (STRETCH_MG / restMm) * (length - restMm + along / length))
  })
}

/** Finds where the nodes are after a step; false where it was not found in so many tries. */
function solve(prepared: Prepared, next: Float64Array): boolean {
  const { band, right } = prepared
  let [last, share] = [Infinity, 1]
  const most = MOST_TRIES.all + MOST_TRIES.aSegment * prepared.motion.net.segments.length
  for (let i = 0; i < most; i += 1) {
    if (i < TURNING_TRIES) turnTangents(prepared, next)
    assemble(prepared, next)
    solveBand(band, right)
    let largest = 0
    for (const move of right) largest = Math.max(largest, Math.abs(move))
    if (!Number.isFinite(largest)) return false
    share =
      largest > (1 - CALMING.wanted * share) * last
        ? Math.max(share * CALMING.shorten, CALMING.least)
        : Math.min(share / CALMING.shorten, 1)
    pullAfter(prepared, next, right)
    for (let k = 0; k < next.length; k += 1) next[k]! += share * right[k]!
    if (largest < WITHIN_MM) return true
    last = largest
  }
  return false
}

/**
 * A step of a rig: the places that make drag, inertia, weight and bending least together, with no segment longer than it
 * is. All of it is convex, so that there is one answer, however long the step; where it is not found, two half steps are.
 *
 * @param h seconds
 * @throws where no step however short is found, which no rig of the schema has
 */
export function step(motion: Motion, around: Around, h: number, halvings = 0): Motion {
  const { net, dims, at, speed } = motion
  const next = at.map((value, i) => value + h * speed[i]!)
  for (const node of motion.held) for (let d = 0; d < dims; d += 1) next[node * dims + d] = at[node * dims + d]!
  for (const node of motion.afloat) next[node * dims + dims - 1] = at[node * dims + dims - 1]!
  const size = net.nodes * dims
  const width = (reach(net) + 1) * dims - 1
  const prepared: Prepared = {
    motion,
    around,
    h,
    ...weighNodes(net, around),
    ...askWater(motion, around),
    band: emptyBand(size, width),
    bending: emptyBand(size, width),
    right: new Float64Array(size),
    tangents: new Float64Array(net.segments.length * dims),
    tension: motion.tension.slice(),
  }
  bendingBand(net, dims, prepared.bending)
  if (!solve(prepared, next)) {
    if (halvings >= MOST_HALVINGS) throw new RangeError('A rig that cannot be reckoned.')
    return step(step(motion, around, h / 2, halvings + 1), around, h / 2, halvings + 1)
  }
  return {
    ...motion,
    at: next,
    speed: next.map((value, i) => (value - at[i]!) / h),
    tension: prepared.tension,
  }
}
