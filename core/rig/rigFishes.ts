import { speedAtHeight } from '../drift/index.ts'
import type { Current } from '../drift/index.ts'
import { rootBetween } from '../number/index.ts'
import type { WaterProperties } from '../water/index.ts'
import { assembled } from './assembled.ts'
import type { NotAssembled, RigFly } from './assembled.ts'
import { drifts } from './carried.ts'
import type { CarriedBy } from './carried.ts'
import { bandOf, CURRENT_SD_LOG, LINES_OFF, SPOOL_SD_LOG } from './doubt.ts'
import type { LikelyDepth } from './doubt.ts'
import { NODES } from './engine/index.ts'
import type { Around } from './engine/index.ts'
import { leastSetting, settingOf, withSetting } from './parts.ts'
import type { RigPart } from './parts.ts'
import { sink } from './sinking.ts'
import type { Lay } from './sinking.ts'
import { hangTight } from './tightLine.ts'
import type { HungTight } from './tightLine.ts'

/** Ways to fish a rig: under what carries it, held tight from the tip, or cast over still water and counted down. */
export const RIG_WAYS = ['carried', 'tight', 'counted'] as const
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
  /** on a tight line */
  readonly tipHeightMm: number
  readonly ledMmPerS: number
  /** a look while something is dragged: coarse, and without what may be wrong with it */
  readonly isQuick?: boolean
}

/** Where one fly of a rig is at one moment. */
export interface FlyThere {
  readonly depthMm: number
  /** null until it is known */
  readonly band: LikelyDepth | null
  readonly onBed: boolean
}

/** A rig at one moment: how it lies, and where its flies are, in the order of the rig without what carries it. */
export interface RigThere extends Lay {
  /** s since the cast; nought for what is at rest */
  readonly timeS: number
  readonly flies: Lay['flies']
  readonly there: readonly FlyThere[]
}

/** Where a rig fishes. */
export interface FishesRig {
  readonly kind: 'fishes'
  readonly way: RigWay
  /** which flies hang, as indices of the rig's */
  readonly hung: readonly number[]
  /** one at rest; of a count one a second */
  readonly moments: readonly RigThere[]
  readonly carried: Pick<CarriedBy, 'speedMmPerS' | 'loadMg' | 'holds'> | null
  readonly tight: Pick<HungTight, 'inWaterMm' | 'surfaceDeg' | 'sagMm'> | null
  /** what it would have to be set to for its lowest fly to pass that far above the bed; null where none is, or nothing does */
  readonly toSetMm: number | null
}

/** Why there is no answer. */
export interface FishesNot {
  readonly kind: 'not'
  readonly why: NotAssembled | 'neverRests' | 'isCarried' | 'nothingCarries'
}

/** What is known of a rig that may be otherwise. */
interface Otherwise {
  readonly lineOff?: Around['lineOff']
  readonly dragOff?: (fly: number) => number
  readonly faster?: number
  readonly lineDensity?: number
}

type Moment = Pick<RigThere, 'timeS' | 'points' | 'flies'> & { readonly onBed: boolean }
interface Answer {
  readonly moments: readonly Moment[]
  readonly hung: readonly number[]
  readonly carried: FishesRig['carried']
  readonly tight: FishesRig['tight']
}

const TOUCHES_MM = 1
const LONGEST_COUNT_S = 60
const COARSE = 20

