import { GRAVITY_MM_PER_S2 } from '../../water/index.ts'
import { submergedMgPerMm } from '../line.ts'
import { addTo } from './band.ts'
import type { Band } from './band.ts'
import { gripsIn, wetShare, wetSlope } from './forces.ts'
import type { Around } from './forces.ts'
import type { Motion } from './motion.ts'
import type { Bend, Net } from './net.ts'

/** Stiffness of a line against being stretched, mg: high enough that it stays within a ten-thousandth of its length. */
export const STRETCH_MG = 1e13 / GRAVITY_MM_PER_S2
const FLOOR_MG_PER_MM = 1e4
const PINNED = 1e16
/** Where along a segment the water is asked, and how much that counts: Simpson's rule. */
const ASKED = [
  { t: 0, share: 1 / 6 },
  { t: 0.5, share: 2 / 3 },
  { t: 1, share: 1 / 6 },
] as const

/** What of a step does not change while it is solved. */
export interface Prepared {
  readonly motion: Motion
  readonly around: Around
  readonly h: number
  /** out of the water, and what the water bears, mg a node */
  readonly dryMg: Float64Array
  readonly borneMg: Float64Array
  /** at three points of each segment: how much is wet, mm, and how fast the water runs, mm/s */
  readonly wetMm: Float64Array
  readonly runs: Float64Array
  readonly band: Band
  /** what bending alone makes of it */
  readonly bending: Band
  readonly right: Float64Array
  readonly tangents: Float64Array
  readonly tension: Float64Array
}

/** What each node carries: half of its segments, and its bodies. */
export function weighNodes(net: Net, around: Around): { dryMg: Float64Array; borneMg: Float64Array } {
  const [dryMg, borneMg] = [new Float64Array(net.nodes), new Float64Array(net.nodes)]
  for (const {
    a,
    b,
    restMm,
    stretch: { piece },
  } of net.segments) {
    const dry = ((Math.PI / 4) * piece.diameterMm ** 2 * piece.densityMgPerMm3 * restMm) / 2
    const borne = dry - (submergedMgPerMm(piece, around.water) * restMm) / 2
    for (const node of [a, b]) {
      dryMg[node]! += dry
      borneMg[node]! += borne
    }
  }
  for (const { node, body } of net.bodies) {
    dryMg[node]! += body.massMg
    borneMg[node]! += body.massMg - body.submergedMg
  }
  return { dryMg, borneMg }
}

/** Adds a symmetric block to the matrix between two nodes, or to one's own; of mirrored ones the lower is kept. */
function addBlock({ band, motion: { dims } }: Prepared, low: number, high: number, block: Float64Array): void {
  for (let r = 0; r < dims; r += 1)
    for (let c = 0; c < dims; c += 1) addTo(band, high * dims + r, low * dims + c, block[r * dims + c]!)
}

const relative = new Float64Array(3)
const unit = new Float64Array(3)
const block = new Float64Array(9)
const [ofA, ofB, ofBoth] = [new Float64Array(9), new Float64Array(9), new Float64Array(9)]

/** Tangents of the segments in the middle of the step, unless they are to stay as they are. */
export function turnTangents({ motion: { net, dims, at }, tangents }: Prepared, next: Float64Array): void {
  net.segments.forEach(({ a, b }, s) => {
    let length = 0
    for (let d = 0; d < dims; d += 1) {
      const along = at[b * dims + d]! + next[b * dims + d]! - at[a * dims + d]! - next[a * dims + d]!
      tangents[s * dims + d] = along
      length += along ** 2
    }
    length = Math.sqrt(length)
    if (length > 1e-9) for (let d = 0; d < dims; d += 1) tangents[s * dims + d]! /= length
  })
}

/** What the water is at the three points of each segment, as it lies: how much of it is wet, mm, and how fast it runs. */
export function askWater({ net, dims, at }: Motion, around: Around): Pick<Prepared, 'wetMm' | 'runs'> {
  const wetMm = new Float64Array(net.segments.length * ASKED.length)
  const runs = new Float64Array(wetMm.length)
  const [depth, isSpace] = [dims - 1, dims === 3]
  for (let s = 0; s < net.segments.length; s += 1) {
    const { a, b, restMm } = net.segments[s]!
    for (let k = 0; k < ASKED.length; k += 1) {
      const { t, share } = ASKED[k]!
      const z = (1 - t) * at[a * dims + depth]! + t * at[b * dims + depth]!
      const across = isSpace ? (1 - t) * at[a * dims + 1]! + t * at[b * dims + 1]! : 0
      wetMm[s * ASKED.length + k] = wetShare(z) * share * restMm
      runs[s * ASKED.length + k] = around.current(Math.max(z, 0), across)
    }
  }
  return { wetMm, runs }
}

