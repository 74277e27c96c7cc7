import { clamp } from '../../number/index.ts'
import { AXES } from './axes.ts'
import type { Axis } from './axes.ts'
import depths from './depths.json' with { type: 'json' }
import type { Sinker, UsualRig, UsualWater } from './usualRigs.ts'

/** What goes evenly along an axis: the logarithm, but of the current, which may stand still. */
const even = (axis: Axis, value: number) => (axis === 'surfaceMmPerS' ? value : Math.log(value))

const evenly = (axis: Axis): readonly number[] => AXES[axis].map((point) => even(axis, point))
const EVEN: Readonly<Record<Axis, readonly number[]>> = {
  bedMm: evenly('bedMm'),
  surfaceMmPerS: evenly('surfaceMmPerS'),
  submergedMg: evenly('submergedMg'),
  fallMmPerS: evenly('fallMmPerS'),
}

/** The place of a value along an axis, whole at its points: 1.5 is half way between the second and the third. */
function along(axis: Axis, value: number): number {
  const points = EVEN[axis]
  const at = even(axis, value)
  let before = 0
  while (before + 2 < points.length && at > (points[before + 1] ?? 0)) before += 1
  const from = points[before] ?? 0
  return before + clamp((at - from) / ((points[before + 1] ?? 1) - from), 0, 1)
}

/** Between four values, by two places. */
function between(one: number, other: number, valueAt: (one: number, other: number) => number): number {
  const [row, column] = [Math.floor(one), Math.floor(other)]
  const [down, right] = [one - row, other - column]
  const inRow = (nth: number) =>
    right === 0 ? valueAt(nth, column) : (1 - right) * valueAt(nth, column) + right * valueAt(nth, column + 1)
  return down === 0 ? inRow(row) : (1 - down) * inRow(row) + down * inRow(row + 1)
}

const [WEIGHTS, FALLS] = [AXES.submergedMg.length, AXES.fallMmPerS.length]

/** The table of a rig at one water: logarithms of depths by weight and fall. */
function tableIn(rig: UsualRig, water: UsualWater): readonly number[] {
  const table: readonly number[] = depths[rig]
  const [bed, surface] = [along('bedMm', water.bedMm), along('surfaceMmPerS', water.surfaceMmPerS)]
  return Array.from({ length: WEIGHTS * FALLS }, (_, fly) =>
    between(bed, surface, (i, j) =>
      Math.log(table[(i * AXES.surfaceMmPerS.length + j) * WEIGHTS * FALLS + fly] ?? 1),
    ),
  )
}

/** The water that each rig was asked about last: lists ask about one for all their flies. */
const asked = new Map<UsualRig, { readonly water: UsualWater; readonly table: readonly number[] }>()

function keptTable(rig: UsualRig, { bedMm, surfaceMmPerS }: UsualWater): readonly number[] {
  const known = asked.get(rig)
  if (known?.water.bedMm === bedMm && known.water.surfaceMmPerS === surfaceMmPerS) return known.table
  const water = { bedMm, surfaceMmPerS }
  const table = tableIn(rig, water)
  asked.set(rig, { water, table })
  return table
}

/**
 * How deep a fly comes on a usual rig, mm, with no regard to the bed: by the table that was worked out ahead, so that a list
 * of a thousand flies takes no time. What weighs or falls less than the table knows goes down by so much less.
 */
export function usualDepthMm(rig: UsualRig, { submergedMg, fallMmPerS }: Sinker, water: UsualWater): number {
  if (submergedMg <= 0 || fallMmPerS <= 0) return 0
  const table = keptTable(rig, water)
  const least = Math.min(1, fallMmPerS / AXES.fallMmPerS[0], submergedMg / AXES.submergedMg[0])
  return (
    least *
    Math.exp(
      between(
        along('submergedMg', submergedMg),
        along('fallMmPerS', fallMmPerS),
        (i, j) => table[i * FALLS + j] ?? 0,
      ),
    )
  )
}
