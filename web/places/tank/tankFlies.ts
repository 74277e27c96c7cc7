import {
  calibrationFor,
  descend,
  drawFly,
  evaluateFly,
  NOTHING_MEASURED,
  resolveDressing,
} from '../../../core/index.ts'
import type { Conditions, Descent, FlyDrawing, FlyReport } from '../../../core/index.ts'
import type { MeasurementsView, PatternView } from '../../../contract/index.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'

/** A variant in the tank. */
export interface InTank {
  readonly id: string
  readonly name: string
  readonly report: FlyReport
  readonly drawing: FlyDrawing
  readonly descent: Descent | null
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
  const common = { id, name: `${pattern.name} ${variant.label}`, report, drawing: drawFly(fly) }
  if (report.kind !== 'sinks') return { ...common, descent: null, spread: null }
  const { value, low, high } = (report.trailing ?? report.free).sinkSpeedMmPerS
  const leaderMm = conditions.tippet ? conditions.tippet.lengthMm : Infinity
  return {
    ...common,
    descent: descend(report.model, depthMm, leaderMm),
    spread: { low: low / value, high: high / value },
  }
}