/** Drag of the segments, at three points of each: across and along its tangent. */
function addLineDrag(prepared: Prepared, next: Float64Array): void {
  const { motion, around, h, right, tangents, wetMm, runs } = prepared
  const { net, dims, at } = motion
  const grips = gripsIn(around)
  for (let s = 0; s < net.segments.length; s += 1) {
    const { a, b, stretch } = net.segments[s]!
    const sideways = grips.across(stretch)
    const lengthways = grips.along(stretch)
    ofA.fill(0)
    ofB.fill(0)
    ofBoth.fill(0)
    for (let k = 0; k < ASKED.length; k += 1) {
      const { t } = ASKED[k]!
      const wet = wetMm[s * ASKED.length + k]!
      if (wet <= 0) continue
      let along = 0
      for (let d = 0; d < dims; d += 1) {
        const from = (1 - t) * (next[a * dims + d]! - at[a * dims + d]!)
        const to = t * (next[b * dims + d]! - at[b * dims + d]!)
        relative[d] = (from + to) / h - (d === 0 ? runs[s * ASKED.length + k]! : 0)
        along += relative[d]! * tangents[s * dims + d]!
      }
      let across = 0
      for (let d = 0; d < dims; d += 1) {
        unit[d] = relative[d]! - along * tangents[s * dims + d]!
        across += unit[d]! ** 2
      }
      across = Math.sqrt(across)
      sideways.ask(across)
      lengthways.ask(Math.abs(along))
      const axial = lengthways.perSpeed
      const { perSpeed } = sideways
      const steeper = across > 1e-9 ? (sideways.slope - perSpeed) / across ** 2 : 0
      for (let r = 0; r < dims; r += 1) {
        const tr = tangents[s * dims + r]!
        const force = wet * (perSpeed * unit[r]! + axial * along * tr)
        right[a * dims + r]! -= (1 - t) * force
        right[b * dims + r]! -= t * force
        for (let c = 0; c <= r; c += 1) {
          const crosswise = (r === c ? 1 : 0) - tr * tangents[s * dims + c]!
          const bends =
            (wet / h) *
            (perSpeed * crosswise + steeper * unit[r]! * unit[c]! + axial * tr * tangents[s * dims + c]!)
          ofA[r * dims + c]! += (1 - t) ** 2 * bends
          ofB[r * dims + c]! += t ** 2 * bends
          ofBoth[r * dims + c]! += t * (1 - t) * bends
        }
      }
    }
    mirror(ofBoth, dims)
    addBlock(prepared, a, a, ofA)
    addBlock(prepared, b, b, ofB)
    addBlock(prepared, a, b, ofBoth)
  }
}

/** Fills the upper half of a block from its lower one. */
function mirror(half: Float64Array, dims: number): void {
  for (let r = 0; r < dims; r += 1) for (let c = 0; c < r; c += 1) half[c * dims + r] = half[r * dims + c]!
}

/** Drag and inertia of flies, and inertia of the line with the water that goes across with it. */
function addBodies(prepared: Prepared, next: Float64Array): void {
  const { motion, around, h, right } = prepared
  const { net, dims, at, speed } = motion
  const depth = dims - 1
  const grips = gripsIn(around)
  for (const { node, body } of net.bodies) {
    const wet = wetShare(at[node * dims + depth]!)
    const across = dims === 3 ? at[node * dims + 1]! : 0
    const runs = around.current(Math.max(at[node * dims + depth]!, 0), across)
    let all = 0
    for (let d = 0; d < dims; d += 1) {
      const moved = (next[node * dims + d]! - at[node * dims + d]!) / h
      relative[d] = moved - (d === 0 ? runs : 0)
      all += relative[d]! ** 2
      right[node * dims + d]! -= (body.inertiaMg / GRAVITY_MM_PER_S2 / h) * (moved - speed[node * dims + d]!)
    }
    all = Math.sqrt(all)
    const grip = grips.body(body)
    grip.ask(all)
    for (let r = 0; r < dims; r += 1) {
      right[node * dims + r]! -= wet * grip.perSpeed * relative[r]!
      for (let c = 0; c < dims; c += 1) {
        const same = r === c ? 1 : 0
        const direction = all > 1e-9 ? (relative[r]! * relative[c]!) / all ** 2 : 0
        block[r * dims + c] =
          (wet / h) * (grip.perSpeed * same + (grip.slope - grip.perSpeed) * direction) +
          (same * body.inertiaMg) / GRAVITY_MM_PER_S2 / h ** 2
      }
    }
    addBlock(prepared, node, node, block)
  }
}

function addLineInertia(prepared: Prepared, next: Float64Array): void {
  const { motion, around, h, right, tangents } = prepared
  const { net, dims, at, speed } = motion
  const depth = dims - 1
  net.segments.forEach(({ a, b, restMm, stretch: { piece } }, s) => {
    const sectionMm3 = ((Math.PI / 4) * piece.diameterMm ** 2 * restMm) / 2
    const own = (sectionMm3 * piece.densityMgPerMm3) / GRAVITY_MM_PER_S2
    for (const node of [a, b]) {
      const water =
        (sectionMm3 * around.water.densityMgPerMm3 * wetShare(at[node * dims + depth]!)) / GRAVITY_MM_PER_S2
      for (let r = 0; r < dims; r += 1) {
        for (let c = 0; c < dims; c += 1) {
          const same = r === c ? 1 : 0
          const mass = own * same + water * (same - tangents[s * dims + r]! * tangents[s * dims + c]!)
          const gained = (next[node * dims + c]! - at[node * dims + c]!) / h - speed[node * dims + c]!
          right[node * dims + r]! -= (mass * gained) / h
          block[r * dims + c] = mass / h ** 2
        }
      }
      addBlock(prepared, node, node, block)
    }
  })
}

