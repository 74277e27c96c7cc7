import { rootBetween } from '../number/index.ts'
import type { Between } from './bestRetrieve.ts'
import { rigLies } from './inWater.ts'
import type { FishesNot, RigInWater } from './inWater.ts'
import { leaderOf, leastSetting, settingOf, withSetting } from './parts.ts'
import { toLead } from './onTightLine.ts'

/** Settings that are tried, of the depth of the water. */
const SET = { least: 0.2, most: 3 }
const WITHIN_MM = 5

/**
 * What to set a float to for the lowest fly to drift at a depth; null where nothing is set, or no setting that the water's note
 * allows brings it there.
 */
export function settingFor(input: RigInWater, wantedMm: number): number | null {
  const now = settingOf(input.parts)
  if (input.way !== 'carried' || now === null || wantedMm <= 0) return null
  const short = (settingMm: number): number => {
    const parts = withSetting(input.parts, settingMm)
    const found = parts && rigLies(input, parts)
    if (!found || 'kind' in found) return NaN
    return Math.max(...(found.moments[0]?.flies ?? []).map(({ zMm }) => zMm)) - wantedMm
  }
  const longest = now + (input.maxLeaderMm ?? Infinity) - leaderOf(input.parts)
  const [low, high] = [SET.least * wantedMm, Math.min(SET.most * wantedMm, longest)]
  const shortest = Math.max(low, leastSetting(input.parts))
  if (high <= shortest || !(short(high) >= 0)) return null
  return short(shortest) > 0 ? null : rootBetween(short, shortest, high, WITHIN_MM)
}

/** What to do with a rig so that a fly of it fishes between two depths. */
export type BringTo =
  /** one of its flies does as it is: which of the rig's, and how deep */
  | { readonly kind: 'asIs'; readonly fly: number; readonly depthMm: number }
  | { readonly kind: 'set'; readonly fly: number; readonly settingMm: number }
  | { readonly kind: 'lead'; readonly fly: number; readonly ledMmPerS: number }
  /** counts from the first to the last second between the two */
  | { readonly kind: 'count'; readonly fly: number; readonly fromS: number; readonly toS: number }
  | { readonly kind: 'no' }
  | FishesNot

/**
 * How to bring a fly of a rig between two depths: as it is, or else its lowest into their middle by its setting, its pace or
 * its count.
 */
export function bringTo(input: RigInWater, { fromMm, toMm }: Between): BringTo {
  const { way, current } = input
  const found = rigLies(input, input.parts)
  if ('kind' in found) return found
  const isThere = (mm: number) => mm >= fromMm && mm <= toMm
  if (way === 'counted') {
    for (const [k, fly] of [...found.hung.entries()].reverse()) {
      const within = found.moments.filter(({ flies }) => isThere(flies[k]?.zMm ?? 0))
      const [first, last] = [within[0], within.at(-1)]
      if (first && last) return { kind: 'count', fly, fromS: first.timeS, toS: last.timeS }
    }
    return { kind: 'no' }
  }
  // a swing ends where it hangs straight below the rod
  const depths = (found.moments.at(-1)?.flies ?? []).slice(0, found.hung.length).map(({ zMm }) => zMm)
  const there = depths.findIndex(isThere)
  if (there >= 0) return { kind: 'asIs', fly: found.hung[there] ?? 0, depthMm: depths[there] ?? 0 }
  if (way === 'swung') return { kind: 'no' }
  const lowest = depths.indexOf(Math.max(...depths))
  const fly = found.hung[lowest] ?? 0
  const wantedMm = Math.min((fromMm + toMm) / 2, current.depthMm)
  if (way === 'carried') {
    const settingMm = settingFor(input, wantedMm)
    return settingMm === null ? { kind: 'no' } : { kind: 'set', fly, settingMm }
  }
  const depthAt = (ledMmPerS: number) => {
    const lies = rigLies({ ...input, ledMmPerS }, input.parts)
    return 'kind' in lies ? null : (lies.moments[0]?.flies[lowest]?.zMm ?? null)
  }
  const led = toLead(depthAt, wantedMm, current.surfaceMmPerS)
  return led === null ? { kind: 'no' } : { kind: 'lead', fly, ledMmPerS: led }
}

/** {@link bringTo} for many rigs, one after the other: each is told as it is known. */
export function* bringAllTo(
  inputs: readonly RigInWater[],
  between: Between,
): Generator<{ readonly done: number; readonly soFar: readonly BringTo[] }, readonly BringTo[]> {
  const told: BringTo[] = []
  for (const input of inputs) {
    told.push(bringTo(input, between))
    yield { done: told.length / inputs.length, soFar: [...told] }
  }
  return told
}
