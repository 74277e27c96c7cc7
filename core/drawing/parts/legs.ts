import { radians } from '../../number/index.ts'
import { hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { LayerName } from '../page/page.ts'
import type { Point } from '../page/point.ts'
import { shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'
import { putLeg } from './bunch.ts'
import { putGoods } from './trailing.ts'

const MOST_LEGS = 6
const LEAST_WIDTH_MM = 0.12
/** Legs that are each seen for themselves. */
const FEW = 8

/** One leg with a knee: out and up, then down; straight ones hang in one curve. */
function kneed(part: SketchPart, scene: Scene, layer: LayerName, x: number, back: number): void {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const lengthMm = part.lengthMm ?? 4
  const [rx, ry] = line.off(x, -radiusUnder(scene, x) * 0.3)
  const knee = part.formed === 'knotted' || part.formed === 'bent'
  const width = Math.max(part.strandMm, part.fibreMm, LEAST_WIDTH_MM)
  const knees: readonly Point[] = knee
    ? [[rx, ry], [rx + back * lengthMm * 0.42, ry + lengthMm * 0.3], [rx + back * lengthMm * 0.6, ry - lengthMm * 0.1], [rx + back * lengthMm * 0.7, ry - lengthMm * 0.55]]
    : [[rx, ry], [rx + back * lengthMm * 0.34, ry - lengthMm * 0.06], [rx + back * lengthMm * 0.6, ry - lengthMm * 0.42], [rx + back * lengthMm * 0.64, ry - lengthMm * 0.7]]
  putLeg(page, layer, part.key, knees, width, layer === 'far' ? shaded(hex, -0.3) : hex)
} // prettier-ignore

/** Legs: a few of rubber or knotted fibres each for itself, else a beard of fibres below or to both sides. */
export const paintLegs: Painter = (part, scene) => {
  const { line } = scene
  const count = part.strands ?? part.fibreCount ?? 6
  const single = part.goods === 'rubber' || part.formed !== undefined
  const x = (part.fromMm + part.toMm) / 2
  const { heading } = line.at(x)
  if (part.side === 'above') {
    const root = line.off(x, radiusUnder(scene, x))
    return putGoods(part, scene, { layer: 'over', root, angle: heading + radians(150), spreadDeg: 24 })
  }
  if (single && count <= FEW) {
    const pairs = Math.min(Math.ceil(count / 2), MOST_LEGS / 2)
    for (const layer of ['far', 'near'] as const)
      for (let i = 0; i < pairs; i += 1) {
        const share = pairs > 1 ? i / (pairs - 1) : 0.5
        const at = part.fromMm + (part.toMm - part.fromMm) * (0.15 + 0.7 * share)
        kneed(part, scene, layer, at, share < 0.4 ? -0.75 : 0.55 + 0.45 * share)
      }
    return undefined
  }
  const root = line.off(x, -radiusUnder(scene, x) * 0.7)
  const below = { layer: 'near' as const, root, angle: heading - radians(48), spreadDeg: 34 }
  if (part.side === 'both') putGoods(part, scene, { ...below, layer: 'far', angle: heading - radians(30) })
  return putGoods(part, scene, below)
}

/** Gills and breathers: short soft tufts at the head. */
export const paintGills: Painter = (part, scene) => {
  const { line } = scene
  const x = part.fromMm
  const { heading } = line.at(x)
  for (const [layer, deg] of [['far', 125], ['near', 108], ['near', 215]] as const)
    putGoods(part, scene, { layer, root: line.off(x, deg < 180 ? radiusUnder(scene, x) * 0.5 : 0), angle: heading + radians(deg), spreadDeg: 34 }) // prettier-ignore
}