/** One answer, as it is reckoned or with something otherwise. */
function answer(input: RigInWater, parts: readonly RigPart[], otherwise: Otherwise = {}): Answer | FishesNot {
  const { way, water, current, flies, tipHeightMm, ledMmPerS, isQuick } = input
  const { lineOff, dragOff, faster = 1, lineDensity = 1 } = otherwise
  const used = way === 'tight' ? parts.filter(({ kind }) => kind !== 'line') : parts
  const whole = assembled(used, flies, water, dragOff)
  if (typeof whole === 'string') return { kind: 'not', why: whole }
  if (way === 'carried' && !whole.carrier) return { kind: 'not', why: 'nothingCarries' }
  if (way !== 'carried' && whole.carrier) return { kind: 'not', why: 'isCarried' }
  const flow = (depthMm: number) => faster * speedAtHeight(current, current.depthMm - Math.max(depthMm, 0))
  const nodes = isQuick ? COARSE : NODES.usual
  const common = { water, depthMm: current.depthMm, current: flow, nodes, ...(lineOff ? { lineOff } : {}) }
  const rest = (lay: Lay, onBed: boolean): readonly Moment[] => [
    { timeS: 0, points: lay.points, flies: lay.flies, onBed },
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
  const rig = {
    ...whole.rig,
    pieces: whole.rig.pieces.map((piece) =>
      piece.group === 'line' ? { ...piece, densityMgPerMm3: piece.densityMgPerMm3 * lineDensity } : piece,
    ),
  }
  const cast = { rig, water, bedMm: current.depthMm, nodes, ...(lineOff ? { lineOff } : {}) }
  const moments = [...sink(cast, { countS: LONGEST_COUNT_S, retrieve: null, untilS: LONGEST_COUNT_S })].map(
    (frame) => ({ ...frame, onBed: deepest(frame) > current.depthMm - TOUCHES_MM }),
  )
  return { moments, hung: whole.flies, carried: null, tight: null }
}

/** Where a rig fishes, first as reckoned, then with the bands that the doubts of line, flies and run leave, then what to set. */
export function* rigFishes(
  input: RigInWater,
): Generator<{ readonly done: number; readonly soFar: FishesRig | null }, FishesRig | FishesNot> {
  const { parts, flies, way, current, overBedMm, isQuick } = input
  const found = answer(input, parts)
  if ('kind' in found) return found
  const others: Answer[] = []
  const bedMm = current.depthMm
  const told = (toSetMm: number | null, areAllIn: boolean): FishesRig => ({
    kind: 'fishes',
    way,
    hung: found.hung,
    carried: found.carried,
    tight: found.tight,
    toSetMm,
    moments: found.moments.map(({ timeS, points, flies: at }, i) => ({
      timeS,
      points,
      flies: at.slice(0, found.hung.length),
      there: at.slice(0, found.hung.length).map(({ zMm }, k) => {
        const depthMm = Math.min(zMm, bedMm)
        const deep = others.flatMap(({ moments }) => moments[i]?.flies[k]?.zMm ?? [])
        const band = bandOf(
          depthMm,
          deep.map((mm) => Math.min(mm, bedMm)),
          bedMm,
        )
        return { depthMm, onBed: zMm > bedMm - TOUCHES_MM, band: areAllIn ? band : null }
      }),
    })),
  })
  if (isQuick) return told(null, false)
  yield { done: 0.15, soFar: told(null, false) }
  const doubts: readonly Otherwise[] = [
    ...LINES_OFF.map((lineOff) => ({ lineOff })),
    ...found.hung.map((fly) => ({
      dragOff: (other: number) => (other === fly ? Math.exp(flies[fly]?.dragSdLog ?? 0) : 1),
    })),
    ...(way === 'counted'
      ? [{ lineDensity: Math.exp(SPOOL_SD_LOG.density) }]
      : [{ faster: Math.exp(CURRENT_SD_LOG) }]),
  ]
  for (const doubt of doubts) {
    const other = answer(input, parts, doubt)
    // what never comes to rest has no depth
    if (!('kind' in other)) others.push(other)
    yield { done: 0.15 + (0.6 * (others.length + 1)) / (doubts.length + 1), soFar: told(null, false) }
  }
  return told(settingFor(input, bedMm - overBedMm), true)
}

/** Settings that are tried, of the depth of the water. */
const SET = { least: 0.2, most: 3 }
const WITHIN_MM = 5

/** What to set a float to for the lowest fly to drift at a depth; null where nothing is set, or no setting brings it there. */
function settingFor(input: RigInWater, wantedMm: number): number | null {
  if (input.way !== 'carried' || settingOf(input.parts) === null || wantedMm <= 0) return null
  const short = (settingMm: number): number => {
    const parts = withSetting(input.parts, settingMm)
    const found = parts && answer(input, parts)
    if (!found || 'kind' in found) return NaN
    return Math.max(...(found.moments[0]?.flies ?? []).map(({ zMm }) => zMm)) - wantedMm
  }
  const [low, high] = [SET.least * wantedMm, SET.most * wantedMm]
  const shortest = Math.max(low, leastSetting(input.parts))
  if (!(short(high) >= 0)) return null
  return short(shortest) > 0 ? null : rootBetween(short, shortest, high, WITHIN_MM)
}
