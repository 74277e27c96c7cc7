import { depthOf, NODES, step, STEP_S } from './engine/index.ts'
import type { Around, Motion } from './engine/index.ts'
import { castStraight, drawnMm, stepOn, stillAround } from './sinking.ts'
import type { Retrieve, StillCast } from './sinking.ts'

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

/** Retrieves are compared with a coarser step and mesh: their order is what is asked. The best few are reckoned again. */
const COMPARING = { stepS: 0.4, nodes: 20 }
const RECKONED_AGAIN = 4
const LONGEST_RETRIEVE_S = 40
/** Line that is left outside when a cast is over, mm. */
const LEFT_OUT_MM = 3000

const wholeMm = ({ net }: Motion) => net.segments.reduce((sum, { restMm }) => sum + restMm, 0)
const shareOf = ({ inBandS, wholeS }: Pick<KeptThere, 'inBandS' | 'wholeS'>) => inBandS / wholeS

/** How long a retrieve lasts, s: until the line is in, or forty seconds are over. */
function lastsS(outMm: number, retrieve: Retrieve, h: number): number {
  let afterS = 0
  while (afterS < LONGEST_RETRIEVE_S && outMm - drawnMm(retrieve, afterS) > LEFT_OUT_MM) afterS += h
  return afterS
}

interface Tried {
  readonly countS: number
  readonly retrieve: Retrieve
  readonly fly: number
  readonly band: Between
  readonly h: number
  /** a share that it has to reach to be of any interest */
  readonly toBeat: number
}

/** How well a retrieve keeps a fly between two depths from a moment on; null as soon as it cannot reach what it has to. */
function keptFrom(motion: Motion, around: Around, tried: Tried): KeptThere | null {
  const { countS, retrieve, fly, band, h, toBeat } = tried
  const endS = lastsS(wholeMm(motion), retrieve, h)
  const wholeS = countS + endS
  let now = motion
  let inBandS = 0
  for (let afterS = 0; afterS < endS; afterS += h) {
    if (inBandS + endS - afterS < toBeat * wholeS) return null
    now = stepOn(now, around, afterS, h, 0, retrieve)
    const node = now.net.bodies.find((one) => one.fly === fly)?.node ?? now.net.nodes - 1
    const depth = depthOf(now, node)
    if (depth >= band.fromMm && depth <= band.toMm) inBandS += h
  }
  return inBandS > 0 ? { countS, retrieve, inBandS, wholeS } : null
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
  const { nodes = NODES.usual } = cast
  let motion = castStraight({ ...cast, nodes: Math.min(nodes, COMPARING.nodes) })
  let [atS, tried] = [0, 0]
  /** the best few, the best first */
  let few: readonly KeptThere[] = []
  for (const countS of counts) {
    for (; atS < countS - 1e-6; atS += STEP_S) motion = step(motion, around, STEP_S)
    for (const retrieve of retrieves) {
      const least = few[RECKONED_AGAIN - 1]
      const toBeat = least ? shareOf(least) : 0
      const kept = keptFrom(motion, around, { countS, retrieve, fly, band, h: COMPARING.stepS, toBeat })
      if (kept) few = [...few, kept].sort((a, b) => shareOf(b) - shareOf(a)).slice(0, RECKONED_AGAIN)
      tried += 1
      yield { done: (0.9 * tried) / (counts.length * retrieves.length), best: few[0] ?? null }
    }
  }
  return few.length > 0 ? reckonedAgain(cast, few, fly, band) : null
}

/** The best of a few, each on the whole mesh with the usual step. */
function reckonedAgain(
  cast: StillCast,
  few: readonly KeptThere[],
  fly: number,
  band: Between,
): KeptThere | null {
  const around = stillAround(cast)
  let motion = castStraight(cast)
  let atS = 0
  let best: KeptThere | null = null
  for (const { countS, retrieve } of [...few].sort((a, b) => a.countS - b.countS)) {
    for (; atS < countS - 1e-6; atS += STEP_S) motion = step(motion, around, STEP_S)
    const toBeat: number = best ? shareOf(best) : 0
    best = keptFrom(motion, around, { countS, retrieve, fly, band, h: STEP_S, toBeat }) ?? best
  }
  return best ?? few[0] ?? null
}
