import { wording } from '../../../core/index.ts'
import type { CompartmentLine } from '../../../contract/index.ts'
import type { Mark } from '../../column/marks.ts'
import { placeNames } from '../../column/shortNames.ts'
import { LENS_BOTTOM_MM, LENS_TOP_MM } from '../../column/scale.ts'

/** Bands that the keys step through: the film, then the water below it in as many as this. */
const BANDS_BELOW = 4

type Fly = CompartmentLine['flies'][number]

/** A stretch of depth, mm below the film. */
export interface Depths {
  readonly fromMm: number
  readonly toMm: number
}

/** What a compartment's mark in the Column is called by. */
export const placeMark = (compartmentId: string): string => `place:${compartmentId}`

/** The film, and the water below it in even bands down to the bed. */
export function bandsOf(bedMm: number): readonly Depths[] {
  const step = (bedMm - LENS_BOTTOM_MM) / BANDS_BELOW
  return [
    { fromMm: LENS_TOP_MM, toMm: LENS_BOTTOM_MM },
    ...Array.from({ length: BANDS_BELOW }, (_, k) => ({
      fromMm: LENS_BOTTOM_MM + k * step,
      toMm: LENS_BOTTOM_MM + (k + 1) * step,
    })),
  ]
}

/** The band below or above the one that is looked at; past either end the whole depth again. */
export function nextBand(now: Depths | null, by: 1 | -1, bedMm: number): Depths | null {
  const bands = bandsOf(bedMm)
  if (!now) return (by === 1 ? bands[0] : bands.at(-1)) ?? null
  const middle = (now.fromMm + now.toMm) / 2
  const at = bands.findIndex(({ toMm }) => middle <= toMm)
  return bands[at + by] ?? null
}

const middle = (depths: readonly number[]) =>
  [...depths].sort((a, b) => a - b)[Math.floor((depths.length - 1) / 2)] ?? 0

const missingOf = ({ par, count }: Fly) => Math.max((par ?? 0) - count, 0)

/** A compartment's mark, from its shallowest fly to its deepest; none where nobody knows how deep they fish. */
export function markOf(
  place: CompartmentLine,
  flies: readonly Fly[],
  depthOf: (fly: Fly) => number | null,
): Mark[] {
  const depths = flies.flatMap((fly) => depthOf(fly) ?? [])
  if (depths.length === 0) return []
  const held = flies.reduce((sum, { count }) => sum + count, 0)
  const missing = flies.reduce((sum, fly) => sum + missingOf(fly), 0)
  return [
    {
      id: placeMark(place.id),
      names: placeNames(place.label),
      depthMm: middle(depths),
      fromMm: Math.min(...depths),
      toMm: Math.max(...depths),
      weight: 0,
      softWeight: 0,
      drawingKey: null,
      rank: missing / Math.max(held + missing, 1),
      words: missing > 0 ? `${held}, ${missing} short` : `${wording.counted(held, 'fly', 'flies')}`,
      look: held === 0 ? 'out' : 'fly',
      to: `/boxes?place=${place.id}`,
    },
  ]
}
