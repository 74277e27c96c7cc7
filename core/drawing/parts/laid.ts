import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { Point } from '../page/point.ts'
import { hairsOf } from '../page/toned.ts'
import { edgeOf, shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'
import { putFur } from './strip.ts'

const STEPS = 20
/** Bands cover the upper part of the body, strands a narrow line along its top. */
const LOWEST = { band: 0.3, strands: 0.5 }
const BANDS = new Set(['sheet', 'feather', 'fibre', 'foam', 'hair', 'quill'])

/** A back or a wing case: laid over the body along its upper side, bound down at both ends. */
export const paintLaid: Painter = (part, scene) => {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const shares = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS)
  const at = (share: number, v: number, more: number): Point => {
    const x = part.fromMm + (part.toMm - part.fromMm) * share
    return line.off(x, v * (radiusUnder(scene, x) + more))
  }
  if (part.goods === 'strip') return putFur(part, scene, [0, 0.33, 0.66, 1].map((share) => at(share, 1, 0.3)))
  const thick = part.goods === 'foam' ? part.sizeMm * 0.8 : 0.1
  const low = BANDS.has(part.goods) ? LOWEST.band : LOWEST.strands
  const swell = (share: number) => thick * Math.sin(Math.PI * Math.min(Math.max(share, 0.02), 0.98)) ** 0.4
  const outline = page.closed([...shares.map((share) => at(share, 1, swell(share))), ...shares.toReversed().map((share) => at(share, low, 0))])
  const opacity = 1 - 0.6 * part.clear
  page.put('over', part.key, outline, { fill: hex, opacity })
  page.put('over', part.key, outline, { stroke: edgeOf(hex), strokeMm: 0.04, opacity: 0.9 })
  putStreaks(part, scene, at, low)
  const glossy = part.goods === 'sheet' || part.goods === 'tinsel' || part.resin
  const light = page.closed([...shares.slice(3, 18).map((share) => at(share, 0.86, 0)), ...shares.slice(3, 18).toReversed().map((share) => at(share, 0.7, 0))])
  page.put('over', part.key, light, { fill: '#ffffff', opacity: glossy ? 0.55 : 0.14 })
  return undefined
} // prettier-ignore

/** Fibres lie side by side along a back. */
function putStreaks(part: SketchPart, scene: Scene, at: (share: number, v: number, more: number) => Point, low: number): void {
  const { page } = scene
  if (!page.level.fine || part.goods === 'sheet' || part.goods === 'foam') return
  const chance = chanceFor(part, 'streaks')
  const hex = hexOf(part, scene)
  const streaks = hairsOf(page, hex, 0.45)
  for (let i = 0; i < 34; i += 1) {
    const [from, v] = [chance.between(0.02, 0.6), chance.between(low + 0.04, 0.97)]
    const [a, b] = [at(from, v, 0), at(from + 0.32, v, 0)]
    streaks.add(chance.about() * 2, { root: a, angle: Math.atan2(b[1] - a[1], b[0] - a[0]), lengthMm: Math.hypot(b[0] - a[0], b[1] - a[1]), widthMm: 0.06, curl: 0 })
  }
  streaks.put('over', part.key, 0.7)
  if (part.barred) page.put('over', part.key, [0.25, 0.5, 0.75].map((share) => page.open([at(share, low, 0), at(share + 0.03, 1, 0.05)])).join(''), { stroke: shaded(hex, -0.6), strokeMm: 0.12, opacity: 0.6 })
} // prettier-ignore
