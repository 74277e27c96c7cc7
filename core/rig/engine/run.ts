import { submergedMgPerMm } from '../line.ts'
import { wetShare } from './forces.ts'
import type { Around } from './forces.ts'
import type { Net } from './net.ts'
import { step } from './step.ts'
import type { Motion } from './motion.ts'

/** The usual step of a rig that moves, s. */
export const STEP_S = 0.1
/** Steps with which it is let settle, and for how long: a long one soon ends where nothing changes, a short one where a long one swings about its place. */
const SETTLING = [
  { h: 1, forS: 60 },
  { h: 0.2, forS: 40 },
] as const
const SETTLED_MM_PER_S = 0.05

/** What lies on the bed may roll along it for minutes: after so long it is taken as lying there, s. */
const ROLLS_AFTER_S = 15
const TOUCHES_MM = 1

/** Whether something that hangs from a rig touches the bed. */
export const isOnBed = ({ net, at, dims }: Motion, { bedMm }: Around): boolean =>
  bedMm !== null && net.bodies.some(({ node }) => at[node * dims + dims - 1]! > bedMm - TOUCHES_MM)

/**
 * A rig let be until nothing of it moves any more, but what drifts as one, or until what hangs from it lies on the bed;
 * null where neither comes.
 */
export function settle(from: Motion, around: Around): Motion | null {
  let motion = from
  let afterS = 0
  for (const { h, forS } of SETTLING)
    for (let s = 0; s < forS; s += h) {
      const before = motion
      motion = step(motion, around, h)
      const changed = motion.speed.reduce((most, v, i) => Math.max(most, Math.abs(v - before.speed[i]!)), 0)
      afterS += h
      if (changed < SETTLED_MM_PER_S * h) return motion
      if (afterS >= ROLLS_AFTER_S && isOnBed(motion, around)) return motion
    }
  return null
}

/** How little is left of a segment, of the next one's length, when the two become one. */
const LEFT = 0.05

/** Whether the first two segments can become one: no dropper is tied between them, and they are not all there is. */
const canShorten = ({ segments }: Net): boolean =>
  segments.length > 2 && segments[1]?.a === 1 && segments[1].b === 2

/** A rig whose first two segments have become one: no line is lost, and nothing moves. */
function joined(motion: Motion): Motion {
  const { net, dims } = motion
  const [first, second, ...others] = net.segments
  if (!first || !second) return motion
  const whole = { ...second, a: 0, b: 1, restMm: first.restMm + second.restMm }
  const shifted: Net = {
    nodes: net.nodes - 1,
    segments: [whole, ...others.map((segment) => ({ ...segment, a: segment.a - 1, b: segment.b - 1 }))],
    bends: net.bends
      .filter(({ before }) => before > 0)
      .map((bend) => ({
        ...bend,
        a: Math.max(bend.a - 1, 0),
        b: bend.b - 1,
        c: bend.c - 1,
        before: bend.before - 1,
        after: bend.after - 1,
      })),
    bodies: net.bodies.map((one) => ({ ...one, node: one.node - 1 })),
    lineEnd: Math.max(net.lineEnd - 1, 0),
    along: net.along.slice(1).map((node) => node - 1),
  }
  const without = (values: Float64Array) =>
    Float64Array.from(values.filter((_, i) => i < dims || i >= 2 * dims))
  return {
    ...motion,
    net: shifted,
    at: without(motion.at),
    speed: without(motion.speed),
    tension: motion.tension.slice(1),
  }
}

/** A step during which line is pulled in at the rod, mm/s; a last segment stays. */
export function pulled(from: Motion, around: Around, h: number, mmPerS: number): Motion {
  let motion = from
  for (;;) {
    const [first, second, ...others] = motion.net.segments
    if (!first || mmPerS <= 0) return step(motion, around, h)
    const restMm = first.restMm - mmPerS * h
    if (second && restMm < LEFT * second.restMm) {
      if (!canShorten(motion.net)) return step(motion, around, h)
      motion = joined(motion)
      continue
    }
    const segments = [{ ...first, restMm }, ...(second ? [second] : []), ...others]
    return step({ ...motion, net: { ...motion.net, segments } }, around, h)
  }
}

/** What holds the upper end bears, mg. */
export const holdOf = (motion: Motion, around: Around): number => Math.hypot(...pullOn(motion, around))

/** What pulls at the upper end, mg, depth last: the pull of the first segment, and the half of it that the pull does not carry yet. */
export function pullOn({ net, at, dims, tension }: Motion, around: Around): readonly number[] {
  const first = net.segments[0]
  if (!first) return []
  const toward = Array.from({ length: dims }, (_, d) => at[first.b * dims + d]! - at[first.a * dims + d]!)
  const length = Math.hypot(...toward) || 1
  const { piece } = first.stretch
  const dryMg = (Math.PI / 4) * piece.diameterMm ** 2 * piece.densityMgPerMm3
  const wet = wetShare(at[dims - 1]!)
  const halfMg = 0.5 * first.restMm * ((1 - wet) * dryMg + wet * submergedMgPerMm(piece, around.water))
  const pull = toward.map((part) => (tension[0]! * part) / length)
  return [...pull.slice(0, -1), pull.at(-1)! + halfMg]
}
