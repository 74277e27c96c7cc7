import { clamp } from '../../number/index.ts'
import { AXES } from './axes.ts'
import type { Axis } from './axes.ts'
import depths from './depths.json' with { type: 'json' }
import type { Sinker, UsualRig, UsualWater } from './usualRigs.ts'

/** What goes evenly along an axis: the logarithm, but of the current, which may stand still. */
const even = (axis: Axis, value: number) => (axis === 'surfaceMmPerS' ? value : Math.log(value))

/** The place of a value along an axis: the point before it, and how far it is to the next, 0 to 1. */
interface Place {
  readonly before: number
  readonly share: number
}

const evenly = (axis: Axis): readonly number[] => AXES[axis].map((point) => even(axis, point))
const EVEN: Readonly<Record<Axis, readonly number[]>> = {
  bedMm: evenly('bedMm'),
  surfaceMmPerS: evenly('surfaceMmPerS'),
  submergedMg: evenly('submergedMg'),
  fallMmPerS: evenly('fallMmPerS'),
}

function along(axis: Axis, value: number): Place {
  const points = EVEN[axis]
  const at = even(axis, value)
  const before = points.findIndex((_, i) => i + 2 === points.length || at <= (points[i + 1] ?? 0))
  const [from = 0, to = 1] = points.slice(before, before + 2)
  return { before, share: clamp((at - from) / (to - from), 0, 1) }
}

/** Between four values, by two places. */
const between = (one: Place, other: Place, valueAt: (one: number, other: number) => number): number => {
  const inRow = (row: number) =>
    (1 - other.share) * valueAt(row, other.before) + other.share * valueAt(row, other.before + 1)
  return (1 - one.share) * inRow(one.before) + one.share * inRow(one.before + 1)
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
