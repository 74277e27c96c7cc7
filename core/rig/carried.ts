import { sum } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import type { Assembled } from './assembled.ts'
import { laid, netOf, NODES, pullOn, settle } from './engine/index.ts'
import type { Around, Motion } from './engine/index.ts'
import { ball } from './hanging.ts'
import type { Plane } from './shoot.ts'
import { layOf } from './sinking.ts'
import type { Lay } from './sinking.ts'

/** A rig that drifts under its float or dry over a run, or hangs there in still water. */
export interface Carried {
  readonly assembled: Assembled
  /** the current at a depth, mm/s, and where its bed is */
  readonly current: (depthMm: number) => number
  readonly depthMm: number
  readonly water: WaterProperties
  readonly lineOff?: Around['lineOff']
  readonly nodes?: number
}

/** How it drifts: its speed, and what hangs from what carries it. */
export interface CarriedBy extends Lay {
  readonly speedMmPerS: number
  readonly loadMg: number
  readonly holds: boolean
}

const AS_RECKONED = { across: 1, along: 1 }
/** How much of the water a leader is laid through that is let settle; at which speed, of the surface's. */
const LAID_TO = 0.9
const BEGINS_AT = 0.9
/** A float is the deeper in the water the more it carries, and is pushed by so much more: it is settled so often. */
const ROUNDS = 3

/** How a carried rig drifts in the end: the float goes free along the surface; null where it never comes to rest. */
export function drifts({ assembled, current, depthMm, water, ...rest }: Carried): CarriedBy | null {
  const { rig, carrier } = assembled
  if (!carrier) return null
  const { lineOff = AS_RECKONED, nodes = NODES.usual } = rest
  const around: Around = { water, current, bedMm: depthMm, lineOff }
  const volumeMm3 = (Math.PI / 6) * carrier.diameterMm ** 3
  const wholeBall = ball(0, carrier.diameterMm, water)
  const shareOf = (loadMg: number) =>
    Math.min((carrier.massMg + loadMg) / (water.densityMgPerMm3 * volumeMm3), 1)
  const net = netOf(rig, nodes)
  const wholeMm = sum(rig.pieces.map(({ lengthMm }) => lengthMm))
  const down = Math.min(1, (LAID_TO * depthMm) / wholeMm)
  const start = laid(net, [0, 0], [{ lengthMm: 1, toward: [-Math.sqrt(1 - down ** 2), down] }])
  const speed = Float64Array.from(start.speed, (_, i) => (i % 2 === 0 ? BEGINS_AT * current(0) : 0))
  let motion: Motion = { ...start, speed, held: new Set(), afloat: new Set([0]) }
  let loadMg = 0
  for (let round = 0; round < ROUNDS; round += 1) {
    const share = shareOf(loadMg)
    const float = {
      submergedMg: 0,
      massMg: carrier.massMg,
      inertiaMg: carrier.massMg,
      dragMg: (v: number) => share * wholeBall.dragMg(v),
    }
    const carries = { ...net, bodies: [...net.bodies, { node: 0, body: float, fly: rig.flies.length }] }
    const settled = settle({ ...motion, net: carries }, around)
    if (!settled) return null
    motion = settled
    loadMg = pullOn(motion, around).at(-1) ?? 0
  }
  const { points, flies, knots } = layOf(motion)
  // as seen from what carries it
  const floatMm = points[0]?.xMm ?? 0
  const fromFloat = ({ xMm, zMm }: Plane) => ({ xMm: xMm - floatMm, zMm })
  return {
    points: points.map(fromFloat),
    flies: flies.slice(0, rig.flies.length).map(fromFloat),
    knots: knots.slice(0, rig.flies.length).map(fromFloat),
    speedMmPerS: motion.speed[0] ?? 0,
    loadMg,
    holds: loadMg <= carrier.bearsMg,
  }
}
