import { radians } from '../../number/index.ts'
import { chanceFor, hexOf, radiusUnder } from '../scene.ts'
import type { Painter, Scene } from '../scene.ts'
import type { LayerName } from '../page/page.ts'
import type { Point } from '../page/point.ts'
import { edgeOf, shaded } from '../page/tones.ts'
import type { SketchPart } from '../sketch.ts'
import { putBunch } from './bunch.ts'
import { putUprightFoam } from './foam.ts'
import { putGoods } from './trailing.ts'

/** How wings stand, degrees from the shank, and how wide they fan. */
const UPRIGHT_DEG = 80
const TENTED_DEG = 15
/** A spent wing points at the one who looks: so much of its length is seen, and it falls and lies back so far. */
const SPENT = { seen: 0.55, nearDeg: -24, farDeg: 26 }
const BUTTS = { ofLength: 0.16, spreadDeg: 70 }

/** A wing cut or burnt from film or a feather's web: its outline with veins. */
function putLeaf(part: SketchPart, scene: Scene, layer: LayerName, root: Point, angle: number, lengthMm: number): void {
  const { page } = scene
  const hex = hexOf(part, scene)
  const wide = lengthMm * 0.3
  const at = (share: number, side: number): Point => {
    const half = wide * Math.sin(Math.PI * Math.min(share, 1) ** 0.8) ** 0.75 * side
    return [
      root[0] + Math.cos(angle) * lengthMm * share - Math.sin(angle) * half,
      root[1] + Math.sin(angle) * lengthMm * share + Math.cos(angle) * half,
    ]
  }
  const shares = Array.from({ length: 25 }, (_, i) => i / 24)
  const outline = page.closed([...shares.map((share) => at(share, 1)), ...shares.toReversed().map((share) => at(share, -0.8))])
  page.put(layer, part.key, outline, { fill: hex, opacity: 1 - 0.55 * part.clear })
  page.put(layer, part.key, outline, { stroke: edgeOf(hex), strokeMm: 0.05 })
  if (!page.level.fine) return
  const veins = [-0.55, -0.25, 0.05, 0.35, 0.65].map((side) => page.open(shares.slice(1, 23).map((share) => at(share, side)))).join('')
  page.put(layer, part.key, veins, { stroke: shaded(hex, -0.45), strokeMm: 0.03, opacity: 0.55 })
} // prettier-ignore

function putWing(part: SketchPart, scene: Scene, at: { readonly layer: LayerName; readonly root: Point; readonly angle: number; readonly spreadDeg: number; readonly lengthMm: number }): void {
  if (part.goods === 'sheet') return putLeaf(part, scene, at.layer, at.root, at.angle, at.lengthMm)
  if (part.goods === 'foam') return putUprightFoam(part, scene, at.root, at.angle)
  return putGoods(part, scene, at)
} // prettier-ignore

/** Hair tied in as a wing: even tips behind, flared butts before the thread. */
function putButts(part: SketchPart, scene: Scene, root: Point): void {
  const { page, line } = scene
  const hex = hexOf(part, scene)
  const { heading } = line.at(part.fromMm)
  putBunch(
    page,
    {
      key: part.key,
      layer: 'near',
      root,
      angle: heading + Math.PI - radians(28),
      lengthMm: Math.max((part.lengthMm ?? 5) * BUTTS.ofLength, 0.7),
      count: part.fibreCount ?? 24,
      hex: shaded(hex, 0.1),
      widthMm: Math.max(part.fibreMm * 1.1, 0.08),
      spreadDeg: BUTTS.spreadDeg,
      baseMm: 0.4,
      curl: 0,
      uneven: 0.08,
      barred: false,
    },
    chanceFor(part, 'butts'),
  )
}

/** Wings: upright in a pair, tented over the body, or spent to both sides. */
export const paintWing: Painter = (part, scene) => {
  const { line } = scene
  const x = (part.fromMm + part.toMm) / 2
  const { heading } = line.at(x)
  const root = line.off(x, radiusUnder(scene, x) * 0.8)
  const lengthMm = part.lengthMm ?? 4
  const common = { root, lengthMm }
  if (part.side === 'both') {
    const seen = lengthMm * SPENT.seen
    putWing(part, scene, { ...common, layer: 'far', lengthMm: seen * 0.92, angle: heading + radians(SPENT.farDeg), spreadDeg: 46 })
    putWing(part, scene, { ...common, layer: 'near', lengthMm: seen, angle: heading + radians(SPENT.nearDeg), spreadDeg: 50 })
    return
  }
  if (part.side === 'around') {
    putWing(part, scene, { ...common, layer: 'over', angle: heading + radians(TENTED_DEG), spreadDeg: 17 })
    if (part.goods === 'hair') putButts(part, scene, root)
    return
  }
  const pair = part.goods === 'feather' || part.goods === 'hackle' || part.goods === 'sheet' || part.goods === 'hair'
  if (!pair) return putWing(part, scene, { ...common, layer: 'over', angle: heading + radians(UPRIGHT_DEG), spreadDeg: 34 })
  const half = { ...part, fibreCount: Math.round((part.fibreCount ?? 24) / 2) }
  putWing(half, scene, { ...common, layer: 'far', angle: heading + radians(UPRIGHT_DEG + 8), spreadDeg: 17 })
  putWing(half, scene, { ...common, layer: 'over', angle: heading + radians(UPRIGHT_DEG - 8), spreadDeg: 17 })
} // prettier-ignore

/** A post: an upright bunch, bound at its foot. */
export const paintPost: Painter = (part, scene) => {
  const { page, line } = scene
  const x = (part.fromMm + part.toMm) / 2
  const top = radiusUnder(scene, x)
  const root = line.off(x, top * 0.8)
  const angle = line.at(x).heading + radians(88)
  if (part.goods === 'foam') return putUprightFoam(part, scene, root, angle)
  const hex = hexOf(part, scene)
  const count = Math.max(part.fibreCount ?? 0, (part.strands ?? 1) * 34)
  putBunch(page, { key: part.key, layer: 'over', root, angle, lengthMm: part.lengthMm ?? 4, count, hex, widthMm: Math.max(part.fibreMm, 0.07), spreadDeg: 15, baseMm: 0.5, curl: 0.02, uneven: 0.04, barred: part.barred }, chanceFor(part, 'post'))
  const foot = [0, 0.12, 0.24, 0.36].map((up) => page.open([line.off(x - 0.3, top + up), line.off(x + 0.3, top + up + 0.05)])).join('')
  page.put('over', part.key, foot, { stroke: shaded(hex, -0.4), strokeMm: 0.11, opacity: 0.85 })
} // prettier-ignore
