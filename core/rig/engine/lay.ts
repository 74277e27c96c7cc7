import type { Net } from './net.ts'
import type { Motion } from './motion.ts'

/** A way that a line is laid: over so much of it, in a direction, which need not have length one. */
export interface Leg {
  readonly lengthMm: number
  /** 2 or 3 parts: downstream, across, down */
  readonly toward: readonly number[]
}

/**
 * A rig laid out in legs from where it is held, at rest; beyond the last leg it goes on as that does. A dropper lies along
 * its line.
 *
 * @param from where its upper end is held: 2 or 3 parts, depth last
 */
export function laid(net: Net, from: readonly number[], legs: readonly Leg[]): Motion {
  const dims = from.length === 3 ? 3 : 2
  const at = new Float64Array(net.nodes * dims)
  const gone = new Float64Array(net.nodes)
  at.set(from)
  const turns = legs.map(({ lengthMm, toward }) => {
    const length = Math.hypot(...toward) || 1
    return { lengthMm, toward: toward.map((part) => part / length) }
  })
  for (const { a, b, restMm } of net.segments) {
    gone[b] = gone[a]! + restMm
    let [leftMm, startMm] = [restMm, gone[a]!]
    for (let d = 0; d < dims; d += 1) at[b * dims + d] = at[a * dims + d]!
    let endMm = 0
    turns.forEach(({ lengthMm, toward }, i) => {
      endMm = i === turns.length - 1 ? Infinity : endMm + lengthMm
      const partMm = Math.min(leftMm, Math.max(endMm - startMm, 0))
      for (let d = 0; d < dims; d += 1) at[b * dims + d]! += partMm * (toward[d] ?? 0)
      leftMm -= partMm
      startMm += partMm
    })
  }
  return {
    net,
    dims,
    at,
    speed: new Float64Array(net.nodes * dims),
    tension: new Float64Array(net.segments.length),
    held: new Set([0]),
    afloat: new Set(),
  }
}
