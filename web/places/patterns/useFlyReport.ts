import { useMemo } from 'react'
import {
  calibrationFor,
  countdown,
  evaluateFly,
  listed,
  resolveDressing,
  timeToDepth,
  USUAL_TIPPET,
} from '../../../core/index.ts'
import type { Calibrated, Descent, Fly, FlyReport, Incomplete, Listed, Measured } from '../../../core/index.ts'
import { useMeasurementsQuery } from '../../wire/answers.ts'
import type { Draft, DraftVariant } from '../../recipe/draft.ts'
import type { MaterialBook } from '../../recipe/useMaterialBook.ts'

/** The chosen variant worked out: its report, its fall with line trailing. */
export interface WorkedOut {
  readonly fly: Fly
  readonly report: FlyReport
  /** what the user's own measurements say of it */
  readonly calibration: Calibrated
  readonly measured: Measured
  /** its standard figure, as every list has it */
  readonly listed: Listed
  /** null where it does not sink */
  readonly descent: Descent | null
  readonly times: readonly { readonly depthMm: number; readonly timeS: number | null }[]
}

const DEPTHS_MM = [1000, 2000, 3000]

/** Works a variant of a draft out at a temperature; what is missing where it is no fly yet. */
export function workOut(
  draft: Draft,
  variant: DraftVariant,
  book: MaterialBook,
  waterTempC: number,
  measured: Measured,
): WorkedOut | Incomplete {
  const fly = resolveDressing({ components: draft.components, steps: draft.steps }, variant, book.materials)
  if (fly.kind === 'incomplete') return fly
  const calibration = calibrationFor(fly, variant.id, measured)
  const report = evaluateFly(
    fly,
    { waterTempC, tippet: USUAL_TIPPET, wet: 'fresh', filmTreatment: 'none' },
    calibration,
  )
  const descent = report.kind === 'sinks' ? countdown(report.model, DEPTHS_MM.at(-1) ?? 3000) : null
  return {
    fly,
    report,
    calibration,
    measured,
    listed: listed(fly, calibration),
    descent,
    times: DEPTHS_MM.map((depthMm) => ({ depthMm, timeS: descent ? timeToDepth(descent, depthMm) : null })),
  }
}

/** {@link workOut} for a sheet: again whenever an input changes. */
export function useFlyReport(
  draft: Draft | null,
  variant: DraftVariant | undefined,
  book: MaterialBook | null,
  waterTempC: number,
) {
  const { data } = useMeasurementsQuery()
  // a figure that knows nothing of what was measured would be seen for a moment, and be another one then
  const measured = data?.measured
  return useMemo(
    () => (draft && variant && book && measured ? workOut(draft, variant, book, waterTempC, measured) : null),
    [draft, variant, book, waterTempC, measured],
  )
}
