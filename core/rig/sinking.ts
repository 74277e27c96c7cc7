import type { WaterProperties } from '../water/index.ts'
import { laid, netOf, NODES, placeOf, pulled, step, STEP_S } from './engine/index.ts'
import type { Around, Motion, RigLine } from './engine/index.ts'
import type { Plane } from './shoot.ts'

/** How line is drawn in: strips of a length at a speed, with pauses; without pauses it is pulled evenly. */
export interface Retrieve {
  readonly mmPerS: number
  readonly stripMm: number
  readonly pauseS: number
}

/** A rig that was cast straight over still water, its upper end held at the surface. */
export interface StillCast {
  readonly rig: RigLine
  readonly water: WaterProperties
  /** depth of the bed, mm; null where nothing reaches it */
  readonly bedMm: number | null
  readonly lineOff?: Around['lineOff']
  /** nodes of the line: forty for a look, eighty to be exact */
  readonly nodes?: number
}

/** How a rig lies: the line from where it is held to the point, and the flies in the order of the rig. */
export interface Lay {
  readonly points: readonly Plane[]
  readonly flies: readonly Plane[]
  /** where the side line of each fly is tied; of one on the leader the fly itself */
  readonly knots: readonly Plane[]
}

/** A line at one moment of its way down. */
export interface LineFrame extends Lay {
  readonly timeS: number
  readonly lineEnd: Plane
  /** how far the lowest part of the fly line hangs below its end, mm */
  readonly bellyMm: number
}

const AS_RECKONED = { across: 1, along: 1 }

/** Still water round a cast, with what of its line is otherwise. */
export const stillAround = ({ water, bedMm, lineOff = AS_RECKONED }: StillCast): Around => ({
  water,
  current: () => 0,
  bedMm,
  lineOff,
})

/** A rig as it lies when it was cast straight. */
export const castStraight = ({ rig, nodes = NODES.usual }: StillCast): Motion =>
  laid(netOf(rig, nodes), [0, 0], [{ lengthMm: 1, toward: [1, 0] }])

/** Where a node is in the plane of the current; of what swings, how far from the rod. */
const planeAt = (motion: Motion, node: number): Plane => {
  const place = placeOf(motion, node)
  const [x = 0, y = 0] = place
  return { xMm: motion.dims === 3 ? Math.hypot(x, y) : x, zMm: place.at(-1) ?? 0 }
}

/** How a rig lies now. */
export function layOf(motion: Motion): Lay {
  const { along, bodies, segments } = motion.net
  const flies: Plane[] = []
  const knots: Plane[] = []
  for (const { node, fly } of bodies) {
    const side = along.includes(node) ? undefined : segments.find(({ b }) => b === node)
    flies[fly] = planeAt(motion, node)
    knots[fly] = planeAt(motion, side?.a ?? node)
  }
  return { points: along.map((node) => planeAt(motion, node)), flies, knots }
}

function frameOf(motion: Motion, timeS: number): LineFrame {
  const { net } = motion
  const lay = layOf(motion)
  const { points } = lay
  const lineEnd = planeAt(motion, net.lineEnd)
  const lowestMm = Math.max(...points.slice(0, net.along.indexOf(net.lineEnd) + 1).map(({ zMm }) => zMm))
  return { timeS, ...lay, lineEnd, bellyMm: Math.max(lowestMm - lineEnd.zMm, 0) }
}

/** How much line was drawn in after so long, mm. */
export function drawnMm({ mmPerS, stripMm, pauseS }: Retrieve, afterS: number): number {
  if (afterS <= 0 || mmPerS <= 0) return 0
  if (pauseS <= 0) return mmPerS * afterS
  const pullS = stripMm / mmPerS
  const cycles = Math.floor(afterS / (pullS + pauseS))
  const intoS = afterS - cycles * (pullS + pauseS)
  return stripMm * cycles + mmPerS * Math.min(intoS, pullS)
}

/** A step of a cast that is let sink until its count is up, and then retrieved. */
export function stepOn(
  motion: Motion,
  around: Around,
  fromS: number,
  h: number,
  countS: number,
  retrieve: Retrieve | null,
) {
  const drawn = retrieve ? drawnMm(retrieve, fromS + h - countS) - drawnMm(retrieve, fromS - countS) : 0
  return drawn > 0 ? pulled(motion, around, h, drawn / h) : step(motion, around, h)
}

/** What a cast does: how long it is counted down, how it is retrieved then, and until when it is looked at. */
export interface Counted {
  readonly countS: number
  readonly retrieve: Retrieve | null
  readonly untilS: number
}

/** A cast on its way down and home, a frame a second. */
export function* sink(cast: StillCast, { countS, retrieve, untilS }: Counted): Generator<LineFrame, void> {
  const around = stillAround(cast)
  let motion = castStraight(cast)
  const steps = Math.round(untilS / STEP_S)
  const aSecond = Math.round(1 / STEP_S)
  yield frameOf(motion, 0)
  for (let i = 0; i < steps; i += 1) {
    motion = stepOn(motion, around, i * STEP_S, STEP_S, countS, retrieve)
    if ((i + 1) % aSecond === 0) yield frameOf(motion, (i + 1) * STEP_S)
  }
}

/** How deep each fly is after a count, mm, in the order of the rig. */
export function depthsAfter(cast: StillCast, countS: number): readonly number[] {
  let last: LineFrame | null = null
  for (const frame of sink(cast, { countS, retrieve: null, untilS: Math.round(countS) })) last = frame
  return last?.flies.map(({ zMm }) => zMm) ?? []
}

/** The longest that anybody counts, s. */
const LONGEST_COUNT_S = 120

/** The count after which a fly is at a depth, s; null where two minutes do not bring it there. */
export function countTo(cast: StillCast, fly: number, depthMm: number): number | null {
  let before: LineFrame | null = null
  for (const frame of sink(cast, { countS: LONGEST_COUNT_S, retrieve: null, untilS: LONGEST_COUNT_S })) {
    const [now, then] = [frame.flies[fly]?.zMm ?? 0, before?.flies[fly]?.zMm ?? 0]
    if (now >= depthMm) return before ? before.timeS + (depthMm - then) / Math.max(now - then, 1e-9) : 0
    before = frame
  }
  return null
}
