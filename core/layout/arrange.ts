import { TRUSTS, trustIn } from '../plan/index.ts'
import type { Estimate } from '../uncertainty/index.ts'

/** Ways to arrange a box; which of them is a matter of school. */
export const LAYOUTS = ['foodAndStage', 'situation', 'season', 'depthAndWeight', 'confidence'] as const
export type Layout = (typeof LAYOUTS)[number]

/** What an arrangement has to know of a fly. */
export interface ArrangedFly {
  readonly key: string
  readonly purpose: 'imitation' | 'attractor' | 'searching'
  /** the food that it serves best, null where it serves none */
  readonly food: { readonly group: string; readonly stage: string } | null
  /** months (1 to 12) in which what it serves is about */
  readonly months: readonly number[]
  /** mm/s with line trailing; null for what floats or is not known */
  readonly sinkSpeedMmPerS: number | null
  readonly floats: boolean
  readonly hookSize: number | null
  readonly bright: boolean
  /** takes an hour, null where it was never fished */
  readonly takes: Estimate | null
}

/** From this share of the eye's draw on a fly is bright. Judgement. */
const PLAINLY_BRIGHT = 0.5

/** Whether a fly is bright, by what it shows; one without a recipe is not. */
export const isBright = (look: { readonly bright: number } | null): boolean =>
  (look?.bright ?? 0) >= PLAINLY_BRIGHT

/** A compartment of a proposed box. */
export interface ProposedPlace {
  /** words are found by this */
  readonly code: string
  readonly flyKeys: readonly string[]
}

/** Sinking slower than this, mm/s, is for near the film; faster than the second, for mid-water; above the third it anchors. */
const SLOW = 60
const MIDDLING = 160
const ANCHOR = 300

function depthCode({ floats, sinkSpeedMmPerS }: ArrangedFly): string {
  if (floats) return 'floats'
  if (sinkSpeedMmPerS === null) return 'weightUnknown'
  if (sinkSpeedMmPerS < SLOW) return 'slow'
  if (sinkSpeedMmPerS < MIDDLING) return 'middling'
  return sinkSpeedMmPerS < ANCHOR ? 'fast' : 'anchor'
}

/** Hooks from this number on are for fish that look closely; up to the second they are seen in dirty water. */
const SMALL_HOOK = 18
const LARGE_HOOK = 10

/** Whether a fly is seen in dirty water: it is bright, or large. */
export const isSeenInDirtyWater = ({ hookSize, bright }: Pick<ArrangedFly, 'hookSize' | 'bright'>): boolean =>
  bright || (hookSize !== null && hookSize <= LARGE_HOOK)

function situationCode(fly: ArrangedFly): string {
  const { purpose, hookSize, sinkSpeedMmPerS } = fly
  if ((sinkSpeedMmPerS ?? 0) >= ANCHOR) return 'fastAndDeep'
  if (hookSize !== null && hookSize >= SMALL_HOOK) return 'lowClear'
  if (isSeenInDirtyWater(fly)) return 'dirtyWater'
  return purpose === 'imitation' ? 'usualWater' : 'searching'
}

const SEASONS: Readonly<Record<string, readonly number[]>> = {
  spring: [3, 4, 5],
  summer: [6, 7, 8],
  autumn: [9, 10, 11],
  winter: [12, 1, 2],
}
/** A season has a fly to itself where at least this share of the fly's months falls into it. */
const MOSTLY = 0.5
const ALL_YEAR_MONTHS = 10

function seasonCode({ months }: ArrangedFly): string {
  if (months.length === 0 || months.length >= ALL_YEAR_MONTHS) return 'allYear'
  const [best, share] = Object.entries(SEASONS)
    .map(([season, own]) => [season, months.filter((m) => own.includes(m)).length / months.length] as const)
    .reduce((a, b) => (b[1] > a[1] ? b : a))
  return share >= MOSTLY ? best : 'severalSeasons'
}

const codeOf: Readonly<Record<Layout, (fly: ArrangedFly) => string>> = {
  foodAndStage: ({ food }) => (food ? `${food.group}|${food.stage}` : 'searching'),
  situation: situationCode,
  season: seasonCode,
  depthAndWeight: depthCode,
  confidence: ({ takes }) => trustIn(takes),
}

/** The order of compartments from the top of a box to its foot, where the layout has one of its own. */
const ORDER: Readonly<Record<Layout, readonly string[]>> = {
  foodAndStage: [],
  situation: ['usualWater', 'lowClear', 'dirtyWater', 'fastAndDeep', 'searching'],
  season: ['spring', 'summer', 'autumn', 'winter', 'severalSeasons', 'allYear'],
  depthAndWeight: ['floats', 'slow', 'middling', 'fast', 'anchor', 'weightUnknown'],
  confidence: TRUSTS,
}

/**
 * Proposes compartments for a box arranged in a way, and which flies belong into each; no fly is left out, and none
 * stands in two.
 */
export function arrange(layout: Layout, flies: readonly ArrangedFly[]): readonly ProposedPlace[] {
  const groups = new Map<string, string[]>()
  for (const fly of flies) {
    const code = codeOf[layout](fly)
    groups.set(code, [...(groups.get(code) ?? []), fly.key])
  }
  const order = ORDER[layout]
  const rank = (code: string) => (order.includes(code) ? order.indexOf(code) : order.length)
  return [...groups]
    .map(([code, flyKeys]) => ({ code, flyKeys }))
    .sort((a, b) => rank(a.code) - rank(b.code) || (a.code < b.code ? -1 : 1))
}
