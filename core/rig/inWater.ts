import { speedAtHeight } from '../drift/index.ts'
import type { Current } from '../drift/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { assembled } from './assembled.ts'
import type { LinesAre, NotAssembled, RigFly } from './assembled.ts'
import { drifts } from './carried.ts'
import type { CarriedBy } from './carried.ts'
import { NODES } from './engine/index.ts'
import type { Around } from './engine/index.ts'
import type { RigPart } from './parts.ts'
import { swing } from './swung.ts'
import { sink } from './sinking.ts'
import type { Counted, Lay } from './sinking.ts'
import { hangTight } from './tightLine.ts'
import type { HungTight } from './tightLine.ts'

/** Ways to fish a rig: under what carries it, held tight from the tip, cast over still water and counted down, or cast across a run and swung. */
export const RIG_WAYS = ['carried', 'tight', 'counted', 'swung'] as const
export type RigWay = (typeof RIG_WAYS)[number]

/** A rig in the water of a reach. */
export interface RigInWater {
  readonly parts: readonly RigPart[]
  /** in the order of the rig */
  readonly flies: readonly (RigFly | null)[]
  readonly way: RigWay
  readonly water: WaterProperties
  readonly current: Current
  readonly overBedMm: number
  /** by the note of the water; no setting beyond it is proposed */
  readonly maxLeaderMm?: number | null
  /** on a tight line */
  readonly tipHeightMm: number
  readonly ledMmPerS: number
  /** of a cast that is swung: where it is laid, 90 across the run, 0 straight down it; {@link USUAL_CAST_DEG} unless said otherwise */
  readonly castDeg?: number
  /** of a cast that is counted down: how it is retrieved then; it only sinks where this is left out */
  readonly retrieved?: Pick<Counted, 'countS' | 'retrieve'>
  /** how long a cast is looked at, s; a minute unless said otherwise */
  readonly untilS?: number
  /** what counts that were made say of the rate of its line, and how sure that is, as sd of the logarithm */
  readonly lineRate?: { readonly factor: number; readonly sdLog: number }
  /** which of its flies is to be brought to a depth, as index of the rig's; left out where any of them will do */
  readonly askedFly?: number
  /** a look while something is dragged: coarse, and without what may be wrong with it */
  readonly isQuick?: boolean
}

/** Why there is no answer. */
export interface FishesNot {
  readonly kind: 'not'
  readonly why: NotAssembled | 'neverRests' | 'isCarried' | 'nothingCarries' | 'nothingRuns'
}

/** What is known of a rig that may be otherwise. */
export interface Otherwise {
  readonly lineOff?: Around['lineOff']
  readonly dragOff?: (fly: number) => number
  readonly faster?: number
  readonly lines?: LinesAre
}

/** How a rig lies at one moment, s since the cast. */
export interface Moment extends Lay {
  readonly timeS: number
  readonly onBed: boolean
  /** of what swings: where its point is, 90 across the run, 0 straight below the rod */
  readonly bearingDeg?: number
}

/** A rig as it lies: once at rest, or a second by second on its way down. */
export interface RigLies {
  readonly moments: readonly Moment[]
  readonly hung: readonly number[]
  readonly carried: Pick<CarriedBy, 'speedMmPerS' | 'loadMg' | 'holds'> | null
  readonly tight: Pick<HungTight, 'inWaterMm' | 'surfaceDeg' | 'sagMm'> | null
}

const AS_RECKONED = { across: 1, along: 1 }

/** What is so near the bed lies on it, mm. */
export const TOUCHES_MM = 1
const LONGEST_COUNT_S = 60
const COARSE = 20
/** A swing is over by then, s. */
const LONGEST_SWING_S = 30
/** Across and a little down. */
export const USUAL_CAST_DEG = 60

/** How a rig lies in its water, as it is reckoned or with something otherwise; or why it is not said. */
export function rigLies(
  input: RigInWater,
  parts: readonly RigPart[],
  otherwise: Otherwise = {},
): RigLies | FishesNot {
  const { way, water, current, flies, tipHeightMm, ledMmPerS, isQuick } = input
  const { lineOff, dragOff, faster = 1, lines = { rate: 1, density: 1 } } = otherwise
  const used = way === 'tight' ? parts.filter(({ kind }) => kind !== 'line') : parts
  const are = { ...lines, rate: lines.rate * (input.lineRate?.factor ?? 1) }
  const whole = assembled(used, flies, water, dragOff, are)
  if (typeof whole === 'string') return { kind: 'not', why: whole }
  if (way === 'carried' && !whole.carrier) return { kind: 'not', why: 'nothingCarries' }
  if (way !== 'carried' && whole.carrier) return { kind: 'not', why: 'isCarried' }
  const flow = (depthMm: number) => faster * speedAtHeight(current, current.depthMm - Math.max(depthMm, 0))
  const nodes = isQuick ? COARSE : NODES.usual
  const common = { water, depthMm: current.depthMm, current: flow, nodes, ...(lineOff ? { lineOff } : {}) }
  const rest = (lay: Lay, onBed: boolean): readonly Moment[] => [
    { timeS: 0, points: lay.points, flies: lay.flies, knots: lay.knots, onBed },
  ]
  const deepest = ({ flies: at }: Lay) => Math.max(...at.map(({ zMm }) => zMm))
  if (way === 'carried') {
    const found = drifts({ assembled: whole, ...common })
    if (!found) return { kind: 'not', why: 'neverRests' }
    const moments = rest(found, deepest(found) > current.depthMm - TOUCHES_MM)
    return { moments, hung: whole.flies, carried: found, tight: null }
  }
  if (way === 'tight') {
    const found = hangTight({ rig: whole.rig, tipHeightMm, ledMmPerS, ...common })
    if (!found) return { kind: 'not', why: 'neverRests' }
    return { moments: rest(found, found.onBed), hung: whole.flies, carried: null, tight: found }
  }
  if (way === 'swung') {
    if (current.surfaceMmPerS <= 0) return { kind: 'not', why: 'nothingRuns' }
    const around: Around = {
      ...{ water, current: flow, bedMm: current.depthMm },
      lineOff: lineOff ?? AS_RECKONED,
    }
    const { castDeg = USUAL_CAST_DEG } = input
    const moments = [...swing({ rig: whole.rig, around, nodes, castDeg }, LONGEST_SWING_S)].map((frame) => ({
      ...frame,
      onBed: deepest(frame) > current.depthMm - TOUCHES_MM,
    }))
    return { moments, hung: whole.flies, carried: null, tight: null }
  }
  const cast = { rig: whole.rig, water, bedMm: current.depthMm, nodes, ...(lineOff ? { lineOff } : {}) }
  const untilS = input.untilS ?? LONGEST_COUNT_S
  const { countS, retrieve } = input.retrieved ?? { countS: untilS, retrieve: null }
  const moments = [...sink(cast, { countS, retrieve, untilS })].map((frame) => ({
    ...frame,
    onBed: deepest(frame) > current.depthMm - TOUCHES_MM,
  }))
  return { moments, hung: whole.flies, carried: null, tight: null }
}
