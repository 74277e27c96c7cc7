import { sizeNumber } from '../material/index.ts'
import type { Fly } from '../dressing/index.ts'

const BODY_KINDS: ReadonlySet<string> = new Set(['body', 'thorax', 'foam', 'collar', 'coat', 'egg'])

/**
 * What the eye takes for the length of the body, mm: from the front of the bead, or of the foremost dressing, to the
 * rear end of the body. Tail, hook bend and eye do not count, as lengths of naturals are given without tails.
 */
export function bodyLengthMm(fly: Fly): number {
  const bodies = fly.components.filter(({ kind }) => BODY_KINDS.has(kind))
  const bead = fly.components.find(({ kind }) => kind === 'bead')
  const rearMm = Math.max(0, ...bodies.map(({ toMm }) => toMm))
  const frontMm = Math.min(...bodies.map(({ fromMm }) => fromMm), bead ? bead.fromMm : fly.hook.shankMm)
  const headMm = bead ? 0.15 * (sizeNumber(bead.material) ?? 0) : 0
  return bodies.length === 0 ? fly.hook.shankMm : rearMm - frontMm + headMm
}
