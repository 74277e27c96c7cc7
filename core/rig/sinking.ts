import type { WaterProperties } from '../water/index.ts'
import { depthOf, laid, netOf, NODES, placeOf, pulled, step, STEP_S } from './engine/index.ts'
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
}

/** A line at one moment of its way down. */
export interface LineFrame extends Lay {
  readonly timeS: number
  readonly lineEnd: Plane
  /** how far the lowest part of the fly line hangs below its end, mm */
  readonly bellyMm: number
}

const AS_RECKONED = { across: 1, along: 1 }

const stillAround = ({ water, bedMm, lineOff = AS_RECKONED }: StillCast): Around => ({
  water,
  current: () => 0,
  bedMm,
  lineOff,
})

/** A rig as it lies when it was cast straight. */
export const castStraight = ({ rig, nodes = NODES.usual }: StillCast): Motion =>
  laid(netOf(rig, nodes), [0, 0], [{ lengthMm: 1, toward: [1, 0] }])

const planeAt = (motion: Motion, node: number): Plane => {
  const [xMm = 0, zMm = 0] = placeOf(motion, node)
  return { xMm, zMm }
}

/** How a rig lies now. */
export function layOf(motion: Motion): Lay {
  const flies: Plane[] = []
  for (const { node, fly } of motion.net.bodies) flies[fly] = planeAt(motion, node)
  return { points: motion.net.along.map((node) => planeAt(motion, node)), flies }
}

function frameOf(motion: Motion, timeS: number): LineFrame {
  const { net } = motion
  const { points, flies } = layOf(motion)
  const lineEnd = planeAt(motion, net.lineEnd)
  const lowestMm = Math.max(...points.slice(0, net.along.indexOf(net.lineEnd) + 1).map(({ zMm }) => zMm))
  return { timeS, points, flies, lineEnd, bellyMm: Math.max(lowestMm - lineEnd.zMm, 0) }
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
function stepOn(
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

/** Two depths between which a fly is wanted, mm. */
export interface Between {
  readonly fromMm: number
  readonly toMm: number
}

/** A count and a retrieve, and how well they keep a fly where it is wanted. */
export interface KeptThere {
  readonly countS: number
  readonly retrieve: Retrieve
  /** seconds between the two depths, and of the whole cast until the line is in or a minute is over */
  readonly inBandS: number
  readonly wholeS: number
}

/** Retrieves are compared with a coarser step: their order is what is asked. The best is reckoned again. */
const COMPARING_S = 0.4
const LONGEST_RETRIEVE_S = 40
/** Line that is left outside when a cast is over, mm. */
const LEFT_OUT_MM = 3000

const wholeMm = ({ net }: Motion) => net.segments.reduce((sum, { restMm }) => sum + restMm, 0)

/** How long a fly stays between two depths from a moment on. */
function keptFrom(motion: Motion, around: Around, retrieve: Retrieve, fly: number, band: Between, h: number) {
  let now = motion
  let inBandS = 0
  let afterS = 0
  const nodeOf = () => now.net.bodies.find((one) => one.fly === fly)?.node ?? now.net.nodes - 1
  while (afterS < LONGEST_RETRIEVE_S && wholeMm(now) > LEFT_OUT_MM) {
    now = stepOn(now, around, afterS, h, 0, retrieve)
    afterS += h
    const depth = depthOf(now, nodeOf())
    if (depth >= band.fromMm && depth <= band.toMm) inBandS += h
  }
  return { inBandS, afterS }
}

/**
 * The count and the retrieve that keep a fly longest between two depths, as share of the cast: one way down, whose states
 * are kept at each count, and every retrieve from each. Yields the best so far.
 *
 * @param counts s, growing
 */
export function* bestRetrieve(
  cast: StillCast,
  fly: number,
  band: Between,
  counts: readonly number[],
  retrieves: readonly Retrieve[],
): Generator<{ readonly done: number; readonly best: KeptThere | null }, KeptThere | null> {
  const around = stillAround(cast)
  let motion = castStraight(cast)
  let [atS, best, tried, from] = [0, null as KeptThere | null, 0, motion]
  const share = ({ inBandS, wholeS }: KeptThere) => inBandS / wholeS
  for (const countS of counts) {
    for (; atS < countS - 1e-6; atS += STEP_S) motion = step(motion, around, STEP_S)
    for (const retrieve of retrieves) {
      const { inBandS, afterS } = keptFrom(motion, around, retrieve, fly, band, COMPARING_S)
      const kept = { countS, retrieve, inBandS, wholeS: countS + afterS }
      if (inBandS > 0 && (best === null || share(kept) > share(best))) [best, from] = [kept, motion]
      tried += 1
      yield { done: tried / (counts.length * retrieves.length), best }
    }
  }
  if (best === null) return null
  const { countS, retrieve } = best
  const { inBandS, afterS } = keptFrom(from, around, retrieve, fly, band, STEP_S)
  return { countS, retrieve, inBandS, wholeS: countS + afterS }
}
