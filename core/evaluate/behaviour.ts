import type { Behaviour } from '../technique/index.ts'
import type { FlyReport } from './report.ts'

/** What matching needs of a report: the fall with line trailing where there is some. */
export function behaviourOf(report: FlyReport): Behaviour {
  switch (report.kind) {
    case 'sinks':
      return { kind: 'sinks', sinkSpeedMmPerS: (report.trailing ?? report.free).sinkSpeedMmPerS.value }
    case 'hovers':
      return { kind: 'sinks', sinkSpeedMmPerS: Math.max(report.speedMmPerS, 0) }
    case 'floats':
      return { kind: 'floats', posture: report.ride.posture }
    case 'doesNotFit':
      return { kind: 'unknown' }
  }
}
