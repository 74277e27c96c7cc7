import { AXES, AXIS_ORDER } from './axes.ts'
import { deepestOn, sinkerBody, USUAL_RIGS } from './usualRigs.ts'
import type { Sinker, UsualRig, UsualWater } from './usualRigs.ts'

/** The water and the fly of an entry of the table, in its order. */
export function entryAt(nth: number): Sinker & UsualWater {
  let left = nth
  const values = { bedMm: 0, surfaceMmPerS: 0, submergedMg: 0, fallMmPerS: 0 }
  for (const axis of AXIS_ORDER.toReversed()) {
    const points = AXES[axis]
    values[axis] = points[left % points.length] ?? 0
    left = Math.floor(left / points.length)
  }
  return values
}

/** How many entries a rig has in the table. */
export const ENTRIES = AXIS_ORDER.reduce((product, axis) => product * AXES[axis].length, 1)

/** Water in which nothing comes near the bed. */
const DEEP_MM = 20_000

/** The water where an entry is worked out: what is counted down is cast where nothing runs and nothing is near. */
const waterOf = (rig: UsualRig, entry: UsualWater): UsualWater =>
  rig === 'counted' ? { bedMm: DEEP_MM, surfaceMmPerS: 0 } : entry

/** One entry of the table, whole mm; an entry that never comes to rest is a fault of the engine and throws. */
export function workOutEntry(rig: UsualRig, nth: number): number {
  const entry = entryAt(nth)
  const found = deepestOn(rig, sinkerBody(entry), waterOf(rig, entry))
  if (found === null || !Number.isFinite(found)) throw new Error(`${rig} ${JSON.stringify(entry)} never rests`)
  return Math.max(Math.round(found), 1)
}

/** The whole table, anew: some minutes. */
export const workOutDepths = (): Readonly<Record<UsualRig, readonly number[]>> =>
  Object.fromEntries(
    USUAL_RIGS.map((rig) => [rig, Array.from({ length: ENTRIES }, (_, nth) => workOutEntry(rig, nth))]),
  ) as unknown as Record<UsualRig, readonly number[]>
