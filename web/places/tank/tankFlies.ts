import {
  calibrationFor,
  depthAtTime,
  descend,
  driftedMm,
  evaluateFly,
  NOTHING_MEASURED,
  resolveDressing,
  sketchOf,
} from '../../../core/index.ts'
import type { Conditions, Current, Descent, FlyReport, FlySketch } from '../../../core/index.ts'
import type { MeasurementsView, PatternView } from '../../../contract/index.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'

/** A variant in the tank. */
export interface InTank {
  readonly id: string
  readonly name: string
  readonly report: FlyReport
  readonly sketch: FlySketch
  /** how it goes down, or up from the bed; null for one that stays where it is */
  readonly descent: Descent | null
  /** depth that it comes up from, mm; null for one that does not */
  readonly risesFromMm: number | null
  /** speeds over the median at the ends of the band */
  readonly spread: { readonly low: number; readonly high: number } | null
}

/** What the tank holds besides flies. */
export interface TankWater {
  readonly conditions: Conditions
  readonly depthMm: number
}

/** Colours of the lanes; a dash tells them apart as well. */
export const LANE_COLOURS = [
  'var(--thistle)',
  'var(--moss)',
  'var(--brass)',
  'var(--madder)',
  'var(--ink)',
  'var(--quiet)',
] as const
export const LANE_DASHES = ['0', '6 4', '2 3', '10 3', '8 3 2 3', '1 4'] as const
export const MOST_FLIES = LANE_COLOURS.length

/** A variant put into the tank, corrected by all that was measured; null for one that is no fly. */
export function putInTank(
  id: string,
  patterns: readonly PatternView[],
  book: MaterialBook,
  measurements: MeasurementsView | undefined,
  { conditions, depthMm }: TankWater,
): InTank | null {
  const pattern = patterns.find(({ variants }) => variants.some((variant) => variant.id === id))
  const variant = pattern?.variants.find((candidate) => candidate.id === id)
  if (!pattern || !variant) return null
  const fly = resolveDressing(pattern.dressing, variant, book.materials)
  if (fly.kind !== 'fly') return null
  const report = evaluateFly(
    fly,
    conditions,
    calibrationFor(fly, id, measurements?.measured ?? NOTHING_MEASURED),
  )
  const common = { id, name: `${pattern.name} ${variant.label}`, report, sketch: sketchOf(fly) }
  const rise = report.kind === 'floats' ? report.rise : null
  const moves = report.kind === 'sinks' ? report : rise
  if (!moves) return { ...common, descent: null, risesFromMm: null, spread: null }
  const { value, low, high } = (moves.trailing ?? moves.free).sinkSpeedMmPerS
  return {
    ...common,
    // what comes up draws its line after it from below
    descent: descend(moves.model, depthMm, rise ? 'follows' : 'held'),
    risesFromMm: rise ? depthMm : null,
    spread: { low: low / value, high: high / value },
  }
}

/** Its depth where it has gone so far from where it was let go, mm. */
export const depthGone = ({ risesFromMm }: InTank, goneMm: number): number =>
  risesFromMm === null ? goneMm : Math.max(risesFromMm - goneMm, 0)

/** How it goes down; null for what does not. */
export const downwards = ({ descent, risesFromMm }: InTank): Descent | null =>
  risesFromMm === null ? descent : null

/** Where a fly is at a time, s: its depth, and how far it has drifted, mm; at its last where it has landed. */
export function placeOf(fly: InTank, timeS: number, current: Current | null) {
  const { descent } = fly
  const last = descent?.points.at(-1)
  if (!descent || !last) return { depthMm: 0, driftMm: 0 }
  const at = Math.min(timeS, last.timeS)
  return {
    depthMm: depthGone(fly, depthAtTime(descent, at)),
    driftMm: current && fly.risesFromMm === null ? driftedMm(descent, current, at) : 0,
  }
}

const EVERY_S = [1, 2, 5, 10, 20, 30]
const LEAST_APART_PX = 13

/** Seconds between the marks down a lane: as few as keep the marks apart, up to a minute. */
export function secondsApart({ points }: Descent, pxPerMm: number): number {
  const last = points.at(-1)
  if (!last) return 60
  const pxPerS = (last.depthMm * pxPerMm) / Math.max(Math.floor(last.timeS), 1)
  return EVERY_S.find((s) => pxPerS * s > LEAST_APART_PX) ?? 60
}
