import type { Fly } from '../dressing/index.ts'
import type { Posture } from '../float/index.ts'
import type { Calibration } from './calibration.ts'
import { LIST_CONDITIONS, USUAL_TIPPET } from './conditions.ts'
import { evaluateFly } from './evaluateFly.ts'
import type { FlyReport } from './report.ts'

/** What a fly does, in so few figures that a list can show it. What it does not do is null. */
export interface Listed {
  readonly kind: FlyReport['kind']
  readonly massMg: number
  readonly submergedMg: number | null
  /** in free fall, mm/s; nought or more where it hovers */
  readonly sinkSpeedMmPerS: number | null
  /** 8 in 10 fall between these, mm/s */
  readonly low: number | null
  readonly high: number | null
  /** with the conditions' line trailing, mm/s */
  readonly trailingSpeedMmPerS: number | null
  readonly posture: Posture | null
}

const NOTHING = {
  submergedMg: null,
  ...{ sinkSpeedMmPerS: null, low: null, high: null, trailingSpeedMmPerS: null },
  posture: null,
}

/** A report in the figures of lists, under the conditions of the report. */
export function inShort(report: FlyReport): Listed {
  const common = { ...NOTHING, kind: report.kind, massMg: report.massMg.value }
  switch (report.kind) {
    case 'sinks': {
      const { value, low, high } = report.free.sinkSpeedMmPerS
      const trailingSpeedMmPerS = report.trailing?.sinkSpeedMmPerS.value ?? null
      const submergedMg = report.submergedMg.value
      return { ...common, submergedMg, sinkSpeedMmPerS: value, low, high, trailingSpeedMmPerS }
    }
    case 'hovers': {
      const speed = Math.max(report.speedMmPerS, 0)
      const submergedMg = report.submergedMg.value
      return { ...common, submergedMg, sinkSpeedMmPerS: speed, trailingSpeedMmPerS: speed }
    }
    case 'floats':
      return { ...common, posture: report.ride.posture }
    case 'doesNotFit':
      return common
  }
}

/**
 * The standard figure of a fly, by which flies are compared wherever they are listed: in free fall at 10 °C, dipped
 * and cast.
 */
export const listed = (fly: Fly, calibration?: Calibration): Listed =>
  inShort(evaluateFly(fly, { ...LIST_CONDITIONS, tippet: USUAL_TIPPET }, calibration))
