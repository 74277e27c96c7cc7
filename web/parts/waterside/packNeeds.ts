import { isSeenInDirtyWater, waterside } from '../../../core/index.ts'
import type { AlongView, FlyAlong, StageAlong } from '../../../contract/index.ts'
import { SERVES, Waterside } from './answer.ts'
import type { Put } from './answer.ts'

/** One thing that a box for the day should hold, and what of it is packed. */
export interface PackNeed {
  /** a food, something while nothing shows, what takes a team down, or what is seen should the water colour */
  readonly kind: 'food' | 'whatever' | 'anchor' | 'coloured'
  readonly stage: StageAlong | null
  /** half hours in which at least half as many fish are on it as at its best; the last is no more of it */
  readonly fromHalf: number
  readonly toHalf: number
  /** share of the fish at its best; null where nobody knows whether it comes to that */
  readonly share: number | null
  /** the packed fly for it; null is a gap */
  readonly put: Put | null
  /** packed too: one that rides lower or is the emerger, and one smaller */
  readonly lower: FlyAlong | null
  readonly smaller: FlyAlong | null
  /** what lies at home for it, where nothing packed is */
  readonly atHome: FlyAlong | null
}

/** Foods that fewer fish are on at their best are not packed for. */
const LEAST_SHARE = 0.05
const MOST_FOODS = 7
/** From this fall on a fly takes a team down, mm/s. */
const ANCHOR_MM_PER_S = 300

/** From when to when at least half as many are on it as at its best. */
function hoursOf(onIt: readonly number[]) {
  const share = Math.max(...onIt)
  const isMuch = (one: number) => one >= share / 2
  return { fromHalf: onIt.findIndex(isMuch), toHalf: onIt.findLastIndex(isMuch) + 1, share }
}

function needOf(
  water: Waterside,
  kind: PackNeed['kind'],
  stage: StageAlong | null,
  onIt: readonly number[],
): PackNeed {
  const nothing = waterside.standingAfter([])
  const stageId = stage?.foodStageId ?? null
  const best = water.putFor(stageId, nothing)
  const put = best && best.does >= SERVES ? best : null
  const [lower, smaller] = put ? water.stepsFrom(put, nothing, ['emerger', 'smaller']) : []
  return {
    ...{ kind, stage, put },
    ...hoursOf(onIt),
    lower: lower ?? null,
    smaller: smaller ?? null,
    atHome: put ? null : water.homeFor(stageId, SERVES),
  }
}

/** What takes a team down: the heaviest that is packed. */
function anchorOf(along: AlongView, share: number): PackNeed {
  const heavy = along.flies
    .filter(({ aboard, forbidden }) => aboard > 0 && forbidden === null)
    .filter(({ figure }) => (figure.sinkSpeedMmPerS ?? 0) >= ANCHOR_MM_PER_S)
    .toSorted((a, b) => (b.figure.sinkSpeedMmPerS ?? 0) - (a.figure.sinkSpeedMmPerS ?? 0))
  const [fly] = heavy
  const put = fly
    ? ({ fly, way: 'tightLineNymph', stage: null, does: 1, shown: 1, depthMm: null } as const)
    : null
  const none = { stage: null, lower: null, smaller: null, atHome: null }
  return { ...none, kind: 'anchor', fromHalf: 0, toHalf: along.whatever.length, share, put }
}

/** What is seen in water that colours: the largest of what is bright or large and does not fall too fast for the edges. */
function colouredOf(along: AlongView): PackNeed {
  const seen = along.flies
    .filter(
      ({ forbidden, figure, bright }) =>
        forbidden === null && isSeenInDirtyWater({ hookSize: figure.hookSize, bright }),
    )
    .filter(({ figure }) => figure.kind === 'sinks' && (figure.sinkSpeedMmPerS ?? Infinity) < ANCHOR_MM_PER_S)
    .toSorted((a, b) => (a.figure.hookSize ?? 99) - (b.figure.hookSize ?? 99))
  const [fly, home] = [seen.find(({ aboard }) => aboard > 0), seen.find(({ aboard }) => aboard === 0)]
  const put = fly ? ({ fly, way: null, stage: null, does: 1, shown: 1, depthMm: null } as const) : null
  const none = { stage: null, lower: null, smaller: null, share: null }
  return {
    ...none,
    kind: 'coloured',
    fromHalf: 0,
    toHalf: along.whatever.length,
    put,
    atHome: put ? null : (home ?? null),
  }
}

/** What a box for the day should hold: foods by when they are on, something while nothing shows, an anchor for a team, one for coloured water. */
export function packNeeds(along: AlongView): readonly PackNeed[] {
  const water = new Waterside(along)
  const foods = along.stages
    .filter(({ onIt }) => Math.max(...onIt) >= LEAST_SHARE)
    .slice(0, MOST_FOODS)
    .map((stage) => needOf(water, 'food', stage, stage.onIt))
    .toSorted((a, b) => a.fromHalf - b.fromHalf || (b.share ?? 0) - (a.share ?? 0))
  const { technique, alsoTechniques, rules } = along.outing
  const isTeam = [technique, ...alsoTechniques].includes('tightLineNymph') && rules.maxFlies !== 1
  const atBottom = along.whatever.map((_, half) =>
    along.stages.filter(({ band }) => band === 'bottom').reduce((sum, { onIt }) => sum + (onIt[half] ?? 0), 0),
  )
  return [
    ...foods,
    needOf(water, 'whatever', null, along.whatever),
    ...(isTeam ? [anchorOf(along, Math.max(...atBottom))] : []),
    ...(rules.dryOnly ? [] : [colouredOf(along)]),
  ]
}
