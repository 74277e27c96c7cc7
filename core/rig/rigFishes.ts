import { bandOf, CURRENT_SD_LOG, LINES_OFF, SPOOL_SD_LOG } from './doubt.ts'
import type { LikelyDepth } from './doubt.ts'
import { rigLies, TOUCHES_MM } from './inWater.ts'
import type { FishesNot, Otherwise, RigInWater, RigLies, RigWay } from './inWater.ts'
import { settingFor } from './bringTo.ts'
import type { Lay } from './sinking.ts'

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
  /** of what swings: where its point is, 90 across the run, 0 straight below the rod */
  readonly bearingDeg?: number
}

/** Where a rig fishes. */
export interface FishesRig {
  readonly kind: 'fishes'
  readonly way: RigWay
  /** which flies hang, as indices of the rig's */
  readonly hung: readonly number[]
  /** one at rest; of a count or a swing one a second */
  readonly moments: readonly RigThere[]
  readonly carried: RigLies['carried']
  readonly tight: RigLies['tight']
  /** what it would have to be set to for its lowest fly to pass that far above the bed; null where none is, or nothing does */
  readonly toSetMm: number | null
}

/** Where a rig fishes, first as reckoned, then with the bands that the doubts of line, flies and run leave, then what to set. */
export function* rigFishes(
  input: RigInWater,
): Generator<{ readonly done: number; readonly soFar: FishesRig | null }, FishesRig | FishesNot> {
  const { parts, flies, way, current, overBedMm, isQuick } = input
  const found = rigLies(input, parts)
  if ('kind' in found) return found
  const others: RigLies[] = []
  const bedMm = current.depthMm
  const told = (toSetMm: number | null, areAllIn: boolean): FishesRig => ({
    kind: 'fishes',
    way,
    hung: found.hung,
    carried: found.carried,
    tight: found.tight,
    toSetMm,
    moments: found.moments.map(({ timeS, points, flies: at, knots, bearingDeg }, i) => ({
      ...(bearingDeg === undefined ? {} : { bearingDeg }),
      timeS,
      points,
      flies: at.slice(0, found.hung.length),
      knots: knots.slice(0, found.hung.length),
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
    ...(way === 'counted' || way === 'swung'
      ? [
          {
            lines: {
              rate: Math.exp(input.lineRate?.sdLog ?? SPOOL_SD_LOG.rate),
              density: Math.exp(SPOOL_SD_LOG.density),
            },
          },
        ]
      : []),
    ...(way === 'counted' ? [] : [{ faster: Math.exp(CURRENT_SD_LOG) }]),
  ]
  for (const doubt of doubts) {
    const other = rigLies(input, parts, doubt)
    // what never comes to rest has no depth
    if (!('kind' in other)) others.push(other)
    yield { done: 0.15 + (0.6 * (others.length + 1)) / (doubts.length + 1), soFar: told(null, false) }
  }
  return told(settingFor(input, bedMm - overBedMm), true)
}
