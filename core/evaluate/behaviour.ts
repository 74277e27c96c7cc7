import type { Behaviour } from '../match/index.ts'
import type { Posture } from '../float/index.ts'
import type { FlyReport } from './report.ts'

/** On the film or in it, as fish and matching tell them apart. */
export const placeAtSurface = (posture: Posture): 'onFilm' | 'inFilm' =>
  posture === 'proud' || posture === 'low' ? 'onFilm' : 'inFilm'

/** What matching needs of a report: the fall with line trailing where there is some. */
export function behaviourOf(report: FlyReport): Behaviour {
  switch (report.kind) {
    case 'sinks':
      return { kind: 'sinks', sinkSpeedMmPerS: (report.trailing ?? report.free).sinkSpeedMmPerS.value }
    case 'floats':
      return { kind: 'floats', posture: placeAtSurface(report.ride.posture) }
    case 'doesNotFit':
      return { kind: 'unknown' }
  }
}
