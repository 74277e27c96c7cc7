import type { RigFly } from './assembled.ts'
import { rigLies, TOUCHES_MM } from './inWater.ts'
import type { RigInWater } from './inWater.ts'

/** A fly that could be tied on instead. */
export interface OtherFly {
  readonly key: string
  readonly fly: RigFly
}

/** Which flies would do what a rig is meant to. */
export interface OtherFlies {
  /** the lightest that, tied to the point, fishes as near the bed as is wanted and does not lie on it; null where none does */
  readonly point: { readonly key: string; readonly depthMm: number } | null
  /** the dry flies that bear what hangs from this one, the least buoyant first; none where it hangs from something else */
  readonly dries: readonly { readonly key: string; readonly spareMg: number }[]
}

/**
 * Tries other flies on a rig, lightest first, looked at coarsely: each takes a hundredth of a second. A cast that is counted
 * or swung comes to no rest, and holds no bottom: of it nothing is tried.
 */
export function* otherFlies(
  input: RigInWater,
  others: readonly OtherFly[],
): Generator<{ readonly done: number }, OtherFlies> {
  const { parts, flies, current, overBedMm, way } = input
  const coarse = { ...input, isQuick: true }
  const loadMg = way === 'carried' ? loadOf(coarse) : null
  const isDry = parts.some(({ kind }) => kind === 'dry')
  const dries = others
    .flatMap(({ key, fly: { carries } }) => (carries ? [{ key, spareMg: carries.spareMg }] : []))
    .filter(({ spareMg }) => isDry && loadMg !== null && spareMg >= loadMg)
    .sort((a, b) => a.spareMg - b.spareMg)
  if (way === 'counted' || way === 'swung' || parts.at(-1)?.kind !== 'point') return { point: null, dries }
  const weightOf = ({ fly }: OtherFly) => fly.model?.submergedMg ?? Infinity
  const sinking = others.filter(({ fly }) => fly.model !== null).sort((a, b) => weightOf(a) - weightOf(b))
  for (const [tried, { key, fly }] of sinking.entries()) {
    const lies = rigLies({ ...coarse, flies: [...flies.slice(0, -1), fly] }, parts)
    const depthMm = 'kind' in lies ? null : (lies.moments[0]?.flies[lies.hung.length - 1]?.zMm ?? null)
    const isThere = depthMm !== null && depthMm >= current.depthMm - overBedMm
    if (isThere && depthMm <= current.depthMm - TOUCHES_MM) return { point: { key, depthMm }, dries }
    yield { done: (tried + 1) / sinking.length }
  }
  return { point: null, dries }
}

/** What hangs from its float or dry, mg; null where nothing carries it. */
function loadOf(input: RigInWater): number | null {
  const lies = rigLies(input, input.parts)
  return 'kind' in lies ? null : (lies.carried?.loadMg ?? null)
}
