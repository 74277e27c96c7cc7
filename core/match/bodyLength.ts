import { sizeNumber } from '../material/index.ts'
import { KINDS } from '../dressing/index.ts'
import type { Fly, Layer } from '../dressing/index.ts'

const DRESSED: ReadonlySet<Layer> = new Set(['body', 'collar'])

/**
 * What the eye takes for the length of the body, mm: from the front of the bead, or of the foremost dressing, to the
 * rear end of the body. Tail, hook bend and eye do not count, as lengths of naturals are given without tails.
 */
export function bodyLengthMm(fly: Fly): number {
  const bodies = fly.components.filter(({ kind }) => DRESSED.has(KINDS[kind].layer))
  const bead = fly.components.find(({ kind }) => KINDS[kind].layer === 'head')
  const rearMm = Math.max(0, ...bodies.map(({ toMm }) => toMm))
  const frontMm = Math.min(...bodies.map(({ fromMm }) => fromMm), bead ? bead.fromMm : fly.hook.shankMm)
  const headMm = bead ? 0.15 * (sizeNumber(bead.material) ?? 0) : 0
  return bodies.length === 0 ? fly.hook.shankMm : rearMm - frontMm + headMm
}
