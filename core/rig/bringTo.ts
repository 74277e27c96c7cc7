import { rootBetween } from '../number/index.ts'
import type { Between } from './bestRetrieve.ts'
import { rigLies } from './inWater.ts'
import type { FishesNot, RigInWater, RigLies } from './inWater.ts'
import { leaderOf, leastSetting, settingOf, withSetting } from './parts.ts'
import { toLead } from './onTightLine.ts'

/** Settings that are tried, of the depth of the water. */
const SET = { least: 0.2, most: 3 }
const WITHIN_MM = 5

/** How deep the fly that is asked for hangs at last, or the lowest, mm, and which of the hung ones it is. */
function depthsOf(
  { moments, hung }: RigLies,
  asked: number | undefined,
): readonly [depthMm: number, k: number] {
  const depths = (moments.at(-1)?.flies ?? []).slice(0, hung.length).map(({ zMm }) => zMm)
  const k = asked === undefined ? depths.indexOf(Math.max(...depths)) : hung.indexOf(asked)
  return [depths[k] ?? NaN, k]
}

/**
 * What to set a float to for the fly that is asked for, or the lowest, to drift at a depth; null where nothing is set, or no
 * setting that can be tied and that the water's note allows brings it there.
 *
 * @param within where it may be instead, if the shortest or the longest setting brings it no nearer
 */
export function settingFor(
  input: RigInWater,
  wantedMm: number,
  within: Between = { fromMm: wantedMm, toMm: wantedMm },
): number | null {
  const now = settingOf(input.parts)
  if (input.way !== 'carried' || now === null || wantedMm <= 0) return null
  const depthAt = (settingMm: number): number => {
    const parts = withSetting(input.parts, settingMm)
    const found = parts && rigLies(input, parts)
    return !found || 'kind' in found ? NaN : depthsOf(found, input.askedFly)[0]
  }
  const allowedMm = now + (input.maxLeaderMm ?? Infinity) - leaderOf(input.parts)
  const longest = Math.min(SET.most * wantedMm, allowedMm)
  const shortest = Math.max(SET.least * wantedMm, leastSetting(input.parts))
  if (longest <= shortest) return null
  const [least, most] = [depthAt(shortest), depthAt(longest)]
  if (least > wantedMm) return least <= within.toMm ? shortest : null
  if (most < wantedMm) return most >= within.fromMm ? longest : null
  const short = (settingMm: number) => depthAt(settingMm) - wantedMm
  return Number.isNaN(least) || Number.isNaN(most) ? null : rootBetween(short, shortest, longest, WITHIN_MM)
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
 * How to bring the fly that is asked for, or any of a rig, between two depths: as it is, or else it, or the lowest, into their
 * middle, or as near as can be, by the rig's setting, its pace or its count.
 */
export function bringTo(input: RigInWater, { fromMm, toMm }: Between): BringTo {
  const { way, current, askedFly } = input
  const found = rigLies(input, input.parts)
  if ('kind' in found) return found
  const isThere = (mm: number) => mm >= fromMm && mm <= toMm
  const isAsked = (fly: number) => askedFly === undefined || fly === askedFly
  if (way === 'counted') {
    for (const [k, fly] of [...found.hung.entries()].reverse()) {
      if (!isAsked(fly)) continue
      const within = found.moments.filter(({ flies }) => isThere(flies[k]?.zMm ?? 0))
      const [first, last] = [within[0], within.at(-1)]
      if (first && last) return { kind: 'count', fly, fromS: first.timeS, toS: last.timeS }
    }
    return { kind: 'no' }
  }
  // a swing ends where it hangs straight below the rod
  const depths = (found.moments.at(-1)?.flies ?? []).slice(0, found.hung.length).map(({ zMm }) => zMm)
  const there = depths.findIndex((mm, k) => isThere(mm) && isAsked(found.hung[k] ?? -1))
  if (there >= 0) return { kind: 'asIs', fly: found.hung[there] ?? 0, depthMm: depths[there] ?? 0 }
  if (way === 'swung') return { kind: 'no' }
  const [, lowest] = depthsOf(found, askedFly)
  const fly = found.hung[lowest] ?? 0
  const wantedMm = Math.min((fromMm + toMm) / 2, current.depthMm)
  if (way === 'carried') {
    const settingMm = settingFor(input, wantedMm, { fromMm, toMm })
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
