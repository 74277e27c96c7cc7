import type { Behaviour } from '../technique/index.ts'
import { inShort } from './listed.ts'
import type { Listed } from './listed.ts'
import type { FlyReport } from './report.ts'

/** The figures of a list that matching needs. */
export type ListedBehaviour = Pick<
  Listed,
  'submergedMg' | 'sinkSpeedMmPerS' | 'trailingSpeedMmPerS' | 'posture'
> & { readonly kind: string }

/** What matching needs, from the figures of a list: the fall with line trailing where there is some. Unknown where they lack. */
export function behaviourOfListed({
  kind,
  submergedMg,
  sinkSpeedMmPerS: freeMmPerS,
  trailingSpeedMmPerS,
  posture,
}: ListedBehaviour): Behaviour {
  if (kind === 'floats' && posture !== null) return { kind, posture }
  const sinks = kind === 'sinks' || kind === 'hovers'
  if (!sinks || freeMmPerS === null || submergedMg === null) return { kind: 'unknown' }
  return { kind: 'sinks', sinkSpeedMmPerS: trailingSpeedMmPerS ?? freeMmPerS, freeMmPerS, submergedMg }
}

/** What matching needs of a report. */
export const behaviourOf = (report: FlyReport): Behaviour => behaviourOfListed(inShort(report))