/** Weight less what the water bears, and the bed. */
function addWeight({ motion, around, right, band, dryMg, borneMg }: Prepared, next: Float64Array): void {
  const { net, dims } = motion
  for (let node = 0; node < net.nodes; node += 1) {
    const row = node * dims + dims - 1
    const z = next[row]!
    right[row]! += dryMg[node]! - borneMg[node]! * wetShare(z)
    addTo(band, row, row, borneMg[node]! * wetSlope(z))
    if (around.bedMm !== null && z > around.bedMm) {
      right[row]! -= FLOOR_MG_PER_MM * (z - around.bedMm)
      addTo(band, row, row, FLOOR_MG_PER_MM)
    }
  }
}

/** By how much a bend grows with the place of its three nodes, 1/mm. */
function bendFactors({ segments }: Net, { before, after }: Bend): readonly [number, number, number] {
  const [one, two] = [segments[before]!.restMm, segments[after]!.restMm]
  return [1 / one, -1 / one - 1 / two, 1 / two]
}

const bendTimes = ({ segments }: Net, { before, after, stiffnessMgMm2 }: Bend): number =>
  (2 * stiffnessMgMm2) / (segments[before]!.restMm + segments[after]!.restMm)

/** How bending bends the whole: it stays the same through a step. */
export function bendingBand(net: Net, dims: number, band: Band): void {
  for (const bend of net.bends) {
    const [factors, times] = [bendFactors(net, bend), bendTimes(net, bend)]
    const nodes = [bend.a, bend.b, bend.c]
    for (let d = 0; d < dims; d += 1)
      for (let i = 0; i < 3; i += 1)
        for (let j = 0; j <= i; j += 1)
          addTo(band, nodes[i]! * dims + d, nodes[j]! * dims + d, times * factors[i]! * factors[j]!)
  }
}

/** What line resists to being bent. */
function addBending({ motion: { net, dims }, right }: Prepared, next: Float64Array): void {
  for (const bend of net.bends) {
    const { a, b, c } = bend
    const [fa, fb, fc] = bendFactors(net, bend)
    const times = bendTimes(net, bend)
    for (let d = 0; d < dims; d += 1) {
      const bent = times * (fa * next[a * dims + d]! + fb * next[b * dims + d]! + fc * next[c * dims + d]!)
      right[a * dims + d]! -= fa * bent
      right[b * dims + d]! -= fb * bent
      right[c * dims + d]! -= fc * bent
    }
  }
}

/** A line is a rope: what is drawn beyond its length is drawn back, and its pull turns with it. */
function addRope(prepared: Prepared, next: Float64Array): void {
  const { motion, right, tension } = prepared
  const { net, dims } = motion
  net.segments.forEach(({ a, b, restMm }, s) => {
    let length = 0
    for (let d = 0; d < dims; d += 1) {
      unit[d] = next[b * dims + d]! - next[a * dims + d]!
      length += unit[d]! ** 2
    }
    length = Math.sqrt(length) || 1e-9
    const isTaut = tension[s]! > 0 || length > restMm
    if (!isTaut) return
    const stiff = STRETCH_MG / restMm
    const pull = stiff * (length - restMm)
    for (let r = 0; r < dims; r += 1) {
      const ur = unit[r]! / length
      right[a * dims + r]! += pull * ur
      right[b * dims + r]! -= pull * ur
      for (let c = 0; c < dims; c += 1) {
        const both = (ur * unit[c]!) / length
        block[r * dims + c] = stiff * both + (tension[s]! / length) * ((r === c ? 1 : 0) - both)
      }
    }
    addBlock(prepared, a, a, block)
    addBlock(prepared, b, b, block)
    for (let k = 0; k < dims * dims; k += 1) block[k] = -block[k]!
    addBlock(prepared, a, b, block)
  })
}

/** Holds what is held: its rows become so heavy that they do not move. */
function pin({ motion: { held, afloat, dims }, band, right }: Prepared): void {
  const fix = (row: number) => {
    right[row] = 0
    addTo(band, row, row, PINNED)
  }
  for (const node of held) for (let d = 0; d < dims; d += 1) fix(node * dims + d)
  for (const node of afloat) fix(node * dims + dims - 1)
}

/** The slope of all together at a place, and how it bends: what one step of Newton's needs. */
export function assemble(prepared: Prepared, next: Float64Array): void {
  prepared.band.cells.set(prepared.bending.cells)
  prepared.right.fill(0)
  addLineDrag(prepared, next)
  addLineInertia(prepared, next)
  addBodies(prepared, next)
  addWeight(prepared, next)
  addBending(prepared, next)
  addRope(prepared, next)
  pin(prepared)
}
